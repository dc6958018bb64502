import { compare, problemText, slipIdea, type Problem, type Speaker } from '@levee/core';
import { useMemo } from 'react';
import { MathText } from '../../../ui/math-text.tsx';
import { useSpeaker } from '../../../worked/use-worked.ts';
import { paperOfLane, type Paper } from '../../../worked/work.ts';
import type { Covers } from '../covers.ts';
import { Noticed } from './noticed.tsx';
import type { BeforeRow, Outcome } from './slip-rows.ts';
import { FinishedPaper } from './two-papers.tsx';

interface BeforePanelProps {
  readonly paper: Paper;
  readonly row: BeforeRow;
  readonly covers: Covers;
}

/** What goes wrong before the work: the right paper beside the one that is worked instead, or beside what is handed in. */
export function BeforePanel({ paper, row, covers }: BeforePanelProps) {
  const { copied, answer } = row.before;
  const other = useMemo(() => copied && otherPaper(paper, copied), [paper, copied]);
  const idea = slipIdea(row.slip);
  const isNamed = covers.isUp('name');
  return (
    <div className="slip-main">
      <div className="two-papers before">
        <FinishedPaper paper={paper} other={other} title="As it should be" />
        {other && copied ? (
          <FinishedPaper
            paper={other}
            other={paper}
            title={isNamed ? problemText(copied) : 'Another work'}
            framed={covers.isUp('marks')}
            slipped
          />
        ) : (
          <HandedIn row={row} isNamed={isNamed} />
        )}
      </div>
      <div className="slip-below">
        <Noticed paper={paper} answer={answer} isCovered={!covers.isUp('checks')} />
      </div>
      {isNamed && (
        <section className="what-helps" aria-label="Why it happens">
          <h2>Why it happens</h2>
          <p>
            <MathText
              text={`${idea.mechanism} ${
                copied
                  ? 'From there on the work is right: it is another computation, and no check of its steps would find a fault.'
                  : 'No step of the work is wrong: what is handed in is another number.'
              }`}
            />
          </p>
        </section>
      )}
    </div>
  );
}

/** The same method on the computation that was set down. */
function otherPaper({ method, lane }: Paper, problem: Problem): Paper {
  const { school } = lane.trace;
  return paperOfLane(compare(problem, [{ method, school }]).lanes[0]!, 0);
}

function shortText(off: Outcome['off'], say: Speaker): string {
  if (!off.isConstant) return `${say.worth(off)} more than is due.`;
  return `${say.worth(off.absolute())} ${off.isNegative ? 'short' : 'too much'}.`;
}

function HandedIn({ row, isNamed }: { readonly row: BeforeRow; readonly isNamed: boolean }) {
  const say = useSpeaker();
  return (
    <article className="slip-paper slipped" aria-label="What is handed in">
      <header>
        <h2>{isNamed ? row.label : 'Another answer'}</h2>
      </header>
      <p className="handed-in figures">
        <MathText text={say.pointed(row.answer)} />
      </p>
      <p className="sentence">
        <MathText text={shortText(row.off, say)} />
      </p>
    </article>
  );
}
