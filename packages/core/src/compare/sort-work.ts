import type { Trace } from '../account/account.ts';
import type { Problem } from '../problem/problem.ts';
import { OWN_LINES } from '../account/own-lines.ts';
import { sortOf } from '../problem/sorts/sorts.ts';
import type { SortId } from '../problem/sorts/sort.ts';
import { fractionTold } from './told/fractions.ts';
import {
  partCertainties,
  placedCertainties,
  quotientCertainties,
  rootCertainties,
  type Certainty,
} from './counted/certainty.ts';
import {
  additions,
  figureFacts,
  partFacts,
  productFacts,
  quotientFacts,
  regroupings,
  rootFacts,
  subtractions,
} from './counted/counts.ts';
import {
  carriedRemainders,
  divisionForesight,
  rootForesight,
  type Foresight,
} from './counted/foresight.ts';
import { ownCounts } from './counted/own-counts.ts';
import {
  ownLabels,
  partLabels,
  productLabels,
  quotientLabels,
  rootLabels,
  sumLabels,
  termLabels,
  type Labels,
} from './step-labels.ts';
import { productTold } from './told/products.ts';
import { quotientMoves } from './told/quotient-moves.ts';
import { rootMoves } from './told/root-moves.ts';
import { sumTold } from './told/sums.ts';
import { NOTHING_TOLD, type Telling } from './told/telling.ts';

/** What differs between sorts of problems when their works are looked at. */
export interface SortWork {
  /** How a work comes from the problem to its value. */
  readonly told: Telling;
  /** What is sure of the answer, before the first step and after every step. */
  readonly certainties: (trace: Trace) => readonly Certainty[];
  /** What it must do that is out of the ordinary and of this sort alone. */
  readonly foreseen: (trace: Trace) => readonly Foresight[];
  /** A word or two for every step. */
  readonly labels: Labels;
  /** What is counted as a fact, and as an addition. */
  readonly facts: (trace: Trace) => number;
  readonly additions: (trace: Trace) => number;
  /** Carries and places opened, and what is carried on to the next figure without a mark of its own, as a remainder is. */
  readonly carries: (trace: Trace) => number;
}

const SUM: SortWork = {
  told: sumTold,
  certainties: placedCertainties,
  foreseen: nothing,
  labels: sumLabels,
  facts: (trace) => figureFacts(trace.whole ?? trace),
  additions,
  carries: regroupings,
};
const PRODUCT: SortWork = { ...SUM, told: productTold, labels: productLabels, facts: productFacts };
/** Fractions and terms have no figures in places. */
const FRACTIONS: SortWork = {
  ...SUM,
  labels: partLabels,
  facts: partFacts,
  certainties: partCertainties,
};
const TERMS: SortWork = {
  ...SUM,
  labels: termLabels,
  facts: additions,
  certainties: partCertainties,
};

/** Every sort, in one place; those that no method works are looked at as sums are. */
const SORT_WORK: Partial<Record<SortId, SortWork>> = {
  'sum of figures': SUM,
  'difference of figures': SUM,
  'product of figures': PRODUCT,
  'quotient of figures': {
    told: ({ problem }, lane, total) =>
      total.isZero ? NOTHING_TOLD : { ...quotientMoves(lane, problem), brief: false },
    certainties: quotientCertainties,
    foreseen: divisionForesight,
    labels: quotientLabels,
    facts: quotientFacts,
    additions: subtractions,
    carries: (trace) => regroupings(trace) + carriedRemainders(trace).length,
  },
  'root of figures': {
    told: ({ problem }, lane, total) =>
      total.isZero ? NOTHING_TOLD : { ...rootMoves(lane, problem), brief: false },
    certainties: rootCertainties,
    foreseen: rootForesight,
    labels: rootLabels,
    facts: rootFacts,
    additions: subtractions,
    carries: regroupings,
  },
  'sum of fractions': FRACTIONS,
  'difference of fractions': FRACTIONS,
  'product of fractions': { ...FRACTIONS, told: fractionTold },
  'quotient of fractions': { ...FRACTIONS, told: fractionTold },
  'sum of terms': TERMS,
  'difference of terms': TERMS,
  'product of terms': { ...TERMS, told: productTold, facts: productFacts },
  'expression of figures': SUM,
  'expression of fractions': FRACTIONS,
  'expression of terms': TERMS,
};

/** What someone's own lines change: they are named and counted as they stand. */
const OWN_WORK: Partial<SortWork> = {
  labels: ownLabels,
  facts: (trace) => ownCounts(trace).facts,
  additions: (trace) => ownCounts(trace).additions,
  carries: (trace) => ownCounts(trace).regroupings,
};

/** How the works of a problem are looked at, whoever made them. */
export function sortWork(problem: Problem): SortWork {
  return SORT_WORK[sortOf(problem).id] ?? SUM;
}

/** How a work is looked at: by its sort, and by whose it is. */
export function lookedAt({ problem, method }: Pick<Trace, 'problem' | 'method'>): SortWork {
  if (method !== OWN_LINES) return sortWork(problem);
  // Terms with letters are counted as in any work.
  const own = sortOf(problem).script === 'terms' ? { labels: ownLabels } : OWN_WORK;
  return { ...sortWork(problem), ...own };
}

function nothing(): readonly Foresight[] {
  return [];
}
