import {
  reasonsOf,
  verifyAgreement,
  type Agreement,
  type Comparison,
  type Reasons,
} from '@levee/core';

/** The reasons of a comparison, and what the independent check says of them; plain data. */
export interface Certified {
  readonly reasons: Reasons;
  readonly confirmed: boolean;
  /** Where it fails and why; null where it is confirmed. */
  readonly fault: string | null;
}

/** Makes the reasons of a comparison, in common terms and of each method alone, and checks every line of them. */
export function certify(comparison: Comparison): Certified {
  const reasons = reasonsOf(comparison);
  const fault = [reasons.common, ...reasons.alone].map(faultOf).find((one) => one !== null) ?? null;
  return { reasons, confirmed: fault === null, fault };
}

function faultOf(certificate: Agreement): string | null {
  const verdict = verifyAgreement(certificate);
  return verdict.ok
    ? null
    : `${verdict.method ?? 'the problem'}, line ${verdict.move + 1}: ${verdict.fault}`;
}
