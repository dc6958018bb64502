import {
  amountsOf,
  displayed,
  expressionLine,
  isOwnLines,
  saysOf,
  type Step,
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
  type OnPages,
} from '@levee/core';
import { GlobalStyles } from '@mui/material';
import { useMemo, useState } from 'react';
import { useComparison } from '../../store/comparison-store.ts';
import { ProblemText } from '../../ui/problem-text.tsx';
import { Tex } from '../../ui/tex.tsx';
import { MathText } from '../../ui/math-text.tsx';
import { Spoken } from '../../ui/spoken.tsx';
import {
  useChoice,
  useNotation,
  useSpeaker,
  useSteps,
  useVoice,
  useWorked,
} from '../../worked/use-worked.ts';
import { answerWithUnit, offInWords } from '../../worked/answer.ts';
import { slipNames } from '../../worked/slip-names.ts';
import type { Paper } from '../../worked/work.ts';
import { isPlain } from '../../certificate/plain-terms.ts';
import { certified } from '../../certificate/certified.ts';
import { estimateLine } from '../../worked/estimate-line.ts';
import { USUAL, type Choices, type Extent } from './choices.ts';
import { PrintControls } from './print-controls.tsx';
import { CostTable } from '../../ui/cost-table.tsx';
import { PrintedChecks } from './printed-checks.tsx';
import { PrintedSheet, useOnPages } from './printed-sheet.tsx';
import { FramedList } from '../../paper/framed-list.tsx';
import './print.css';

/** A page to print: the papers as they stand or finished, every sentence, and why they agree. */
export function PrintPage() {
  const { papers } = useWorked();
  const { title, story, unit, problem, estimate } = useComparison((state) => state.content);
  const say = useSpeaker();
  const { kind } = useWorked().problem;
  const [choices, setChoices] = useState(USUAL);
  const { extent, parts, without, page } = choices;
  const finished = extent === 'finished';
  const shown = useMemo(() => papers.filter(({ id }) => !without.has(id)), [papers, without]);
  const pages = useOnPages(shown);
  const right = papers.find(({ lane }) => lane.leaks.length === 0);
  const head = pages[0]?.isAcross ? 'across' : '';
  return (
    <main className="print">
      <PageSizes page={page} />
      <PrintControls
        papers={papers}
        choices={choices}
        choose={(change) => setChoices({ ...choices, ...change })}
      />
      {parts.has('name') && (
        <p className={`name-line ${head}`}>
          Name <span className="blank" /> Date <span className="blank" />
        </p>
      )}
      <header className={head}>
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
        {shown.map((paper, k) => (
          <PrintedPaper
            key={paper.id}
            paper={paper}
            pages={pages[k]!}
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

/** How large pages are, upright and across. */
function PageSizes({ page }: Pick<Choices, 'page'>) {
  const margin = '14mm';
  const styles = {
    '@page': { size: page, margin },
    '@page across': { size: `${page} landscape`, margin },
  };
  return <GlobalStyles styles={styles} />;
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
  readonly pages: OnPages;
  readonly extent: Extent;
  readonly sentences: boolean;
}

function PrintedPaper({ paper, pages, extent, sentences }: PrintedPaperProps) {
  const steps = useSteps();
  const step = { blank: 0, now: steps[paper.index]!, finished: paper.last }[extent];
  const { trace } = paper.lane;
  const isWorded = sentences && step > 0;
  const names = ['printed-paper', ...(isWorded ? ['worded'] : [])];
  if (pages.isAcross) names.push('across');
  if (pages.parts.length > 1) names.push('long');
  return (
    <section className={names.join(' ')}>
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
      <PrintedSheet paper={paper} step={step} framed={extent !== 'blank'} pages={pages} />
      {extent === 'finished' && <WrongAnswer paper={paper} />}
      {isWorded && <PrintedSteps paper={paper} step={step} />}
    </section>
  );
}

/** What a paper comes to that is not the answer. */
function WrongAnswer({ paper }: { readonly paper: Paper }) {
  const unit = useComparison((state) => state.content.unit);
  const say = useSpeaker();
  const { trace } = paper.lane;
  if (trace.balanced || trace.isUnfinished) return null;
  return (
    <p className="printed-wrong">
      Comes to <MathText text={answerWithUnit(trace, unit, say)} />,{' '}
      <MathText text={offInWords(paper.lane, say)} />.
    </p>
  );
}

/** Every step in words; of a line that is not right, what is wrong with it, and never that it is so. */
function PrintedSteps({ paper, step }: { readonly paper: Paper; readonly step: number }) {
  const say = useSpeaker();
  const voice = useVoice();
  const notation = useNotation();
  const { trace } = paper.lane;
  return (
    <ol className="printed-steps">
      {trace.steps.slice(0, step).map((done) => {
        const wrong = wrongLine(paper, done);
        return (
          <li key={done.number}>
            {wrong ? (
              <MathText text={inNotation(wrong, notation)} />
            ) : (
              <Spoken marked={sayMarked(paper.method.phrases, done.phrase, voice, say)} />
            )}{' '}
            <span className="caption">
              {wrong
                ? 'not right'
                : lawName(done.law, { script: scriptOf(trace.problem), kind: trace.problem.kind })}
            </span>
          </li>
        );
      })}
    </ol>
  );
}

/** What is said of someone's own line in which a step leaks; null for every other step. */
function wrongLine({ method, lane }: Paper, { number, phase }: Step): string | null {
  if (!isOwnLines(method) || lane.leaks.every((leak) => leak.step !== number)) return null;
  const { paper, asked } = method.judged(lane.trace.problem);
  const line = paper.lines.find(({ n }) => phase.kind === 'line' && n === phase.of);
  return line ? `${displayed(line.text)}: ${displayed(saysOf(line, amountsOf(asked)))}` : null;
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
