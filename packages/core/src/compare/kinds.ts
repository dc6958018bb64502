import type { Trace } from '../account/account.ts';
import type { ProblemKind } from '../problem/kinds.ts';
import type { Script } from '../problem/script.ts';
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
  rootFacts,
  subtractions,
} from './counts.ts';
import {
  carriedRemainders,
  divisionForesight,
  rootForesight,
  type Foresight,
} from './foresight-of.ts';
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
  /** What it must do that is out of the ordinary and of this kind alone. */
  readonly foreseen: (trace: Trace) => readonly Foresight[];
  /** A word or two for every step. */
  readonly labels: Labels;
  /** What is counted as a fact, and as an addition. */
  readonly facts: (trace: Trace) => number;
  /** The same where its numbers are terms with letters. */
  readonly termFacts: (trace: Trace) => number;
  readonly additions: (trace: Trace) => number;
  /** What is carried on to the next figure without a mark of its own, as a remainder is. */
  readonly carriedOn: (trace: Trace) => number;
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
  carriedOn: none,
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
    carriedOn: none,
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
    carriedOn: (trace) => carriedRemainders(trace).length,
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
    carriedOn: none,
  },
};

/** What numbers written as fractions or with letters change of that, whatever the kind; null for figures. */
export const SCRIPT_WORK: Record<
  Script,
  Pick<KindWork, 'labels' | 'facts' | 'certainties'> | null
> = {
  figures: null,
  fractions: { labels: partLabels, facts: partFacts, certainties: partCertainties },
  terms: {
    labels: termLabels,
    facts: (trace) => KIND_WORK[trace.problem.kind].termFacts(trace),
    certainties: partCertainties,
  },
};

function nothing(): readonly Foresight[] {
  return [];
}

function none(): number {
  return 0;
}
