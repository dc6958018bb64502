import type { Trace } from '../account/account.ts';
import type { ProblemKind } from '../problem/problem.ts';
import type { Script } from '../problem/script.ts';
import {
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
  rootFacts,
  subtractions,
} from './counts.ts';
import {
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
  /** A word or two for every step. */
  readonly labels: Labels;
  /** What is counted as a fact, and as an addition. */
  readonly facts: (trace: Trace) => number;
  readonly additions: (trace: Trace) => number;
}

const SUM: KindWork = {
  isFoundPieceByPiece: false,
  told: sumTold,
  certainties: placedCertainties,
  labels: sumLabels,
  facts: (trace) => figureFacts(trace.whole ?? trace),
  additions,
};

/** Every kind, in one place; a new kind adds its entry here. */
export const KIND_WORK: Record<ProblemKind, KindWork> = {
  sum: SUM,
  difference: SUM,
  product: {
    isFoundPieceByPiece: false,
    told: productTold,
    certainties: placedCertainties,
    labels: productLabels,
    facts: productFacts,
    additions,
  },
  quotient: {
    isFoundPieceByPiece: true,
    told: ({ problem }, lane, total) =>
      total.isZero ? NOTHING_TOLD : { ...quotientMoves(lane, problem), brief: false },
    certainties: quotientCertainties,
    labels: quotientLabels,
    facts: quotientFacts,
    additions: subtractions,
  },
  root: {
    isFoundPieceByPiece: true,
    told: ({ problem }, lane, total) =>
      total.isZero ? NOTHING_TOLD : { ...rootMoves(lane, problem), brief: false },
    certainties: rootCertainties,
    labels: rootLabels,
    facts: rootFacts,
    additions: subtractions,
  },
};

/** What numbers written as fractions or with letters change of that, whatever the kind; null for figures. */
export const SCRIPT_WORK: Record<Script, Pick<KindWork, 'labels' | 'facts'> | null> = {
  figures: null,
  fractions: { labels: partLabels, facts: partFacts },
  terms: {
    labels: termLabels,
    facts: (trace) => (trace.problem.kind === 'product' ? productFacts : additions)(trace),
  },
};
