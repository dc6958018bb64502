import { foresee, sayMarked, type Speaker, type Voice } from '@levee/core';
import { useMemo } from 'react';
import { SentencesBefore } from './sentences-before.tsx';
import { useComparison } from '../store/comparison-store.ts';
import { MathText } from '../ui/math-text.tsx';
import { Spoken } from '../ui/spoken.tsx';
import { answerInFull, offInWords } from '../worked/answer.ts';
import { foresightText } from '../worked/foresight-text.ts';
import { useSpeaker, useVoice } from '../worked/use-worked.ts';
import type { Drawn } from '../worked/drawn.ts';
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

/** What the paper comes to with its unit, once it is done: a line of its own. What is not the answer is not called one. */
function Answer({ paper }: { readonly paper: Paper }) {
  const unit = useComparison((state) => state.content.unit);
  const say = useSpeaker();
  const { trace } = paper.lane;
  return (
    <span className="answer-label">
      {trace.balanced ? 'Answer:' : 'Comes to'}{' '}
      <strong>
        <MathText text={answerInFull(trace, unit, say)} />
      </strong>
      {!trace.balanced && <MathText text={`, ${offInWords(paper.lane, say)}`} />}
    </span>
  );
}

/** Characters of the longest sentence of a paper from which on all of them are set smaller. */
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
  const { drawn } = paper;
  const longest = useMemo(() => longestSentence(drawn, voice, say), [drawn, voice, say]);
  const ends = !paper.lane.trace.isUnfinished;
  return (
    <div className={longest.length > LONG ? 'sentence-room long' : 'sentence-room'}>
      <p className="sentence" role="group" aria-label={`${paper.method.shortName}, step ${step}`}>
        <SentencesBefore paper={paper} step={step} />
        {done && <Spoken marked={marked} />}
        {!done && foretells && <BeforeWorking paper={paper} />}
        {step === paper.last && ends && <Answer paper={paper} />}
      </p>
      {/* Room for the longest sentence of the work at this width, so that none is cut and nothing jumps. */}
      <p className="kept" aria-hidden>
        {longest}
      </p>
      {ends && (
        <p className="kept" aria-hidden>
          <Spoken marked={lastSentence(paper, voice, say)} />
          <Answer paper={paper} />
        </p>
      )}
    </div>
  );
}

function sentences({ method, trace }: Drawn, voice: Voice, say: Speaker): readonly string[] {
  return trace.steps.map(({ phrase }) => sayMarked(method.phrases, phrase, voice, say));
}

function longestSentence(drawn: Drawn, voice: Voice, say: Speaker): string {
  return sentences(drawn, voice, say).reduce(
    (longest, one) => (one.length > longest.length ? one : longest),
    '',
  );
}

function lastSentence({ method, lane }: Paper, voice: Voice, say: Speaker): string {
  const last = lane.trace.steps.at(-1);
  return last ? sayMarked(method.phrases, last.phrase, voice, say) : '';
}
