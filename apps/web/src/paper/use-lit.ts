import { useMemo } from 'react';
import { litPapers, type Lit } from '../worked/lit.ts';
import { useFramed, useSteps, useSubject, useWorked } from '../worked/use-worked.ts';

/** What lights up on every paper of the open comparison. */
export function useLit(): readonly Lit[] {
  const worked = useWorked();
  const steps = useSteps();
  const subject = useSubject();
  const framed = useFramed();
  return useMemo(() => litPapers(worked, subject, steps, framed), [worked, subject, steps, framed]);
}
