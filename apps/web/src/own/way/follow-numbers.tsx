import { isCounted, problemText, workOf, type OwnLinesMethod } from '@levee/core';
import { useEffect, useState } from 'react';
import { away } from '../../away/away.ts';
import type { WayThere } from '../../away/way-job.ts';
import { changeOwn } from '../change.ts';
import { ProblemText } from '../../ui/problem-text.tsx';
import type { Paper } from '../../worked/work.ts';
import { fittedBefore, rememberFit } from './moved.ts';

/** What is offered when the numbers on the bench were changed under lines that were right. */
export interface Followed {
  /** The computation that the lines were a way for. */
  readonly before: string;
  readonly there: WayThere;
}

/** The way of the lines on the numbers that the bench has now; null where they were right for no others before. */
export function useFollowed(paper: Paper, method: OwnLinesMethod): Followed | null {
  const { paper: judged, asked, isWaiting } = method.judged(paper.lane.trace.problem);
  const { own } = method;
  const isFit = judged.complete && judged.right;
  useEffect(() => {
    if (isFit) rememberFit(own, asked.text);
  }, [isFit, own, asked.text]);
  const before = isFit || isWaiting ? null : fittedBefore(own, asked.text);
  const there = useThere(asked.text, before, method);
  return before !== null && there ? { before, there } : null;
}

/** Says whose numbers the lines have, and lays the way on the new ones. */
export function FollowNumbers({
  paper,
  followed,
}: {
  readonly paper: Paper;
  readonly followed: Followed;
}) {
  const { before, there } = followed;
  const { laid, says } = there;
  const problem = problemText(paper.lane.trace.problem);
  return (
    <p className="sentence" role="group" aria-label={`${paper.method.shortName}, other numbers`}>
      These lines were right for <ProblemText problem={before} />.{' '}
      {laid ? (
        <button
          type="button"
          className="chip"
          onClick={() => changeOwn(paper.id, (own) => ({ ...own, lines: workOf(laid).lines }))}
        >
          Lay the way on {problem}
        </button>
      ) : (
        says
      )}
    </p>
  );
}

function useThere(
  problem: string,
  before: string | null,
  { own }: OwnLinesMethod,
): WayThere | null {
  const [found, setFound] = useState<{ readonly of: string; readonly there: WayThere } | null>(
    null,
  );
  const lines = own.lines.filter(isCounted).map(({ text }) => text);
  const key = before === null ? null : JSON.stringify([problem, before, lines]);
  useEffect(() => {
    if (key === null) return;
    let isAsked = true;
    const [asked, from, typed] = JSON.parse(key) as [string, string, string[]];
    void away('waysThere', asked, [{ name: '', problem: from, lines: typed }]).then(([there]) => {
      if (isAsked && there) setFound({ of: key, there });
    });
    return () => {
      isAsked = false;
    };
  }, [key]);
  return found?.of === key ? found.there : null;
}
