import { foresee, sayMarked } from '@levee/core';
import { SentencesBefore } from './sentences-before.tsx';
import { useComparison } from '../store/comparison-store.ts';
import { MathText } from '../ui/math-text.tsx';
import { Spoken } from '../ui/spoken.tsx';
import { answerWithUnit } from '../worked/answer.ts';
import { foresightText } from '../worked/foresight-text.ts';
import { useSpeaker, useVoice } from '../worked/use-worked.ts';
import type { Paper } from '../worked/work.ts';
import './paper.css';

/** What the method does, and what these numbers will make it do. */
function BeforeWorking({ paper }: { readonly paper: Paper }) {
  const say = useSpeaker();
  const foreseen = foresightText(foresee(paper.lane.trace), say);
  return (
    <span className="caption">
      <strong>{foreseen}</strong> {paper.method.summary}
    </span>
  );
}

/** The answer with its unit, once the paper is done. */
function Answer({ paper }: { readonly paper: Paper }) {
  const unit = useComparison((state) => state.content.unit);
  const say = useSpeaker();
  if (unit === '') return null;
  return (
    <span className="answer-label">
      {' '}
      Answer:{' '}
      <strong>
        <MathText text={answerWithUnit(paper.lane.trace, unit, say)} />
      </strong>
    </span>
  );
}

/** Characters from which on a sentence is set smaller, so that it need not be scrolled. */
const LONG = 118;

/** What the last step did, in the chosen voice. */
export function Sentence(props: {
  readonly paper: Paper;
  readonly step: number;
  /** Whether it says before the first step what these numbers will ask for. */
  readonly foretells?: boolean;
}) {
  const { paper, step, foretells = true } = props;
  const say = useSpeaker();
  const voice = useVoice();
  const done = paper.lane.trace.steps[step - 1];
  const marked = done ? sayMarked(paper.method.phrases, done.phrase, voice, say) : '';
  return (
    <p
      className={marked.length > LONG ? 'sentence long' : 'sentence'}
      role="group"
      aria-label={`${paper.method.shortName}, step ${step}`}
    >
      <SentencesBefore paper={paper} step={step} />
      {done && <Spoken marked={marked} />}
      {!done && foretells && <BeforeWorking paper={paper} />}
      {step === paper.last && !paper.lane.trace.isUnfinished && <Answer paper={paper} />}
    </p>
  );
}
