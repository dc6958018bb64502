import { isAwaiting, type Comparison } from '@levee/core';
import { useEffect, useState } from 'react';
import { away } from '../away/away.ts';
import { useComparison } from '../store/comparison-store.ts';
import { certify, type Certified } from './certify.ts';
import { useWorked } from '../worked/use-worked.ts';

const KNOWN = new WeakMap<Comparison, Certified>();

/** The certificate of a comparison; made and checked once. */
export function certified(comparison: Comparison): Certified {
  const known = KNOWN.get(comparison) ?? certify(comparison);
  KNOWN.set(comparison, known);
  return known;
}

/** Terms times papers up to which a certificate is made along with the papers. */
const AT_ONCE = 200;

/** The certificate of the open comparison; that of a large one is made away from the page, null until then. */
export function useAgreement(): Certified | null {
  const { comparison } = useWorked();
  const problem = useComparison(({ content }) => content.problem);
  const papers = useComparison(({ content }) => content.papers);
  const { space, lanes } = comparison;
  const isAwaited = lanes.some(({ method }) => isAwaiting(method, comparison.problem));
  const [, setMade] = useState<Comparison | null>(null);
  const isSmall = space.size * lanes.length <= AT_ONCE;
  useEffect(() => {
    if (isSmall || isAwaited || KNOWN.has(comparison)) return undefined;
    let isAsked = true;
    void away('certificate', problem, papers).then((made) => {
      KNOWN.set(comparison, made);
      if (isAsked) setMade(comparison);
    });
    return () => {
      isAsked = false;
    };
  }, [comparison, isSmall, isAwaited, problem, papers]);
  if (isAwaited) return null;
  return isSmall ? certified(comparison) : (KNOWN.get(comparison) ?? null);
}
