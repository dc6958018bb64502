import {
  amountText,
  commonText,
  inNotation,
  squaredTex,
  texText,
  valueText,
  reasonsLatex,
  reasonsMarkdown,
  type Agreement,
  type MethodAgreement,
  type Reasons,
  shortNameOfMethod,
  OWN_LINES,
  nameOfMethod,
} from '@levee/core';
import { Button } from '@mui/material';
import { Suspense } from 'react';
import { useComparison } from '../../store/comparison-store.ts';
import { download, fileName } from '../../ui/download.ts';
import { ProblemText } from '../../ui/problem-text.tsx';
import { Tex } from '../../ui/tex.tsx';
import { useTurns } from '../../ui/use-turns.ts';
import { useNotation, useWorked } from '../../worked/use-worked.ts';
import { copy } from '../../ui/copy.ts';
import { useAgreement } from '../../certificate/certified.ts';
import type { Certified } from '../../certificate/certify.ts';
import { MathText } from '../../ui/math-text.tsx';
import { WAYS_BACK } from './back-to-the-number.tsx';
import { BothWays } from './both-ways.tsx';
import { Bridge } from './bridge.tsx';
import { TypedLines } from './typed-lines.tsx';
import { MethodLines } from './method-lines.tsx';
import { Costs, SameAmounts } from './side-by-side.tsx';
import { SharedPicture } from '../../pictures/lazy-picture.ts';
import './why.css';

/** Why the methods agree: the same terms, bracketed in each method's way, law by law. */
export function WhyPage() {
  const made = useAgreement();
  return made ? (
    <Told made={made} />
  ) : (
    <main className="why">
      <p role="status">Checking every line …</p>
    </main>
  );
}

function Told({ made }: { readonly made: Certified }) {
  const { reasons } = made;
  const { papers } = useWorked();
  const certificate = reasons.common;
  const problem = useComparison((state) => state.content.problem);
  const WayBack = WAYS_BACK[certificate.kind];
  const told = reasons.alone.length;
  const turn = useTurns(told + 3);
  return (
    <main className="why">
      <header className="why-head">
        <h1>
          Why <Equation certificate={certificate} problem={problem} />{' '}
          {certificate.methods.some(({ leak, unfinished }) => leak ?? unfinished)
            ? 'as far as each method goes'
            : 'by every method'}
        </h1>
        <p className="caption" role="status">
          {checkedText(made)}
        </p>
        <Exports reasons={reasons} />
      </header>
      <Terms reasons={reasons} />
      <div className="picture-alone why-picture">
        <Suspense>{turn > told && <SharedPicture />}</Suspense>
      </div>
      <div className="why-methods">
        {reasons.alone.slice(0, turn).map((own, k) => (
          <div key={k}>
            <TypedLines paper={papers[k]!} />
            <MethodLines method={own.methods[0]!} certificate={own} />
          </div>
        ))}
      </div>
      <div className="why-more">
        <div>
          {turn > told + 1 && (
            <>
              <SameAmounts />
              <BothWays />
              {WayBack && <WayBack />}
              <Bridge />
            </>
          )}
        </div>
        {turn > told + 2 && <Costs />}
      </div>
    </main>
  );
}

/** What was checked, and what was not. */
export function checkedText({ reasons, fault }: Certified): string {
  if (fault !== null) return `The independent check does not confirm this certificate: ${fault}.`;
  const told = reasons.alone.map(({ methods }) => methods[0]!);
  const brief = told.filter((method) => method.brief);
  const names = brief.map(({ method, title }) => title ?? shortNameOfMethod(method)).join(', ');
  return [
    'Every line below was checked again from the certificate alone ✓',
    'Its worth, its terms, and that what changes is an instance of the law beside it.',
    ...told.flatMap(slipText),
    ...(brief.length > 0
      ? [`In brief, so that only brackets and total were checked: ${names}.`]
      : []),
    'Not checked here: the wording, and where a mark stands on its paper.',
  ].join(' ');
}

/** What a slip does to the lines of its method. */
function slipText({ method, title, leak, unreduced }: MethodAgreement): readonly string[] {
  const name = title ?? shortNameOfMethod(method);
  if (leak && method === OWN_LINES) {
    return [`${name} is not lawful throughout: its lines are told up to before step ${leak.step}.`];
  }
  if (leak) return [`${name} has a slip: its lines end before step ${leak.step}.`];
  return unreduced ? [`${name} has a slip of form: its answer can still be reduced.`] : [];
}

/** The reasons as files. */
function Exports({ reasons }: { readonly reasons: Reasons }) {
  const { title, problem } = useComparison((state) => state.content);
  const notation = useNotation();
  const names = { method: nameOfMethod, notation };
  const name = (ending: string) => fileName(title || problem, ending);
  return (
    <p className="chips">
      <Button
        size="small"
        variant="outlined"
        onClick={() => download(name('md'), reasonsMarkdown(reasons, names), 'text/markdown')}
      >
        Markdown
      </Button>
      <Button
        size="small"
        variant="outlined"
        onClick={() => download(name('tex'), reasonsLatex(reasons, names), 'text/x-tex')}
      >
        LaTeX
      </Button>
      <Button
        size="small"
        variant="outlined"
        onClick={() =>
          download(
            name('agreement.json'),
            JSON.stringify(reasons.common, null, 2),
            'application/json',
          )
        }
      >
        Certificate (JSON)
      </Button>
      <Button
        size="small"
        variant="outlined"
        onClick={() => void copy(reasonsMarkdown(reasons, names))}
      >
        Copy
      </Button>
    </p>
  );
}

/** The problem with its value; of a root its square, which every account holds. */
function Equation(props: { readonly certificate: Agreement; readonly problem: string }) {
  const { certificate, problem } = props;
  const notation = useNotation();
  const value = inNotation(valueText(certificate), notation);
  if (certificate.kind === 'root')
    return <Tex source={`${squaredTex(texText(problem, notation))} = ${value}`} />;
  return (
    <>
      <ProblemText problem={problem} /> = <MathText text={value} />
    </>
  );
}

const MOST_TERMS = 36;

/** The terms that all methods share. */
function Terms({ reasons }: { readonly reasons: Reasons }) {
  const certificate = reasons.common;
  const { terms } = certificate;
  const signs = useNotation();
  return (
    <section className="why-terms">
      <h2>{terms.length === 1 ? 'The one common term' : `The ${terms.length} common terms`}</h2>
      <p className="figures">
        {terms.slice(0, MOST_TERMS).map(({ id, text, worth }) => (
          <span key={id} className="term">
            <MathText text={inNotation(termText(text, amountText(worth, certificate)), signs)} />
          </span>
        ))}
        {terms.length > MOST_TERMS && (
          <span className="caption">and {terms.length - MOST_TERMS} more</span>
        )}
      </p>
      <p className="caption">
        <MathText text={commonText(reasons, (text) => inNotation(text, signs))} />
      </p>
    </section>
  );
}

/** A term with what it is worth; a part of a sum is its own worth. */
function termText(text: string, worth: string): string {
  return text === worth ? text : `${text} = ${worth}`;
}
