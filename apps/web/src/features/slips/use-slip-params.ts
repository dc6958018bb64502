import { FEATURES, type Feature } from '@levee/core';
import { useMemo } from 'react';
import { useSearchParams } from 'react-router';

export const VIEWS = ['one', 'class', 'answers'] as const;
export type SlipsView = (typeof VIEWS)[number];
export type Mode = 'once' | 'habit' | 'second';

interface Chosen {
  readonly view: SlipsView;
  /** The paper, by its id; null for the first. */
  readonly paper: string | null;
  readonly slip: string | null;
  readonly habit: 'all' | Feature | null;
  readonly second: string | null;
  readonly mode: Mode;
}

export interface SlipParams extends Chosen {
  readonly set: (change: Partial<Chosen>) => void;
}

/** What is chosen on this screen, kept in its address so that it can be led to and comes back with the page. */
export function useSlipParams(): SlipParams {
  const [params, setParams] = useSearchParams();
  return useMemo(() => {
    const text = (name: string) => params.get(name);
    const habit = text('habit');
    const second = text('second');
    const isHabit = habit === 'all' || FEATURES.some((feature) => feature === habit);
    const chosen: Chosen = {
      view: VIEWS.find((view) => view === text('view')) ?? 'one',
      paper: text('paper'),
      slip: text('slip'),
      habit: isHabit ? (habit as 'all' | Feature) : null,
      second,
      mode: isHabit ? 'habit' : text('mode') === 'second' || second ? 'second' : 'once',
    };
    const set = (change: Partial<Chosen>) => {
      const next = { ...chosen, ...change };
      const kept: Record<string, string | null> = {
        view: next.view === 'one' ? null : next.view,
        paper: next.paper,
        slip: next.slip,
        habit: next.habit,
        second: next.second,
        mode: next.mode === 'second' ? 'second' : null,
      };
      const entries = Object.entries(kept).filter(
        (pair): pair is [string, string] => pair[1] !== null,
      );
      setParams(Object.fromEntries(entries), { replace: true });
    };
    return { ...chosen, set };
  }, [params, setParams]);
}
