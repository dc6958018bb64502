import { agreement, verifyAgreement, type Agreement, type Comparison } from '@levee/core';
import { useEffect, useState } from 'react';
import { useWorked } from '../../worked/use-worked.ts';

/** A certificate, and what the independent check says of it. */
export interface Certified {
  readonly certificate: Agreement;
  readonly confirmed: boolean;
  /** Where it fails and why; null where it is confirmed. */
  readonly fault: string | null;
}

const KNOWN = new WeakMap<Comparison, Certified>();

/** The certificate of a comparison; made and checked once. */
export function certified(comparison: Comparison): Certified {
  let known = KNOWN.get(comparison);
  if (!known) {
    const certificate = agreement(comparison);
    const verdict = verifyAgreement(certificate);
    const fault = verdict.ok
      ? null
      : `${verdict.method ?? 'the problem'}, line ${verdict.move + 1}: ${verdict.fault}`;
    KNOWN.set(comparison, (known = { certificate, confirmed: verdict.ok, fault }));
  }
  return known;
}

/** Terms times papers up to which a certificate is made along with the papers. */
const AT_ONCE = 200;

/** The certificate of the open comparison; of a large one only after the papers are shown, null until then. */
export function useAgreement(): Certified | null {
  const { comparison } = useWorked();
  const { space, lanes } = comparison;
  const [, setMade] = useState<Comparison | null>(null);
  const isSmall = space.size * lanes.length <= AT_ONCE;
  useEffect(() => {
    if (isSmall || KNOWN.has(comparison)) return;
    const timer = setTimeout(() => {
      certified(comparison);
      setMade(comparison);
    }, AFTER_PAPERS);
    return () => clearTimeout(timer);
  }, [comparison, isSmall]);
  return isSmall ? certified(comparison) : (KNOWN.get(comparison) ?? null);
}

/** Milliseconds in which the papers are painted. */
const AFTER_PAPERS = 120;
