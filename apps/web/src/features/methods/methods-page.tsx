import {
  inNotation,
  LAW_LABELS,
  measured,
  notationFor,
  registry,
  sayMarked,
  type Method,
  type School,
} from '@levee/core';
import { useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { SquaredSheet } from '../../sheet/squared-sheet.tsx';
import { useSettings } from '../../store/settings-store.ts';
import { ProblemText } from '../../ui/problem-text.tsx';
import { LettersOf } from '../../ui/letters.tsx';
import { WhenOpened } from '../../ui/when-opened.tsx';
import { MathText } from '../../ui/math-text.tsx';
import { Spoken } from '../../ui/spoken.tsx';
import type { Paper } from '../../worked/work.ts';
import { SlippedExample } from './slipped-example.tsx';
import { exampleOf, lawsOf, mediaOf, scopeOf } from './example.ts';
import { UNLIT } from '../../worked/lit.ts';
import './methods.css';

const FAMILIES: Record<string, string> = {
  addition: 'Addition',
  subtraction: 'Subtraction',
  multiplication: 'Multiplication',
  division: 'Division',
  fractions: 'Sums and differences of fractions',
  'fraction-products': 'Products and quotients of fractions',
  polynomials: 'Expressions with letters',
  roots: 'Square roots',
};

/** Every method with a worked example: names, scope, schools, laws, what is written and what is held. */
export function MethodsPage() {
  const [params, setParams] = useSearchParams();
  const chosen = registry.find(params.get('m') ?? '') ?? registry.methods[0]!;
  const families = [...new Set(registry.methods.map(({ family }) => family))];
  return (
    <main className="methods">
      <nav className="methods-list" aria-label="Methods">
        {families.map((family) => (
          <section key={family}>
            <h2>{FAMILIES[family] ?? family}</h2>
            <ul>
              {registry.methods
                .filter((method) => method.family === family)
                .map((method) => (
                  <li key={method.id}>
                    <button
                      type="button"
                      className={method === chosen ? 'link chosen' : 'link'}
                      aria-current={method === chosen ? 'true' : undefined}
                      onClick={() => setParams({ m: method.id }, { replace: true })}
                    >
                      {method.name}
                    </button>
                  </li>
                ))}
            </ul>
          </section>
        ))}
      </nav>
      <MethodSheet key={chosen.id} method={chosen} />
    </main>
  );
}

const MEDIA: Record<Method['medium'], string> = {
  'on paper': 'on paper',
  'in the head': 'in the head; only the answer is written',
  either: 'in the head or on paper',
};

/** One method told in full. */
function MethodSheet({ method }: { readonly method: Method }) {
  const [school, setSchool] = useState(method.defaultSchool);
  const example = useMemo(() => exampleOf(method, school), [method, school]);
  return (
    <LettersOf problem={example.paper.lane.trace.problem}>
      <article className="method-sheet" aria-label={method.name}>
        <header>
          <h1>{method.name}</h1>
          <p>{method.summary}</p>
        </header>
        <div className="method-body">
          <WorkedExample method={method} example={example} />
          <dl>
            <Known method={method} />
            <Choices method={method} school={school} choose={setSchool} />
            <Dealings method={method} paper={example.paper} />
          </dl>
        </div>
      </article>
    </LettersOf>
  );
}

interface WorkedExampleProps {
  readonly method: Method;
  readonly example: ReturnType<typeof exampleOf>;
}

/** Its paper on an example, with every sentence and its law. */
function WorkedExample({ method, example }: WorkedExampleProps) {
  const { paper, say, problem, answer } = example;
  const { words, notes, notches, voice } = useSettings();
  const speaker = useMemo(() => say(words), [say, words]);
  const notation = useMemo(() => notationFor(paper.lane.trace.problem, words), [paper, words]);
  const { view } = measured(paper.drawing, notes);
  const square = Math.min(30, 420 / view.width);
  return (
    <div>
      <h2>
        Worked: <ProblemText problem={problem} /> ={' '}
        <span className="figures">
          <MathText text={inNotation(answer, notation)} />
        </span>
      </h2>
      <SquaredSheet
        className="method-example"
        paper={paper}
        step={paper.last}
        lit={UNLIT}
        notation={notation}
        notes={notes}
        notches={notches}
        square={square}
        view={view}
        label={`${method.name}, worked`}
      />
      <ol className="method-steps">
        {paper.lane.trace.steps.map((step) => (
          <li key={step.number}>
            <Spoken marked={sayMarked(method.phrases, step.phrase, voice, speaker)} />{' '}
            <span className="caption">{LAW_LABELS[step.law]}</span>
          </li>
        ))}
      </ol>
    </div>
  );
}

/** What it is called, why it works, and what it works. */
function Known({ method }: { readonly method: Method }) {
  const scope = useMemo(() => scopeOf(method), [method]);
  return (
    <>
      <dt>Also called</dt>
      <dd>{method.alsoCalled.join('; ')}</dd>
      {method.mind && (
        <>
          <dt>Mind the words</dt>
          <dd>{method.mind}</dd>
        </>
      )}
      <dt>Why it works</dt>
      <dd>{method.why}</dd>
      {method.leadsTo && (
        <>
          <dt>Leads on to</dt>
          <dd>{method.leadsTo}</dd>
        </>
      )}
      <dt>Worked</dt>
      <dd>{MEDIA[method.medium]}</dd>
      <dt>Direction</dt>
      <dd>
        {method.direction}
        {method.freeOrder && '; any order may be chosen, the total is the same'}
      </dd>
      <dt>Works</dt>
      <dd>
        <ul>
          {scope.map(({ what, works, reason }) => (
            <li key={what}>
              {works ? '✓' : '—'} {what}
              {reason && <span className="caption"> {reason}</span>}
            </li>
          ))}
        </ul>
      </dd>
    </>
  );
}

interface ChoicesProps {
  readonly method: Method;
  readonly school: School;
  readonly choose: (school: School) => void;
}

/** Its schools, and what else is hers to choose. */
function Choices({ method, school, choose }: ChoicesProps) {
  return (
    <>
      {method.schools.map(({ id, label, options }) => (
        <Schools
          key={id}
          label={label}
          options={options}
          chosen={school[id]!}
          choose={(option) => choose({ ...school, [id]: option })}
        />
      ))}
      {method.ownHops && (
        <>
          <dt>Her own choice</dt>
          <dd>
            {method.ownHops.name}s of one’s own.{' '}
            <span className="caption">{method.ownHops.hint}</span>
          </dd>
        </>
      )}
    </>
  );
}

/** The laws it uses here, what it writes and holds, and where it goes wrong. */
function Dealings({ method, paper }: { readonly method: Method; readonly paper: Paper }) {
  const { written, held } = mediaOf(paper);
  return (
    <>
      <dt>Laws used here</dt>
      <dd>{lawsOf(paper).join('; ')}</dd>
      <dt>Written</dt>
      <dd>{written}</dd>
      <dt>Held in the head</dt>
      <dd>{held}</dd>
      <dt>Where it goes wrong</dt>
      <dd>
        <ul>
          {method.slips.map(({ id, label, mechanism }) => (
            <SlipItem key={id} method={method} id={id} label={label} mechanism={mechanism} />
          ))}
        </ul>
      </dd>
    </>
  );
}

interface SlipItemProps {
  readonly method: Method;
  readonly id: string;
  readonly label: string;
  readonly mechanism: string;
}

/** One slip of a method; opened, it shows a paper with the slip. */
function SlipItem({ method, id, label, mechanism }: SlipItemProps) {
  const [open, setOpen] = useState(false);
  return (
    <li>
      <details onToggle={(event) => setOpen(event.currentTarget.open)}>
        <summary>
          {label}. <span className="caption">{mechanism}</span>
        </summary>
        <WhenOpened open={open}>
          <SlippedExample method={method} slip={id} />
        </WhenOpened>
      </details>
    </li>
  );
}

interface SchoolsProps {
  readonly label: string;
  readonly options: Method['schools'][number]['options'];
  readonly chosen: string;
  readonly choose: (option: string) => void;
}

/** The options of one school; the chosen one is shown in the example. */
function Schools({ label, options, chosen, choose }: SchoolsProps) {
  return (
    <>
      <dt>{label}</dt>
      <dd className="method-schools">
        {options.map((option) => (
          <button
            key={option.id}
            type="button"
            className={option.id === chosen ? 'link chosen' : 'link'}
            aria-pressed={option.id === chosen}
            onClick={() => choose(option.id)}
          >
            {option.label} <span className="caption">{option.reason}</span>
          </button>
        ))}
      </dd>
    </>
  );
}
