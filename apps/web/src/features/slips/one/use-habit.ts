import type { HabitSheet } from '@levee/core';
import { startTransition, useEffect, useState } from 'react';
import { away } from '../../../away/away.ts';
import type { HabitAsked } from '../../../away/habit-job.ts';
import { unpack } from '../../../away/packed.ts';

/** What someone with a habit writes, worked away from the page; null until the first has come, and the last until another has. */
export function useHabit(asked: HabitAsked): HabitSheet | null {
  const name = JSON.stringify(asked);
  const [found, setFound] = useState<{ readonly sheet: HabitSheet } | null>(null);
  useEffect(() => {
    let isAsked = true;
    void away('habitItems', JSON.parse(name) as HabitAsked).then((packed) => {
      if (isAsked) startTransition(() => setFound({ sheet: unpack(packed) }));
    });
    return () => {
      isAsked = false;
    };
  }, [name]);
  return found?.sheet ?? null;
}
