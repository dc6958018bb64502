import type { School } from '../account/account.ts';
import { agreement, type Agreement } from '../compare/agreement.ts';
import { sameAmounts } from '../compare/amounts.ts';
import type { Comparison } from '../compare/compare.ts';
import { resultOf, sameResult } from '../account/result.ts';
import { verifyAgreement } from '../compare/verify-agreement.ts';
import {
  costDocument,
  problemDocument,
  type CostDocument,
  type ProblemDocument,
} from './trace-document.ts';

/** The open format of a comparison worked out, version 1. */
export interface ComparisonReport {
  readonly format: 'levee-comparison-report';
  readonly version: 1;
  readonly problem: ProblemDocument;
  readonly terms: readonly { readonly id: string; readonly text: string; readonly worth: string }[];
  readonly methods: readonly {
    readonly method: string;
    readonly school: School;
    readonly answer: string;
    readonly balanced: boolean;
    readonly steps: number;
    readonly cost: CostDocument;
  }[];
  readonly sameAmounts: readonly {
    readonly terms: readonly string[];
    readonly worth: string;
    readonly members: readonly { readonly method: string; readonly group: string }[];
  }[];
  /** Step numbers, one a method, at which all have dealt with the same terms. */
  readonly stops: readonly (readonly number[])[];
  /** Whether all methods come to one and the same result, told in one way. */
  readonly sameResult: boolean;
  /** Whether every account balances and the certificate holds: the results belong to the same numbers. */
  readonly agree: boolean;
  readonly agreement: Agreement;
}

export function comparisonReport(comparison: Comparison): ComparisonReport {
  const { lanes, stops } = comparison;
  const certificate = agreement(comparison);
  const [first, ...others] = lanes.map(({ trace }) => resultOf(trace));
  const isOne = others.every((result) => sameResult(result, first!));
  return {
    format: 'levee-comparison-report',
    version: 1,
    problem: problemDocument(lanes[0]!.trace),
    terms: certificate.terms,
    methods: lanes.map(({ trace }) => ({
      method: trace.method,
      school: trace.school,
      answer: trace.answer.toString(),
      balanced: trace.balanced,
      steps: trace.steps.length,
      cost: costDocument(trace),
    })),
    sameAmounts: sameAmounts(comparison).map(({ terms, worth, members }) => ({
      terms: terms.ids(),
      worth: worth.toString(),
      members: members.map(({ lane, group }) => ({
        method: lanes[lane]!.trace.method,
        group: group.id,
      })),
    })),
    stops,
    sameResult: isOne,
    agree: lanes.every(({ trace }) => trace.balanced) && verifyAgreement(certificate).ok,
    agreement: certificate,
  };
}
