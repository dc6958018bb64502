import { agreement, verifyAgreement, type Agreement, type Comparison } from '@levee/core';

/** A certificate, and what the independent check says of it; plain data. */
export interface Certified {
  readonly certificate: Agreement;
  readonly confirmed: boolean;
  /** Where it fails and why; null where it is confirmed. */
  readonly fault: string | null;
}

/** Makes the certificate of a comparison and checks it. */
export function certify(comparison: Comparison): Certified {
  const certificate = agreement(comparison);
  const verdict = verifyAgreement(certificate);
  const fault = verdict.ok
    ? null
    : `${verdict.method ?? 'the problem'}, line ${verdict.move + 1}: ${verdict.fault}`;
  return { certificate, confirmed: verdict.ok, fault };
}
