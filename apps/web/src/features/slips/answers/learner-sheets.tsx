import { registry, type ComparisonDocument } from '@levee/core';
import { useEffect, useState } from 'react';
import { away } from '../../../away/away.ts';
import type { SheetLearner } from '../../../away/answers-job.ts';
import { MathText } from '../../../ui/math-text.tsx';
import { useSpeaker } from '../../../worked/use-worked.ts';
import { ideaLabel } from './explanation-text.ts';

interface LearnerSheetsProps {
  readonly answers: ComparisonDocument['answers'];
  readonly problem: string;
}

/** Learners who answered several problems: the fewest habits that explain each sheet, and what explains the rest. */
export function LearnerSheets({ answers, problem }: LearnerSheetsProps) {
  const sheets = useSheets(answers, problem);
  const [chosen, setChosen] = useState<string | null>(null);
  if (!sheets) return <p role="status">Looking …</p>;
  if (sheets.length === 0) {
    return (
      <p className="caption empty">
        A sheet needs answers of one code to two problems or more, such as: T07, 305 − 127, 288.
      </p>
    );
  }
  const shown = sheets.find(({ code }) => code === chosen) ?? sheets[0]!;
  return (
    <div className="sheets">
      <div className="chips" role="group" aria-label="Learner">
        {sheets.map(({ code, items }) => (
          <button
            key={code}
            type="button"
            className="chip"
            aria-pressed={code === shown.code}
            onClick={() => setChosen(code)}
          >
            {code} · {items.length}
          </button>
        ))}
      </div>
      <Sheet learner={shown} />
    </div>
  );
}

/** The sheets of codes that answered more than one problem; null while they are looked at. */
function useSheets(answers: LearnerSheetsProps['answers'], problem: string) {
  const [sheets, setSheets] = useState<readonly SheetLearner[] | null>(null);
  useEffect(() => {
    const rows = answers.map((one) => ({
      ...one,
      problem: one.problem === '' ? problem : one.problem,
    }));
    const problems = (code: string) =>
      new Set(rows.filter((one) => one.code === code).map((one) => one.problem)).size;
    const several = rows.filter(({ code }) => code !== '' && problems(code) > 1);
    let isOver = false;
    void away('diagnoseSheets', several).then((made) => {
      if (!isOver) setSheets(made);
    });
    return () => {
      isOver = true;
    };
  }, [answers, problem]);
  return sheets;
}

function Sheet({ learner: { code, slips, items } }: { readonly learner: SheetLearner }) {
  const say = useSpeaker();
  const right = items.filter((item) => item.right).length;
  return (
    <article className="sheet-learner" aria-label={`Sheet of ${code}`}>
      <h2>
        {code}: {right} of {items.length} right
      </h2>
      {slips.length > 0 ? (
        <ul className="habits-found">
          {slips.map(({ slip, where, method, made, chances, verdict }) => (
            <li key={`${slip} ${where}`}>
              <strong>{ideaLabel(slip)}</strong>
              {where !== 'all' && `, ${where.replace('-', ' ')}`}: made at {made} of {chances}{' '}
              {chances === 1 ? 'chance' : 'chances'}
              {verdict === 'habit' ? ', a habit' : ', now and then'}{' '}
              <span className="caption">by {registry.get(method).name.toLowerCase()}</span>
            </li>
          ))}
        </ul>
      ) : (
        <p>No slip explains what is wrong here.</p>
      )}
      <table>
        <thead>
          <tr>
            <th scope="col">problem</th>
            <th scope="col" className="number">
              answer
            </th>
            <th scope="col">what explains it</th>
          </tr>
        </thead>
        <tbody>
          {items.map((item, k) => (
            <tr key={k}>
              <td className="figures">
                <MathText text={say.pointed(item.problem)} />
              </td>
              <td className="number figures">
                <MathText text={item.answer} />
              </td>
              <td>{itemText(item, slips)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </article>
  );
}

function itemText(item: SheetLearner['items'][number], slips: SheetLearner['slips']): string {
  if (!item.answered) return 'left blank';
  if (!item.read) return 'not read';
  if (item.right) return item.spared ? '✓ right, though the habit would show here' : '✓ right';
  const habits = item.habits.map((k) => ideaLabel(slips[k]!.slip).toLowerCase());
  const followed = item.habits.map((k) => slips[k]!.slip);
  const more = item.ideas
    .filter((idea) => !followed.includes(idea))
    .map((idea) => ideaLabel(idea).toLowerCase());
  const all = [...new Set([...habits.map((habit) => `the habit: ${habit}`), ...more])];
  return all.length > 0 ? all.join(', and ') : 'not explained';
}
