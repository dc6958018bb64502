import { amountWriter, problemText, type Feature, type HabitItem, type Speaker } from '@levee/core';
import { useState } from 'react';
import { useComparison } from '../../../store/comparison-store.ts';
import { download, fileName } from '../../../ui/download.ts';
import { MathText } from '../../../ui/math-text.tsx';
import { useSpeaker } from '../../../worked/use-worked.ts';
import type { Paper } from '../../../worked/work.ts';
import { useHabit } from './use-habit.ts';
import { useWorkOf } from './use-work-of.ts';

interface HabitPanelProps {
  readonly paper: Paper;
  readonly slip: string;
  readonly where: 'all' | Feature;
  readonly label: string;
  readonly mechanism: string;
}

/** A learner who has this habit: what she writes for other numbers, and a seventh problem to foretell. */
export function HabitPanel({ paper, slip, where, label, mechanism }: HabitPanelProps) {
  const say = useSpeaker();
  const [seed, setSeed] = useState(1);
  const [isToldNext, tellNext] = useState(false);
  const work = useWorkOf(paper);
  const problem = useComparison(({ content }) => content.problem);
  const sheet = useHabit({ problem, paper: work, slip, where, seed });
  if (!sheet) return <Looking />;
  if (sheet.items.length === 0) return null;
  const another = () => {
    setSeed(seed + 1);
    tellNext(false);
  };
  const save = () => {
    const all = [...sheet.items, ...(sheet.next ? [sheet.next] : [])];
    const text = sheetMarkdown(all, { label, mechanism, say });
    download(fileName(`sheet ${label}`, 'md'), text, 'text/markdown');
  };
  const hidden = sheet.items.filter(({ shows }) => !shows).length;
  return (
    <section className="habit-panel" aria-label="A learner with this habit">
      <h2>
        A learner with this habit{' '}
        <span className="caption">
          what would she write for the last one?{' '}
          {hidden > 0 && `${hidden} of ${sheet.items.length} do not show it`}
        </span>
      </h2>
      <ol className="habit-items">
        {sheet.items.map((item) => (
          <Item key={problemText(item.problem)} item={item} say={say} />
        ))}
        {sheet.next && <Next item={sheet.next} isTold={isToldNext} tell={() => tellNext(true)} />}
      </ol>
      <p className="chips">
        <button type="button" className="chip" onClick={another}>
          other numbers
        </button>
        <button type="button" className="chip" onClick={save}>
          sheet with an answer page
        </button>
      </p>
    </section>
  );
}

function Looking() {
  return (
    <section className="habit-panel" aria-label="A learner with this habit">
      <h2>A learner with this habit</h2>
      <p className="caption" role="status">
        Looking for numbers that show it …
      </p>
    </section>
  );
}

interface NextProps {
  readonly item: HabitItem;
  readonly isTold: boolean;
  readonly tell: () => void;
}

/** The problem whose answer is to be foretold. */
function Next({ item, isTold, tell }: NextProps) {
  const say = useSpeaker();
  return (
    <li className="next-item">
      <span className="figures">
        <MathText text={`${say.pointed(problemText(item.problem))} =`} />
      </span>{' '}
      {isTold ? (
        <strong className="figures">
          <MathText text={answerOf(item, say)} />
        </strong>
      ) : (
        <button type="button" className="link" onClick={tell}>
          ? show
        </button>
      )}
    </li>
  );
}

function Item({ item, say }: { readonly item: HabitItem; readonly say: Speaker }) {
  return (
    <li className={item.shows ? '' : 'hidden-habit'}>
      <span className="figures">
        <MathText text={`${say.pointed(problemText(item.problem))} =`} />
      </span>{' '}
      <span className="figures answer">
        <MathText text={answerOf(item, say)} />
      </span>
      {!item.shows && <span className="caption"> does not show</span>}
    </li>
  );
}

function answerOf({ problem, answer }: HabitItem, say: Speaker): string {
  return say.pointed(amountWriter(problem)(answer));
}

interface SheetWords {
  readonly label: string;
  readonly mechanism: string;
  readonly say: Speaker;
}

/** The sheet as a page with the learner's answers and the last one open, and a page that tells. */
function sheetMarkdown(items: readonly HabitItem[], { label, mechanism, say }: SheetWords): string {
  const problems = items.map((item, k) => {
    const text = say.pointed(problemText(item.problem));
    const answer = k === items.length - 1 ? '______' : answerOf(item, say);
    return `${k + 1}. ${text} = ${answer}`;
  });
  const told = items.map((item, k) => {
    const text = say.pointed(problemText(item.problem));
    const shown = item.shows ? `shows the habit (${item.made.join(', ')})` : 'does not show it';
    return `${k + 1}. ${text} = ${answerOf(item, say)}: ${shown}`;
  });
  return [
    '# What does this learner do?',
    '',
    'All answers are by one learner. What would she write for the last one, and why?',
    '',
    ...problems,
    '',
    '---',
    '',
    '# Answers',
    '',
    `**${label}.** ${mechanism}`,
    '',
    ...told,
    '',
  ].join('\n');
}
