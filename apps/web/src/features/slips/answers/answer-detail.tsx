import {
  amountWriter,
  Exact,
  problemText,
  readProblem,
  registry,
  tellApart,
  type Diagnosis,
  type Explanation,
  type Speaker,
  type Suspect,
} from '@levee/core';
import { useMemo } from 'react';
import { MathText } from '../../../ui/math-text.tsx';
import type { Paper } from '../../../worked/work.ts';
import { FORM_WORDS, useSpeakerOf, type AnswerGroup } from './answer-groups.tsx';
import { evidenceText, explanationText, ideaLabel, methodsText } from './explanation-text.ts';
import type { SlipParams } from '../use-slip-params.ts';

interface AnswerDetailProps {
  readonly group: AnswerGroup;
  readonly params: SlipParams;
  readonly papers: readonly Paper[];
}

/** One answer in full: who gave it, all that explains it, and what these numbers cannot show. */
export function AnswerDetail({ group, params, papers }: AnswerDetailProps) {
  const say = useSpeakerOf(group.problem);
  const { verdict, codes, answer } = group;
  if (!say) return null;
  return (
    <article className="answer-detail" aria-label={`The answer ${answer}`}>
      <h2 className="figures">
        <MathText text={`${say.pointed(group.problem)} = ${answer.trim() === '' ? '…' : answer}`} />
      </h2>
      {codes.length > 0 && (
        <p className="caption">
          given by {say.list(codes.slice(0, 12))}
          {codes.length > 12 && ` and ${codes.length - 12} more`}
        </p>
      )}
      {!verdict && <p role="status">Looking …</p>}
      {verdict && 'fault' in verdict && <p>{verdict.fault}</p>}
      {verdict && 'diagnosis' in verdict && (
        <Told
          diagnosis={verdict.diagnosis}
          group={group}
          params={params}
          papers={papers}
          say={say}
        />
      )}
    </article>
  );
}

interface ToldProps extends AnswerDetailProps {
  readonly diagnosis: Diagnosis;
  readonly say: Speaker;
}

function Told({ diagnosis, group, params, papers, say }: ToldProps) {
  const { right, form, off, explanations, answered } = diagnosis;
  if (!answered) return <p>Nothing was answered.</p>;
  if (right) {
    return (
      <>
        <p>✓ The amount is right{form === 'as-asked' ? '' : `; it is ${FORM_WORDS[form]}`}.</p>
        <Silent diagnosis={diagnosis} />
      </>
    );
  }
  const by = Exact.parse(off!);
  const size = `${say.worth(by.absolute())} ${by.isNegative ? 'short' : 'too much'}`;
  const [first] = explanations;
  return (
    <>
      <p>
        <MathText text={by.isConstant ? size : `off by ${say.worth(by)}`} />
        {first ? '' : '. Not explained: no slip, and no two slips, of any method here give it.'}
      </p>
      {explanations.length > 1 && (
        <p className="caption">
          {explanations.length} explanations give this answer; these numbers do not tell them apart.
        </p>
      )}
      <ol className="explanations">
        {explanations.map((explanation) => (
          <One
            key={explanation.slips.map(({ at }) => at).join()}
            explanation={explanation}
            group={group}
            params={params}
            papers={papers}
            say={say}
          />
        ))}
      </ol>
      {explanations.length > 1 && (
        <Apart explanations={explanations} problem={group.problem} say={say} />
      )}
      {first && <p className="caption">{evidenceText(first)}</p>}
      <Silent diagnosis={diagnosis} />
    </>
  );
}

interface ApartProps {
  readonly explanations: readonly Explanation[];
  readonly problem: string;
  readonly say: Speaker;
}

/** Numbers on which the explanations that come first give different answers. */
function Apart({ explanations, problem, say }: ApartProps) {
  const found = useMemo(() => {
    const read = readProblem(problem);
    const suspects = explanations.slice(0, MOST_APART).flatMap(suspectOf);
    return read.ok && suspects.length > 1 ? tellApart(read.problem, suspects) : null;
  }, [explanations, problem]);
  if (!found) return null;
  const write = amountWriter(found.problem);
  const answers = found.answers.map((answer) => say.pointed(write(answer)));
  return (
    <p>
      <MathText
        text={`${say.pointed(problemText(found.problem))} would tell ${answers.length === 2 ? 'both' : `the first ${answers.length}`} apart: ${say.list(answers)}.`}
      />
    </p>
  );
}

/** So many explanations are told apart by one problem. */
const MOST_APART = 3;

function suspectOf({ methods, slips, habit, copied }: Explanation): Suspect[] {
  const [work] = methods;
  const [first] = slips;
  if (!work || !first || copied !== null) return [];
  const method = registry.get(work.method);
  const isFact = first.fact !== null;
  const followed = habit && !isFact ? { slip: first.slip, where: habit.where } : null;
  return [{ method, school: work.school, slips: slips.map(({ at }) => at), habit: followed }];
}

interface OneProps extends AnswerDetailProps {
  readonly explanation: Explanation;
  readonly say: Speaker;
}

function One({ explanation, group, params, papers, say }: OneProps) {
  const read = readProblem(group.problem);
  const [work] = explanation.methods;
  const method = work && registry.get(work.method);
  if (!read.ok) return null;
  const trace = method
    ? method.trace(read.problem, { school: work.school })
    : papers[0]!.lane.trace;
  const [first] = explanation.slips;
  const by = methodsText(explanation);
  const paper = papers.find((one) =>
    explanation.methods.some((own) => own.method === one.method.id),
  );
  const isHere = paper?.lane.trace.problem && sameProblem(paper, group.problem, say);
  // Of copies and whole items what was written is the answer itself, and a fact says so already.
  const isWritten =
    first?.fact === null && explanation.copied === null && explanation.methods.length > 0;
  const canSee =
    isHere && explanation.copied === null && first !== undefined && explanation.methods.length > 0;
  return (
    <li>
      <strong>
        <MathText text={explanationText(explanation, trace, say)} />
      </strong>
      {by !== '' && <span className="caption"> by {by}</span>}
      {isWritten && first && (
        <span className="caption figures">
          {' '}
          · wrote <MathText text={first.wrote ?? 'nothing'} />, due{' '}
          <MathText text={first.due ?? 'nothing'} />
        </span>
      )}
      {canSee && (
        <>
          {' '}
          <button
            type="button"
            className="link"
            onClick={() =>
              params.set({
                view: 'one',
                paper: paper.id,
                slip: first.at,
                habit: explanation.habit?.where ?? null,
                second: explanation.habit ? null : (explanation.slips[1]?.at ?? null),
                mode: explanation.habit ? 'habit' : explanation.slips[1] ? 'second' : 'once',
              })
            }
          >
            see its paper
          </button>
        </>
      )}
    </li>
  );
}

function sameProblem(paper: Paper, text: string, say: Speaker): boolean {
  const { problem } = paper.lane.trace;
  const read = readProblem(text);
  return read.ok && say !== null && JSON.stringify(read.problem) === JSON.stringify(problem);
}

/** Slips that these numbers cannot show, so that a right answer says nothing about them. */
function Silent({ diagnosis: { silent, searched } }: { readonly diagnosis: Diagnosis }) {
  return (
    <details className="silent">
      <summary className="caption">
        {silent.length} slips cannot show on these numbers; {searched.methods} methods were looked
        at
      </summary>
      <p className="caption">{silent.map((id) => ideaLabel(id).toLowerCase()).join(' · ')}</p>
    </details>
  );
}
