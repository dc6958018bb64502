/** The ways in which an answer can be checked. */
export const CHECKS = [
  'estimate',
  'leading-figures',
  'inverse',
  'direction',
  'point',
  'totals',
  'casting-out',
  'second-method',
  'calculator',
  'substitution',
  'degree',
  'product-count',
  'whole-groups',
] as const;
export type CheckId = (typeof CHECKS)[number];

/** `agrees` and `disagrees` are findings; with `cannot-tell` the check says nothing about the answer. */
export const OUTCOMES = ['agrees', 'disagrees', 'cannot-tell'] as const;
export type Outcome = (typeof OUTCOMES)[number];
