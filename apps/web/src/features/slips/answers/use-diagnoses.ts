import { useEffect, useRef, useState } from 'react';
import { away } from '../../../away/away.ts';
import type { AnswerVerdict, AskedAnswer } from '../../../away/answers-job.ts';

export interface Diagnoses {
  readonly verdicts: ReadonlyMap<string, AnswerVerdict>;
  /** How many answers are looked at of how many; null when all are. */
  readonly running: { readonly done: number; readonly of: number } | null;
}

export function answerKey({ problem, answer }: AskedAnswer): string {
  return `${problem}\n${answer}`;
}

/** Diagnoses answers away from the page; what is found is there as it comes, and nothing is looked at twice. */
export function useDiagnoses(
  asked: readonly AskedAnswer[],
  methods: readonly string[] | null,
): Diagnoses {
  const [verdicts, setVerdicts] = useState<ReadonlyMap<string, AnswerVerdict>>(new Map());
  const [running, setRunning] = useState<Diagnoses['running']>(null);
  const known = useRef<{ methods: string; keys: Set<string> }>({ methods: '', keys: new Set() });
  useEffect(() => {
    const name = methods?.join() ?? '';
    if (known.current.methods !== name) {
      known.current = { methods: name, keys: new Set() };
      setVerdicts(new Map());
    }
    const { keys } = known.current;
    const left = [...new Map(asked.map((one) => [answerKey(one), one])).values()].filter(
      (one) => !keys.has(answerKey(one)),
    );
    if (left.length === 0) return;
    let isOver = false;
    setRunning({ done: 0, of: left.length });
    void away('diagnoseAnswers', left, methods, ({ done, of, found }) => {
      if (isOver) return false;
      for (const one of found) keys.add(answerKey(one));
      setVerdicts(
        (all) => new Map([...all, ...found.map((one) => [answerKey(one), one] as const)]),
      );
      setRunning(done < of ? { done, of } : null);
      return true;
    });
    return () => {
      isOver = true;
      setRunning(null);
    };
  }, [asked, methods]);
  return { verdicts, running };
}
