import { agreement } from '../compare/certificate/agreement.ts';
import { sameAmounts } from '../compare/amounts.ts';
import type { Comparison } from '../compare/comparison.ts';
import { resultOf, sameResult } from '../account/result.ts';
import { verifyAgreement } from '../compare/certificate/verify-agreement.ts';
import type { ComparisonReport } from './comparison-report-shape.ts';
import { costDocument, problemDocument } from './trace-document.ts';

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
