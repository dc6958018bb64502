import {
  MAX_CHECKS,
  checks,
  problemText,
  reachOf,
  readExpression,
  scriptOf,
  type CheckId,
  type CheckRecord,
  type CheckSpec,
  type CheckSubject,
} from '@levee/core';
import { ToggleButton, ToggleButtonGroup } from '@mui/material';
import { useState } from 'react';
import { dispatch, useComparison } from '../../store/comparison-store.ts';
import { hasRoom, recorded } from '../../store/edits.ts';
import { notify } from '../../ui/notices.tsx';
import { ProblemText } from '../../ui/problem-text.tsx';
import { useNotation, useWorked } from '../../worked/use-worked.ts';
import type { Paper } from '../../worked/work.ts';
import { Calculator, type Keyed } from './calculator.tsx';
import { CheckRow } from './check-row.tsx';
import { CheckLog } from './check-log.tsx';
import { Certainties } from './certainties.tsx';
import './checks.css';

const FULL = `${MAX_CHECKS} checks are kept. Export the list and delete some before more are recorded.`;

/** Every way to check an answer: made on a chosen paper, recorded, with what it would and would not catch. */
export function ChecksPage() {
  const { papers, problem, comparison } = useWorked();
  const { estimate, problem: text } = useComparison((state) => state.content);
  const notation = useNotation();
  const [chosen, setChosen] = useState(0);
  const [second, setSecond] = useState(1);
  const [keyed, setKeyed] = useState<Keyed | null>(null);
  const index = Math.min(chosen, papers.length - 1);
  const other = otherOf(papers.length, index, second);
  const subject: CheckSubject = {
    comparison,
    lane: papers[index]!.lane,
    estimate,
    other: other === null ? null : papers[other]!.lane,
    calculated: keyed && {
      value: keyed.value,
      same: isSame(keyed, problemText(problem), notation.point === ','),
    },
  };
  const make = (id: CheckId) => keep(madeCheck(id, text, subject, keyed));
  return (
    <main className="checks">
      <header className="checks-head">
        <h1>
          Checks of <ProblemText problem={text} />
        </h1>
        <WhichPapers
          papers={papers}
          index={index}
          choose={setChosen}
          other={other}
          chooseOther={setSecond}
        />
      </header>
      <div className="checks-body">
        <section aria-label="Checks" className="checks-list">
          {inTurn(subject).map((check) => (
            <CheckRow key={check.id} check={check} subject={subject} make={() => make(check.id)} />
          ))}
        </section>
        <div className="checks-side">
          <Calculator
            keyed={keyed}
            offer={scriptOf(problem) === 'terms' ? null : text}
            notation={notation}
            done={(value) => setKeyed(value)}
            record={() => make('calculator')}
          />
          <CheckLog />
        </div>
      </div>
      <Certainties />
    </main>
  );
}

/** A check made on a paper, as it is recorded. */
function madeCheck(
  id: CheckId,
  problem: string,
  subject: CheckSubject,
  keyed: Keyed | null,
): CheckRecord {
  const { trace } = subject.lane;
  const { outcome } = checks.find((one) => one.id === id)!.make(subject, trace.answer);
  const against: Partial<Record<CheckId, string>> = {
    'second-method': subject.other?.trace.method,
    calculator: keyed?.text,
  };
  return {
    check: id,
    problem,
    method: trace.method,
    against: against[id] ?? '',
    outcome,
    at: new Date().toISOString(),
  };
}

function keep(record: CheckRecord): void {
  if (hasRoom(useComparison.getState().checks)) dispatch(recorded(record));
  else notify(FULL);
}

interface WhichPapersProps {
  readonly papers: readonly Paper[];
  readonly index: number;
  readonly choose: (index: number) => void;
  readonly other: number | null;
  readonly chooseOther: (index: number) => void;
}

/** The paper that is checked, and the one that it is held against. */
function WhichPapers({ papers, index, choose, other, chooseOther }: WhichPapersProps) {
  const names = papers.map(({ method }) => method.shortName);
  return (
    <>
      <PaperChoice label="Paper to check" index={index} choose={choose} names={names} />
      {other !== null && papers.length > 2 && (
        <PaperChoice
          label="Second method"
          caption="against"
          index={other}
          choose={chooseOther}
          names={names}
          without={index}
        />
      )}
    </>
  );
}

/**
 * Checks that can be made, those first that catch most slips of this paper; then those that need something from her.
 * What cannot say anything of these numbers is left out.
 */
function inTurn(subject: CheckSubject): readonly CheckSpec[] {
  const rank = (check: CheckSpec) => {
    if (check.lacks(subject) !== null) return 1;
    return -reachOf(check, subject).filter(({ caught }) => caught).length;
  };
  return checks
    .filter((check) => check.lacks(subject) === null || check.asksHer?.(subject))
    .map((check) => ({ check, rank: rank(check) }))
    .sort((a, b) => a.rank - b.rank)
    .map(({ check }) => check);
}

/** The paper to compare with: the chosen one, or the next when that is the paper itself; null when alone. */
function otherOf(count: number, index: number, chosen: number): number | null {
  if (count < 2) return null;
  const wanted = chosen % count;
  return wanted === index ? (index + 1) % count : wanted;
}

/** Whether what was keyed in is the very computation of the comparison. */
function isSame(keyed: Keyed, problem: string, decimalComma: boolean): boolean {
  const own = readExpression(keyed.text, { decimalComma });
  const asked = readExpression(problem);
  return own.ok && asked.ok && JSON.stringify(own.expression) === JSON.stringify(asked.expression);
}

interface PaperChoiceProps {
  readonly label: string;
  readonly caption?: string;
  readonly index: number;
  readonly names: readonly string[];
  readonly without?: number;
  readonly choose: (index: number) => void;
}

function PaperChoice({ label, caption, index, names, without, choose }: PaperChoiceProps) {
  return (
    <span className="paper-choice">
      {caption && <span className="caption">{caption}</span>}
      <ToggleButtonGroup
        exclusive
        size="small"
        value={index}
        aria-label={label}
        onChange={(_, chosen: number | null) => chosen !== null && choose(chosen)}
      >
        {names.map((name, k) =>
          k === without ? null : (
            <ToggleButton key={k} value={k}>
              {name}
            </ToggleButton>
          ),
        )}
      </ToggleButtonGroup>
    </span>
  );
}
