import type { Trace } from '../account/account.ts';
import type { ProblemKind } from '../problem/kinds.ts';
import { OWN_LINES } from '../account/own-lines.ts';
import { scriptOf, type Script } from '../problem/script.ts';
import {
  partCertainties,
  placedCertainties,
  quotientCertainties,
  rootCertainties,
  type Certainty,
} from './certainty-of.ts';
import {
  additions,
  figureFacts,
  partFacts,
  productFacts,
  quotientFacts,
  regroupings,
  rootFacts,
  subtractions,
} from './counts.ts';
import {
  carriedRemainders,
  divisionForesight,
  rootForesight,
  type Foresight,
} from './foresight-of.ts';
import { ownCounts } from './own-counts.ts';
import {
  ownLabels,
  partLabels,
  productLabels,
  quotientLabels,
  rootLabels,
  sumLabels,
  termLabels,
  type Labels,
} from './labels-of.ts';
import { productTold } from './product-told.ts';
import { quotientMoves } from './quotient-moves.ts';
import { rootMoves } from './root-moves.ts';
import { sumTold } from './sum-told.ts';
import { NOTHING_TOLD, type Telling } from './told.ts';

/** What differs between kinds of problems when their works are looked at. */
export interface KindWork {
  /** Whether everything is owed that is not found yet, also where it is written as what is left. */
  readonly isFoundPieceByPiece: boolean;
  /** How a work comes from the problem to its value. */
  readonly told: Telling;
  /** What is sure of the answer, before the first step and after every step. */
  readonly certainties: (trace: Trace) => readonly Certainty[];
  /** What it must do that is out of the ordinary and of this kind alone. */
  readonly foreseen: (trace: Trace) => readonly Foresight[];
  /** A word or two for every step. */
  readonly labels: Labels;
  /** What is counted as a fact, and as an addition. */
  readonly facts: (trace: Trace) => number;
  /** The same where its numbers are terms with letters. */
  readonly termFacts: (trace: Trace) => number;
  readonly additions: (trace: Trace) => number;
  /** Carries and places opened, and what is carried on to the next figure without a mark of its own, as a remainder is. */
  readonly carries: (trace: Trace) => number;
}

const SUM: KindWork = {
  isFoundPieceByPiece: false,
  told: sumTold,
  certainties: placedCertainties,
  foreseen: nothing,
  labels: sumLabels,
  facts: (trace) => figureFacts(trace.whole ?? trace),
  termFacts: additions,
  additions,
  carries: regroupings,
};

/** Every kind, in one place; a new kind adds its entry here. */
export const KIND_WORK: Record<ProblemKind, KindWork> = {
  sum: SUM,
  difference: SUM,
  expression: SUM,
  product: {
    isFoundPieceByPiece: false,
    told: productTold,
    certainties: placedCertainties,
    foreseen: nothing,
    labels: productLabels,
    facts: productFacts,
    termFacts: productFacts,
    additions,
    carries: regroupings,
  },
  quotient: {
    isFoundPieceByPiece: true,
    told: ({ problem }, lane, total) =>
      total.isZero ? NOTHING_TOLD : { ...quotientMoves(lane, problem), brief: false },
    certainties: quotientCertainties,
    foreseen: divisionForesight,
    labels: quotientLabels,
    facts: quotientFacts,
    termFacts: quotientFacts,
    additions: subtractions,
    carries: (trace) => regroupings(trace) + carriedRemainders(trace).length,
  },
  root: {
    isFoundPieceByPiece: true,
    told: ({ problem }, lane, total) =>
      total.isZero ? NOTHING_TOLD : { ...rootMoves(lane, problem), brief: false },
    certainties: rootCertainties,
    foreseen: rootForesight,
    labels: rootLabels,
    facts: rootFacts,
    termFacts: rootFacts,
    additions: subtractions,
    carries: regroupings,
  },
};

/** What numbers written as fractions or with letters change of that, whatever the kind; nothing for figures. */
const SCRIPT_WORK: Record<Script, Partial<KindWork>> = {
  figures: {},
  fractions: { labels: partLabels, facts: partFacts, certainties: partCertainties },
  terms: {
    labels: termLabels,
    facts: (trace) => KIND_WORK[trace.problem.kind].termFacts(trace),
    certainties: partCertainties,
  },
};

/** What someone's own lines change: they are named and counted as they stand. */
const OWN_WORK: Partial<KindWork> = {
  labels: ownLabels,
  facts: (trace) => ownCounts(trace).facts,
  additions: (trace) => ownCounts(trace).additions,
  carries: (trace) => ownCounts(trace).regroupings,
};

/** How a work is looked at: by its kind, by how its numbers are written, and by whose it is. */
export function workOf({ problem, method }: Pick<Trace, 'problem' | 'method'>): KindWork {
  const script = scriptOf(problem);
  const isOwn = method === OWN_LINES;
  // Terms with letters are counted as in any work.
  const own = isOwn && script === 'terms' ? { labels: ownLabels } : isOwn ? OWN_WORK : {};
  return { ...KIND_WORK[problem.kind], ...SCRIPT_WORK[script], ...own };
}

function nothing(): readonly Foresight[] {
  return [];
}
