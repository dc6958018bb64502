import {
  notationFor,
  pointAt,
  speakerFor,
  type Speaker,
  type Comparison,
  type Notation,
  type PaperChoice,
  type PaperId,
  type Pointed,
  type Subject,
  type Voice,
} from '@levee/core';
import { startTransition, useEffect, useMemo, useState } from 'react';
import { useComparison } from '../store/comparison-store.ts';
import { useSession, type FramedAmount, type PointedAt } from '../store/session-store.ts';
import { useSettings } from '../store/settings-store.ts';
import type { FramedSubject } from './lit.ts';
import { beforeShown, useArrived } from './judged.ts';
import { fittedSteps, work, workAhead, type Paper, type Worked } from './work.ts';

beforeShown(() => workAhead(useComparison.getState().content));

/** Looks again when judged lines have arrived: what is typed or stepped meanwhile comes first. */
function useArrivals(): void {
  const [, setCount] = useState(() => useArrived.getState().count);
  useEffect(() => {
    setCount(useArrived.getState().count);
    return useArrived.subscribe(({ count }) => startTransition(() => setCount(count)));
  }, []);
}

/** The open comparison worked out. */
export function useWorked(): Worked {
  useArrivals();
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

/** The paper that single steps and the keyboard pointer belong to. */
export function activePaper({ papers }: Worked, active: PaperId | null): Paper {
  return papers.find(({ id }) => id === active) ?? papers[0]!;
}

export function useActive(): Paper {
  const worked = useWorked();
  return activePaper(
    worked,
    useSession((session) => session.active),
  );
}

/** What was chosen for a paper; null in the moment in which it goes. */
export function useChoice({ id }: Paper): PaperChoice | null {
  return useComparison(({ content }) => content.papers.find((own) => own.id === id) ?? null);
}

/** The one paper that is shown large, if any. */
export function useLarge(): Paper | null {
  const { papers } = useWorked();
  const large = useSession((session) => session.large);
  return papers.find(({ id }) => id === large) ?? null;
}

/** What is pointed at as the comparison names it; null when its paper is gone. */
function inComparison({ papers }: Worked, pointed: PointedAt): Pointed | null {
  if (pointed.kind === 'terms') return pointed;
  const lane = papers.findIndex(({ id }) => id === pointed.paper);
  if (lane < 0) return null;
  return pointed.kind === 'entry'
    ? { kind: 'entry', lane, id: pointed.id }
    : { kind: 'group', lane, id: pointed.id };
}

let lastFramed: {
  comparison: Comparison;
  framed: readonly FramedAmount[];
  found: readonly FramedSubject[];
} | null = null;

/** The amounts that stay framed; worked out once for all who ask. */
export function useFramed(): readonly FramedSubject[] {
  const worked = useWorked();
  const { comparison } = worked;
  const framed = useSession((session) => session.framed);
  if (lastFramed?.comparison !== comparison || lastFramed.framed !== framed) {
    const found = framed.flatMap(({ number, at }): FramedSubject[] => {
      const named = inComparison(worked, at);
      const subject = named && pointAt(comparison, named);
      return subject ? [{ number, subject }] : [];
    });
    lastFramed = { comparison, framed, found };
  }
  return lastFramed.found;
}

let last: { comparison: Comparison; pointed: PointedAt; subject: Subject | null } | null = null;

/** What is pointed at, found in every method; worked out once for all who ask. */
export function useSubject(): Subject | null {
  const worked = useWorked();
  const { comparison } = worked;
  const pointed = useSession((session) => session.pointed);
  if (!pointed) return null;
  if (last?.comparison !== comparison || last.pointed !== pointed) {
    const named = inComparison(worked, pointed);
    last = { comparison, pointed, subject: named && pointAt(comparison, named) };
  }
  return last.subject;
}
