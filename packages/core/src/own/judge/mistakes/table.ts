import type { FalseRule } from './rule.ts';
import { BOTH_SCALED } from './rules/both-scaled.ts';
import { FACTOR_TO_BOTH } from './rules/factor-to-both.ts';
import { FIGURES_STRUCK } from './rules/figures-struck.ts';
import { GIVE_AND_TAKE_ON_PRODUCT } from './rules/give-and-take-on-product.ts';
import { LEFT_TO_RIGHT } from './rules/left-to-right.ts';
import { LIKE_PLACES_ONLY } from './rules/like-places-only.ts';
import { MINUS_CUT_OFF } from './rules/minus-cut-off.ts';
import { MINUSES_MAKE_PLUS } from './rules/minuses-make-plus.ts';
import { ONE_SCALED } from './rules/one-scaled.ts';
import { OPPOSITE_CHANGES } from './rules/opposite-changes.ts';
import { OVER_A_DIVISOR } from './rules/over-a-divisor.ts';
import { POWER_OVER_SUM } from './rules/power-over-sum.ts';
import { SAME_ADDED_TO_BOTH } from './rules/same-added-to-both.ts';
import { SAME_CHANGE_ON_SUM } from './rules/same-change-on-sum.ts';
import { SUM_FOR_PRODUCT } from './rules/sum-for-product.ts';
import { TERMS_STRUCK } from './rules/terms-struck.ts';
import { TOO_MUCH_AGAIN } from './rules/too-much-again.ts';
import { TOPS_AND_BOTTOMS } from './rules/tops-and-bottoms.ts';
import { TURNED_DIFFERENCE } from './rules/turned-difference.ts';
import { UNLIKE_JOINED } from './rules/unlike-joined.ts';
import { WRONG_FACTOR } from './rules/wrong-factor.ts';

/** Every false rule with the true one beside it, in the order in which they are tried. A rule is added by its file and its line here. */
export const FALSE_RULES: readonly FalseRule[] = [
  GIVE_AND_TAKE_ON_PRODUCT,
  SAME_CHANGE_ON_SUM,
  TURNED_DIFFERENCE,
  OPPOSITE_CHANGES,
  TOO_MUCH_AGAIN,
  MINUS_CUT_OFF,
  MINUSES_MAKE_PLUS,
  LEFT_TO_RIGHT,
  BOTH_SCALED,
  FACTOR_TO_BOTH,
  POWER_OVER_SUM,
  LIKE_PLACES_ONLY,
  WRONG_FACTOR,
  SUM_FOR_PRODUCT,
  UNLIKE_JOINED,
  ONE_SCALED,
  OVER_A_DIVISOR,
  TOPS_AND_BOTTOMS,
  SAME_ADDED_TO_BOTH,
  TERMS_STRUCK,
  FIGURES_STRUCK,
];
