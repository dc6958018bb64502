import { type Exact } from '../../exact/exact.ts';
import { numeralValue, type Numeral } from '../../exact/numeral.ts';
import type { Asked } from '../read/asked.ts';
import type { JudgedLine } from '../judge/judged.ts';
import { judgeLines } from '../judge/judge-lines.ts';
import { costOfLines, countedLines } from './cost.ts';
import { waysOfProduct } from './product-drafts.ts';
import { waysOfQuotient } from './quotient-drafts.ts';
import { waysOfDifference, waysOfSum } from './sum-drafts.ts';
import type { WayDraft, WayKind } from './kinds.ts';
import { waysOfBrackets, waysOfFractions } from './parts-drafts.ts';

/** A true way that these numbers invite, each line proved by a law. */
export interface InvitedWay {
  readonly kind: WayKind;
  readonly lines: readonly JudgedLine[];
  readonly cost: number;
  readonly why: string;
}

/** The most ways that are told. */
const MOST = 5;

/**
 * Ways others take with these numbers, different in kind, cheapest first; only those that the judge finds lawful in
 * every line, complete and right. Fewer than three, or none, where the numbers invite no more.
 */
export function waysFor(asked: Asked): readonly InvitedWay[] {
  const made = draftsFor(asked).flatMap((draft) => provedWay(asked, draft));
  const byKind = new Map<WayKind, InvitedWay>();
  for (const way of made) {
    const known = byKind.get(way.kind);
    if (!known || way.cost < known.cost) byKind.set(way.kind, way);
  }
  return [...byKind.values()]
    .sort(
      (a, b) => a.cost - b.cost || a.lines.length - b.lines.length || (a.kind < b.kind ? -1 : 1),
    )
    .slice(0, MOST);
}

function draftsFor({ problem }: Asked): readonly WayDraft[] {
  if (!problem || problem.base !== 10 || problem.operands.length !== 2) return [];
  const { operands } = problem;
  if (operands.every(({ terms }) => terms)) {
    const lists = operands.map(({ terms }) => terms!.list);
    return problem.kind === 'product' ? waysOfBrackets(lists) : [];
  }
  if (operands.some(({ terms }) => terms)) return [];
  if (operands.some(({ fraction }) => fraction)) {
    const pair = operands as readonly [Numeral, Numeral];
    const isTaken = problem.kind === 'difference';
    return waysOfFractions(isTaken ? '−' : '+', pair);
  }
  const [a, b] = problem.operands.map(numeralValue) as [Exact, Exact];
  if (a.isZero || b.isZero) return [];
  switch (problem.kind) {
    case 'sum':
      return waysOfSum(a, b);
    case 'difference':
      return waysOfDifference(a, b);
    case 'product':
      return waysOfProduct(a, b);
    case 'quotient':
      return waysOfQuotient(a, b);
    case 'root':
    case 'expression':
      return [];
  }
}

function provedWay(asked: Asked, { kind, lines, why }: WayDraft): readonly InvitedWay[] {
  const told = lines.filter((line, k) => k === 0 || line !== lines[k - 1]);
  const judged = judgeLines(asked, told);
  const isProved =
    judged.complete && judged.right && judged.lines.every(({ verdict }) => verdict === 'lawful');
  return isProved
    ? [{ kind, lines: judged.lines, why, cost: costOfLines(countedLines(judged)) }]
    : [];
}
