import { AGREEMENT } from '../compare/certificate/agreement-shape.ts';
import {
  amount,
  count,
  flag,
  listOf,
  only,
  record,
  said,
  text,
  type Described,
} from '../describe/describe.ts';
import { COST, PROBLEM, SCHOOL } from './trace-shape.ts';

/** The open format of a comparison worked out, version 1. */
export const COMPARISON_REPORT = record({
  format: only('levee-comparison-report'),
  version: only(1),
  problem: PROBLEM,
  terms: listOf(record({ id: text(), text: text(), worth: amount() })),
  methods: listOf(
    record({
      method: text(80),
      school: SCHOOL,
      answer: amount(),
      balanced: flag(),
      steps: count(),
      cost: COST,
    }),
    { least: 1 },
  ),
  sameAmounts: listOf(
    record({
      terms: listOf(text()),
      worth: amount(),
      members: listOf(record({ method: text(80), group: text() })),
    }),
  ),
  stops: said(
    'Step numbers, one a method, at which all have dealt with the same terms.',
    listOf(listOf(count())),
  ),
  sameResult: said('Whether all methods come to one and the same result, told in one way.', flag()),
  agree: said(
    'Whether every account balances and the certificate holds: the results belong to the same numbers.',
    flag(),
  ),
  agreement: AGREEMENT,
});

export type ComparisonReport = Described<typeof COMPARISON_REPORT>;
