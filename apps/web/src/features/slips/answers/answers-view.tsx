import { useMemo, useState } from 'react';
import { useComparison } from '../../../store/comparison-store.ts';
import { useSpeaker, useWorked } from '../../../worked/use-worked.ts';
import type { Paper } from '../../../worked/work.ts';
import { AnswersEntry } from './answers-entry.tsx';
import { AnswerGroups, groupsOf, type AnswerGroup } from './answer-groups.tsx';
import { AnswerDetail } from './answer-detail.tsx';
import { LearnerSheets } from './learner-sheets.tsx';
import { WholePaper } from './whole-paper.tsx';
import { useDiagnoses, type Diagnoses } from './use-diagnoses.ts';
import type { SlipParams } from '../use-slip-params.ts';

interface AnswersViewProps {
  readonly params: SlipParams;
  readonly papers: readonly Paper[];
}

const WAYS = ['by answer', 'by learner', 'a whole paper'] as const;

/** Answers of learners, and what explains them: answer by answer, or a learner's sheet over several problems. */
export function AnswersView({ params, papers }: AnswersViewProps) {
  const say = useSpeaker();
  const { problem } = useWorked();
  const { answers, problem: text } = useComparison((state) => state.content);
  const [way, setWay] = useState<(typeof WAYS)[number]>('by answer');
  const [only, setOnly] = useState(false);
  const [chosen, setChosen] = useState<string | null>(null);
  const methods = useMemo(
    () => (only ? papers.map(({ method }) => method.id) : null),
    [only, papers],
  );
  const asked = useMemo(
    () =>
      answers.map((one) => ({
        problem: one.problem === '' ? text : one.problem,
        answer: one.answer,
      })),
    [answers, text],
  );
  const { verdicts, running } = useDiagnoses(asked, methods);
  const groups = useMemo(() => groupsOf(answers, text, verdicts), [answers, text, verdicts]);
  const shown = shownOf(groups, chosen);
  return (
    <div className="answers-view">
      <div className="answers-side">
        <AnswersEntry problem={problem} />
        <Order way={way} setWay={setWay} only={only} setOnly={setOnly} running={running} />
      </div>
      {answers.length === 0 && way !== 'a whole paper' && (
        <p className="caption empty">
          Type or paste answers to {say.pointed(text)}, one a line. Each is read, and what explains
          it is looked for in every method that takes these numbers.
        </p>
      )}
      {answers.length > 0 && way === 'by answer' && (
        <div className="answers-main">
          <AnswerGroups
            groups={groups}
            own={text}
            chosen={shown?.key ?? null}
            choose={setChosen}
            say={say}
          />
          {shown && <AnswerDetail key={shown.key} group={shown} params={params} papers={papers} />}
        </div>
      )}
      {way === 'a whole paper' && <WholePaper papers={papers} />}
      {answers.length > 0 && way === 'by learner' && (
        <LearnerSheets answers={answers} problem={text} />
      )}
    </div>
  );
}

interface OrderProps {
  readonly way: (typeof WAYS)[number];
  readonly setWay: (way: (typeof WAYS)[number]) => void;
  readonly only: boolean;
  readonly setOnly: (only: boolean) => void;
  readonly running: Diagnoses['running'];
}

/** How answers are looked through, and how far that is. */
function Order({ way, setWay, only, setOnly, running }: OrderProps) {
  return (
    <div className="chips" role="group" aria-label="Order">
      {WAYS.map((one) => (
        <button
          key={one}
          type="button"
          className="chip"
          aria-pressed={way === one}
          onClick={() => setWay(one)}
        >
          {one}
        </button>
      ))}
      <button type="button" className="chip" aria-pressed={only} onClick={() => setOnly(!only)}>
        these methods only
      </button>
      <span className="caption" role="status">
        {running && `${running.done} of ${running.of} looked at`}
      </span>
    </div>
  );
}

/** What was chosen, else the first wrong answer. */
function shownOf(groups: readonly AnswerGroup[], chosen: string | null): AnswerGroup | undefined {
  const isWrong = ({ verdict }: AnswerGroup) =>
    verdict !== undefined && 'diagnosis' in verdict && !verdict.diagnosis.right;
  return groups.find(({ key }) => key === chosen) ?? groups.find(isWrong) ?? groups[0];
}
