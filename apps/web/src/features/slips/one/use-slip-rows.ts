import { slipIdea, type Speaker } from '@levee/core';
import { startTransition, useDeferredValue, useEffect, useMemo, useState } from 'react';
import { away } from '../../../away/away.ts';
import { useComparison } from '../../../store/comparison-store.ts';
import type { Paper } from '../../../worked/work.ts';
import { beforeRows } from './before-rows.ts';
import {
  chancesOf,
  outcomeOf,
  outcomesOf,
  slipRows,
  type Chance,
  type Outcome,
  type SlipRow,
} from './slip-rows.ts';
import { useWorkOf } from './use-work-of.ts';

/** The chances of a paper, and which of them is looked at where none is chosen. */
export interface SlipRows {
  readonly rows: readonly SlipRow[];
  /** Null while it is sought, or where there is none. */
  readonly usual: SlipRow | null;
  readonly isSought: boolean;
}

/** What can go wrong on a paper: the chances at once, what comes of them as it is worked away from the page. */
export function useSlipRows(paper: Paper, say: Speaker): SlipRows {
  const work = useWorkOf(paper);
  const { problem } = useComparison(({ content }) => content);
  const { trace } = paper.lane;
  const chances = useMemo(() => chancesOf(paper, say), [paper, say]);
  const known = outcomesOf(trace);
  const [count, setCount] = useState(known.size);
  // What goes wrong before the work is listed behind it, and made when the rest is drawn.
  const isDrawn = useDeferredValue(true, false);
  const before = useMemo(() => (isDrawn ? beforeRows(paper, say) : []), [isDrawn, paper, say]);
  useEffect(() => {
    const asked = byUse(chances).flatMap(({ address }) => (known.has(address) ? [] : [address]));
    if (asked.length === 0) return undefined;
    let isAsked = true;
    void away('slipAnswers', problem, work, asked, (answers) => {
      for (const one of answers) known.set(one.slip, outcomeOf(one, trace));
      if (isAsked) startTransition(() => setCount(known.size));
      return isAsked;
    });
    return () => {
      isAsked = false;
    };
  }, [chances, known, problem, work, trace]);
  return useMemo(() => {
    const rows = slipRows(chances, known, before);
    const { address, isSought } = usualOf(chances, known);
    const usual = rows.find((row) => row.address === address) ?? null;
    const isLast = !isSought && usual === null;
    return {
      rows,
      usual: isLast ? (rows[0] ?? null) : usual,
      isSought: isSought || (isLast && !isDrawn),
    };
    // What is known grows: `count` says when.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [chances, known, before, isDrawn, count]);
}

/** Chances of slips that are met often first. */
function byUse(chances: readonly Chance[]): readonly Chance[] {
  const often = chances.filter(({ slip }) => slipIdea(slip).often === 3);
  return [...often, ...chances.filter((chance) => !often.includes(chance))];
}

/** The first chance of a slip that is met often and shows here; else of any that shows; sought until it is known. */
function usualOf(
  chances: readonly Chance[],
  known: ReadonlyMap<string, Outcome>,
): { readonly address: string | null; readonly isSought: boolean } {
  for (const { address } of byUse(chances)) {
    const outcome = known.get(address);
    if (!outcome) return { address: null, isSought: true };
    if (!outcome.off.isZero) return { address, isSought: false };
  }
  return { address: chances[0]?.address ?? null, isSought: false };
}
