import type { PaperId } from '@levee/core';

/** What of the papers is printed: nothing but the question, what stands there now, or all of it. */
export type Extent = 'blank' | 'now' | 'finished';

export const EXTENTS: Readonly<Record<Extent, string>> = {
  blank: 'blank papers',
  now: 'as they stand',
  finished: 'finished',
};

export const PARTS = {
  name: 'a line for name and date',
  sentences: 'every step in words',
  reasons: 'why they agree',
  costs: 'what each costs',
  checks: 'recorded checks',
} as const;
export type Part = keyof typeof PARTS;

/** The parts that there are for papers of an extent: what is not worked has no sentences, and unfinished ones agree on nothing. */
export function partsOf(extent: Extent): readonly Part[] {
  switch (extent) {
    case 'blank':
      return ['name', 'checks'];
    case 'now':
      return ['name', 'sentences', 'checks'];
    case 'finished':
      return ['name', 'sentences', 'reasons', 'costs', 'checks'];
  }
}

export const PAGES = { A4: 'A4', letter: 'Letter' } as const;
export type PageSize = keyof typeof PAGES;

/** What she prints. */
export interface Choices {
  readonly extent: Extent;
  readonly parts: ReadonlySet<Part>;
  readonly page: PageSize;
  /** Papers that are left out. */
  readonly without: ReadonlySet<PaperId>;
}

export const USUAL: Choices = {
  extent: 'finished',
  parts: new Set(['sentences', 'reasons']),
  page: 'A4',
  without: new Set(),
};

/** The same with one member more or less. */
export function toggled<T>(set: ReadonlySet<T>, one: T): ReadonlySet<T> {
  return set.has(one) ? new Set([...set].filter((other) => other !== one)) : new Set([...set, one]);
}
