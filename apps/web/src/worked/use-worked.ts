import {
  notationFor,
  pointAt,
  speakerFor,
  type Speaker,
  type Comparison,
  type Notation,
  type Pointed,
  type Subject,
  type Voice,
} from '@levee/core';
import { useMemo } from 'react';
import { useComparison } from '../store/comparison-store.ts';
import { useSession } from '../store/session-store.ts';
import { useSettings } from '../store/settings-store.ts';
import { fittedSteps, work, type Worked } from './work.ts';

/** The open comparison worked out. */
export function useWorked(): Worked {
  return work(useComparison((state) => state.content));
}

/** Steps done on each paper of the open comparison. */
export function useSteps(): readonly number[] {
  const worked = useWorked();
  const steps = useComparison((state) => state.progress.steps);
  return useMemo(() => fittedSteps(worked, steps), [worked, steps]);
}

/** The speaker in her words, for the open problem's base and points. */
export function useSpeaker(): Speaker {
  const words = useSettings((state) => state.words);
  const { problem } = useWorked();
  return useMemo(() => speakerFor(problem, words), [words, problem]);
}

/** How she writes products and points; between letters a product is a dot. */
export function useNotation(): Notation {
  const words = useSettings((state) => state.words);
  const { problem } = useWorked();
  return useMemo(() => notationFor(problem, words), [problem, words]);
}

export function useVoice(): Voice {
  return useSettings((state) => state.voice);
}

let last: { comparison: Comparison; pointed: Pointed; subject: Subject | null } | null = null;

/** What is pointed at, found in every method; worked out once for all who ask. */
export function useSubject(): Subject | null {
  const { comparison } = useWorked();
  const pointed = useSession((session) => session.pointed);
  if (!pointed) return null;
  if (last?.comparison !== comparison || last.pointed !== pointed) {
    last = { comparison, pointed, subject: pointAt(comparison, pointed) };
  }
  return last.subject;
}
