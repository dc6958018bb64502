import { readProblem, speakerFor, type ComparisonDocument, type Speaker } from '@levee/core';
import type { AnswerVerdict } from '../../../away/answers-job.ts';
import { useSettings } from '../../../store/settings-store.ts';
import { MathText } from '../../../ui/math-text.tsx';
import { ideaLabel } from './explanation-text.ts';
import { answerKey } from './use-diagnoses.ts';

type AnswerRecord = ComparisonDocument['answers'][number];

/** Equal answers to one problem, with who gave them and what explains them. */
export interface AnswerGroup {
  readonly key: string;
  readonly problem: string;
  readonly answer: string;
  readonly codes: readonly string[];
  readonly count: number;
  /** What it is; undefined while it is not looked at yet. */
  readonly verdict: AnswerVerdict | undefined;
}

/** Equal answers together, the most frequent first, right ones before all. */
export function groupsOf(
  answers: readonly AnswerRecord[],
  own: string,
  verdicts: ReadonlyMap<string, AnswerVerdict>,
): readonly AnswerGroup[] {
  const groups = new Map<string, AnswerGroup>();
  for (const { code, problem, answer } of answers) {
    const asked = { problem: problem === '' ? own : problem, answer };
    const key = answerKey(asked);
    const known = groups.get(key);
    const codes = [...(known?.codes ?? []), ...(code === '' ? [] : [code])];
    groups.set(key, {
      key,
      ...asked,
      codes,
      count: (known?.count ?? 0) + 1,
      verdict: verdicts.get(key),
    });
  }
  return [...groups.values()].sort(
    (a, b) =>
      Number(a.problem !== own) - Number(b.problem !== own) ||
      a.problem.localeCompare(b.problem, 'en') ||
      rank(a) - rank(b) ||
      b.count - a.count,
  );
}

function rank({ verdict }: AnswerGroup): number {
  if (!verdict) return 3;
  if ('fault' in verdict) return 2;
  return verdict.diagnosis.right ? 0 : 1;
}

interface AnswerGroupsProps {
  readonly groups: readonly AnswerGroup[];
  /** The computation on the bench; the column of problems stands there where others are among them. */
  readonly own: string;
  readonly chosen: string | null;
  readonly choose: (key: string) => void;
  readonly say: Speaker;
}

/** Every answer with how often it was given and what explains it first. */
export function AnswerGroups({ groups, own, chosen, choose, say }: AnswerGroupsProps) {
  const isMixed = groups.some(({ problem }) => problem !== own);
  return (
    <div className="answer-groups" tabIndex={0} role="region" aria-label="Answers">
      <table>
        <thead>
          <tr>
            {isMixed && <th scope="col">problem</th>}
            <th scope="col" className="number">
              answer
            </th>
            <th scope="col" className="number">
              given
            </th>
            <th scope="col">what it is</th>
          </tr>
        </thead>
        <tbody>
          {groups.map((group) => (
            <tr
              key={group.key}
              className={group.key === chosen ? 'first' : ''}
              aria-current={group.key === chosen}
            >
              {isMixed && (
                <td className="figures">
                  <MathText text={say.pointed(group.problem)} />
                </td>
              )}
              <td className="number figures">
                <button type="button" className="link" onClick={() => choose(group.key)}>
                  {group.answer.trim() === '' ? 'blank' : <MathText text={group.answer} />}
                </button>
              </td>
              <td className="number figures">{group.count}</td>
              <td>
                <Short group={group} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** What an answer is, in a few words. */
function Short({ group: { verdict } }: { readonly group: AnswerGroup }) {
  if (!verdict) return <span className="caption">…</span>;
  if ('fault' in verdict) return <span className="caption">not read</span>;
  const { right, form, answered, explanations } = verdict.diagnosis;
  if (!answered) return <span className="caption">left blank</span>;
  if (right)
    return (
      <span className="right-answer">
        ✓ right{form === 'as-asked' ? '' : `, ${FORM_WORDS[form]}`}
      </span>
    );
  const [first] = explanations;
  if (!first) return <span className="caption">not explained</span>;
  const ideas = [...new Set(first.slips.map(({ idea }) => ideaLabel(idea)))].join(', and ');
  const others = new Set(
    explanations.slice(1).flatMap(({ slips }) => slips.map(({ idea }) => idea)),
  );
  const more = [...others].filter((idea) => first.slips.every((slip) => slip.idea !== idea)).length;
  return (
    <>
      {ideas}
      {first.habit && ', every time'}
      {more > 0 && <span className="caption"> or {more} more</span>}
    </>
  );
}

export const FORM_WORDS = {
  'as-asked': '',
  unreduced: 'not reduced',
  improper: 'as an improper fraction',
  'other-writing': 'written otherwise',
  unit: 'with a unit',
} as const;

/** A speaker for a problem by its text, in her words. */
export function useSpeakerOf(problem: string): Speaker | null {
  const words = useSettings((settings) => settings.words);
  const read = readProblem(problem);
  return read.ok ? speakerFor(read.problem, words) : null;
}
