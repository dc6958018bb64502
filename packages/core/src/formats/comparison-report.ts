import type { School } from '../account/account.ts';
import { agreement, type Agreement } from '../compare/agreement.ts';
import { sameAmounts } from '../compare/amounts.ts';
import type { Comparison } from '../compare/compare.ts';
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
  readonly agree: boolean;
  readonly agreement: Agreement;
}

export function comparisonReport(comparison: Comparison): ComparisonReport {
  const { lanes, stops } = comparison;
  const certificate = agreement(comparison);
  const answers = new Set(lanes.map(({ trace }) => trace.answer.toString()));
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
    agree: answers.size === 1 && verifyAgreement(certificate).ok,
    agreement: certificate,
  };
}
