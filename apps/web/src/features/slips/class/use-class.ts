import { useCallback, useEffect, useRef, useState } from 'react';
import { away } from '../../../away/away.ts';
import type { ClassOutcome, ClassPlan } from '../../../away/class-job.ts';

/** A class that is worked away from the page. */
export interface ClassWork {
  readonly outcome: ClassOutcome | null;
  /** Runs done so far while it is worked; null when it is not. */
  readonly running: number | null;
  readonly start: (plan: ClassPlan) => void;
  readonly stop: () => void;
}

/** Works classes one at a time: a new one stops the one before, and so does leaving the screen. */
export function useClass(): ClassWork {
  const [outcome, setOutcome] = useState<ClassOutcome | null>(null);
  const [running, setRunning] = useState<number | null>(null);
  const current = useRef(0);
  const stop = useCallback(() => {
    current.current += 1;
    setRunning(null);
  }, []);
  useEffect(() => () => void (current.current += 1), []);
  const start = useCallback((plan: ClassPlan) => {
    const own = ++current.current;
    let isStopped = false;
    setRunning(0);
    const tell = ({ done }: { readonly done: number }) => {
      isStopped = current.current !== own;
      if (!isStopped) setRunning(done);
      return !isStopped;
    };
    void away('classRuns', plan, tell).then((made) => {
      // What was done until it was stopped is shown, unless another class took its place.
      if (current.current > own + 1 || (isStopped && made.runs === 0)) return;
      setOutcome(made);
      setRunning(null);
    });
  }, []);
  return { outcome, running, start, stop };
}
