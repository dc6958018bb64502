import type { School } from '../account/account.ts';
import { addressText, type Addressed, type Fact, type Feature } from '../account/chance.ts';
import type { Exact } from '../exact/exact.ts';
import type { Method } from '../methods/method.ts';
import type { Problem } from '../problem/problem.ts';
import { slipIdea } from '../slips/catalogue.ts';

/** A slip of an explanation; a wrong fact with the idea that explains it. */
export interface CauseSlip extends Addressed {
  /** The idea of the catalogue: the slip itself, or what explains a wrong fact. */
  readonly idea: string;
  readonly fact?: Fact;
}

/** In what an explanation looks for the fault, in the order in which explanations are given. */
const TIERS = ['whole-item', 'method', 'fact', 'copy'] as const;
export type Tier = (typeof TIERS)[number];

/** A work in which a cause gives its answer. */
export interface CauseWork {
  readonly method: Method;
  readonly school: School;
}

/** One way in which a wrong answer comes about. */
export interface Cause {
  readonly tier: Tier;
  readonly slips: readonly CauseSlip[];
  readonly habit: { readonly where: 'all' | Feature } | null;
  readonly answer: Exact;
  /** The works that give this answer with these slips; empty where the item as a whole is mistaken. */
  readonly works: readonly CauseWork[];
  /** What is worked instead, when the question was copied wrongly. */
  readonly copied: Problem | null;
  /** Whether what one slip gains another takes back in part. */
  readonly cancels: boolean;
}

/** How many different slips a cause supposes. */
export function slipCount({ slips }: Cause): number {
  return new Set(slips.map(({ slip, idea }) => (slip === idea ? slip : `${slip} ${idea}`))).size;
}

/** What makes two causes one and the same: slips, addresses and answer. */
export function causeKey({ slips, answer }: Cause): string {
  return `${answer.toString()} ${slips.map(addressText).sort().join(' ')}`;
}

/**
 * The order in which explanations of an answer are given: fewer different slips first; the whole item, then slips of
 * methods, facts, copies; a habit before a single slip, one at all chances before one at some; what is often met first.
 */
export function compareCauses(a: Cause, b: Cause): number {
  return (
    slipCount(a) - slipCount(b) ||
    tierOf(a) - tierOf(b) ||
    habitRank(a) - habitRank(b) ||
    oftenOf(b) - oftenOf(a) ||
    textOf(a).localeCompare(textOf(b), 'en')
  );
}

function tierOf({ tier }: Cause): number {
  return TIERS.indexOf(tier);
}

function habitRank({ habit }: Cause): number {
  if (!habit) return 2;
  return habit.where === 'all' ? 0 : 1;
}

function oftenOf({ slips }: Cause): number {
  return Math.min(...slips.map(({ idea }) => slipIdea(idea).often));
}

function textOf({ slips }: Cause): string {
  return slips.map(addressText).join(' ');
}
