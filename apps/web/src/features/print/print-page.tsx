import {
  expressionLine,
  inNotation,
  leakText,
  UNFINISHED,
  sumTex,
  lawName,
  termTextsOf,
  sayMarked,
  schoolsOf,
  scriptOf,
  Exact,
  type Agreement,
  type Notation,
} from '@levee/core';
import { GlobalStyles } from '@mui/material';
import { useState } from 'react';
import { SheetView } from '../../sheet/sheet-view.tsx';
import { useComparison } from '../../store/comparison-store.ts';
import { useSettings } from '../../store/settings-store.ts';
import { ProblemText } from '../../ui/problem-text.tsx';
import { Tex } from '../../ui/tex.tsx';
import { MathText } from '../../ui/math-text.tsx';
import { Spoken } from '../../ui/spoken.tsx';
import {
  useChoice,
  useFramed,
  useNotation,
  useSpeaker,
  useSteps,
  useVoice,
  useWorked,
} from '../../worked/use-worked.ts';
import { answerWithUnit } from '../../worked/answer.ts';
import { slipNames } from '../../worked/slip-names.ts';
import type { Paper } from '../../worked/work.ts';
import { isPlain } from '../../certificate/plain-terms.ts';
import { certified } from '../../certificate/certified.ts';
import { framedOn, UNLIT } from '../../worked/lit.ts';
import { estimateLine } from '../../worked/estimate-line.ts';
import { USUAL, type Choices, type Extent } from './choices.ts';
import { PrintControls } from './print-controls.tsx';
import { CostTable } from '../../ui/cost-table.tsx';
import { PrintedChecks } from './printed-checks.tsx';
import { FramedList } from '../../paper/framed-list.tsx';
import './print.css';

const SQUARE = 24;
/** Widest a sheet may be on a page, in pixels. */
const WIDEST = 660;

/** A page to print: the papers as they stand or finished, every sentence, and why they agree. */
export function PrintPage() {
  const { papers } = useWorked();
  const { title, story, unit, problem, estimate } = useComparison((state) => state.content);
  const say = useSpeaker();
  const { kind } = useWorked().problem;
  const [choices, setChoices] = useState(USUAL);
  const { extent, parts, without, page } = choices;
  const finished = extent === 'finished';
  const shown = papers.filter(({ id }) => !without.has(id));
  const right = papers.find(({ lane }) => lane.leaks.length === 0);
  return (
    <main className="print">
      <GlobalStyles styles={{ '@page': { size: page, margin: '14mm' } }} />
      <PrintControls
        papers={papers}
        choices={choices}
        choose={(change) => setChoices({ ...choices, ...change })}
      />
      {parts.has('name') && (
        <p className="name-line">
          Name <span className="blank" /> Date <span className="blank" />
        </p>
      )}
      <header>
        <h1>{title || 'Comparison'}</h1>
        <p className="print-problem figures">
          <ProblemText problem={problem} /> ={' '}
          <Blank unit={unit} answer={finished ? (right ?? null) : null} />
        </p>
        {story && <p>{story}</p>}
        {estimate && (
          <p>
            Estimate: {estimateLine(estimate, kind, say)} ≈ {say.worth(Exact.parse(estimate.value))}
            {estimate.judgement && ` (${estimate.judgement})`}
          </p>
        )}
      </header>
      <div className="printed-papers">
        {shown.map((paper) => (
          <PrintedPaper
            key={paper.id}
            paper={paper}
            extent={extent}
            sentences={extent !== 'blank' && parts.has('sentences')}
          />
        ))}
      </div>
      {extent !== 'blank' && <FramedList />}
      {finished && parts.has('reasons') && <PrintedAgreement without={without} />}
      {finished && parts.has('costs') && shown.length > 0 && <CostTable papers={shown} />}
      {parts.has('checks') && <PrintedChecks />}
    </main>
  );
}

/** The answer with its unit, or room to write it. */
function Blank({ unit, answer }: { readonly unit: string; readonly answer: Paper | null }) {
  const say = useSpeaker();
  if (!answer) {
    return (
      <>
        <span className="blank" /> {unit}
      </>
    );
  }
  const { trace } = answer.lane;
  return <MathText text={answerWithUnit(trace, unit, say)} />;
}

interface PrintedPaperProps {
  readonly paper: Paper;
  readonly extent: Extent;
  readonly sentences: boolean;
}

function PrintedPaper({ paper, extent, sentences }: PrintedPaperProps) {
  const steps = useSteps();
  const { notes, notches } = useSettings();
  const notation = useNotation();
  const framed = useFramed();
  const say = useSpeaker();
  const voice = useVoice();
  const step = { blank: 0, now: steps[paper.index]!, finished: paper.last }[extent];
  const { trace } = paper.lane;
  const square = Math.min(SQUARE, WIDEST / paper.drawing.width);
  return (
    <section className={sentences && step > 0 ? 'printed-paper worded' : 'printed-paper'}>
      <h2>{paper.method.name}</h2>
      <p className="caption">
        {schoolsOf(paper.method, trace.problem)
          .map(({ id, label, options }) => {
            const chosen = options.find((option) => option.id === trace.school[id]);
            return `${label.toLowerCase()}: ${chosen?.label ?? ''}`;
          })
          .join(' · ')}
      </p>
      <Slips paper={paper} />
      <div
        className="printed-sheet"
        style={{ backgroundSize: `${square}px ${square}px`, width: paper.drawing.width * square }}
      >
        <SheetView
          paper={paper}
          step={step}
          lit={{ ...UNLIT, framed: extent === 'blank' ? [] : framedOn(paper, framed, step) }}
          notation={notation}
          notes={notes}
          notches={notches}
          square={square}
          label={paper.method.name}
        />
      </div>
      {sentences && step > 0 && (
        <ol className="printed-steps">
          {trace.steps.slice(0, step).map((done) => (
            <li key={done.number}>
              <Spoken marked={sayMarked(paper.method.phrases, done.phrase, voice, say)} />{' '}
              <span className="caption">
                {lawName(done.law, { script: scriptOf(trace.problem), kind: trace.problem.kind })}
              </span>
            </li>
          ))}
        </ol>
      )}
    </section>
  );
}

/** The slips that are made on purpose on a paper; where they leak is said with the reasons. */
function Slips({ paper }: { readonly paper: Paper }) {
  const addresses = useChoice(paper)?.slips ?? [];
  if (addresses.length === 0) return null;
  const names = slipNames(paper.method, addresses).map(({ label }) => label);
  return <p className="caption printed-slips">Slips made on purpose: {names.join(', ')}.</p>;
}

function PrintedAgreement({ without }: Pick<Choices, 'without'>) {
  const { papers, comparison } = useWorked();
  const { alone } = certified(comparison).reasons;
  const notation = useNotation();
  const isWhole = alone.every(
    ({ methods }) => methods[0]!.leak === undefined && !methods[0]!.unfinished,
  );
  return (
    <section className="printed-paper">
      <h2>{isWhole ? 'Why they agree' : 'How far they agree'}</h2>
      {alone.map((own, k) =>
        without.has(papers[k]!.id) ? null : (
          <div key={k}>
            <h3>{papers[k]!.method.name}</h3>
            <PrintedMoves own={own} notation={notation} />
          </div>
        ),
      )}
    </section>
  );
}

/** The reason of one method in its own cut. */
function PrintedMoves({ own, notation }: { readonly own: Agreement; readonly notation: Notation }) {
  const { moves, leak, unfinished } = own.methods[0]!;
  const texts = termTextsOf(own);
  return (
    <>
      <ol className="printed-moves figures">
        {moves.map(({ expression, law }, i) => (
          <li key={i}>
            {isPlain(texts) ? (
              `= ${expressionLine(expression, texts, notation)}`
            ) : (
              <Tex source={`= ${sumTex(expression, texts, notation)}`} />
            )}{' '}
            <span className="caption">{lawName(law, own)}</span>
          </li>
        ))}
      </ol>
      {unfinished && !leak && <p>{UNFINISHED}</p>}
      {leak && (
        <p className="caption">
          <MathText text={leakText(leak, (text) => inNotation(text, notation))} />
        </p>
      )}
    </>
  );
}
