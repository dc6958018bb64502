import type { Mark, Role, Step, Trace } from '../account/account.ts';
import type { Foresight } from './foresight-of.ts';
import { sortWork } from './sort-work.ts';

export type { Foresight } from './foresight-of.ts';

const KINDS: readonly (readonly [
  kind: Foresight['kind'],
  role: Role,
  counts: (mark: Mark) => boolean,
])[] = [
  ['carry', 'carry', () => true],
  ['opening', 'regrouped digit', () => true],
  ['scratch', 'scratch', () => true],
  ['little ones', 'little one', (mark) => mark.worth.isNegative],
  ['shortfall', 'place total', (mark) => mark.worth.isNegative && mark.place !== undefined],
  ['adjustment', 'adjustment', () => true],
  ['whole opened', 'opened whole', () => true],
];

/**
 * What a method will have to do for a problem, read off its work before any of it is shown: carries with
 * the places they go into, places that must be filled from the next, shortfalls.
 */
export function foresee(trace: Trace): readonly Foresight[] {
  const renamed = trace.steps.filter(({ phase }) => phase.kind === 'rename').length;
  return [
    ...(renamed > 0 ? [{ kind: 'renaming' as const, places: [], times: renamed }] : []),
    ...sortWork(trace.problem).foreseen(trace),
    ...termForesight(trace),
    ...KINDS.flatMap(([kind, role, counts]) => {
      const steps = trace.steps.filter(({ gives }) =>
        gives.some((m) => m.role === role && counts(m)),
      );
      if (steps.length === 0) return [];
      const marks = steps.map(({ gives }) =>
        markOf(
          kind,
          gives.filter((m) => m.role === role),
        ),
      );
      const places = marks.flatMap((mark) => placeOf(mark));
      return [{ kind, places: [...new Set(places)].sort((a, b) => a - b), times: steps.length }];
    }),
  ];
}

/** Where minus meets minus, and where terms cancel. */
function termForesight({ steps }: Trace): readonly Foresight[] {
  const meet = steps.filter(meetsMinus).length;
  const cancel = steps.filter(
    ({ law, takes, gives }) => law === 'like-terms' && takes.length > 0 && gives.length === 0,
  ).length;
  return [
    ...(meet > 0 ? [{ kind: 'minus times minus' as const, places: [], times: meet }] : []),
    ...(cancel > 0 ? [{ kind: 'cancelling' as const, places: [], times: cancel }] : []),
  ];
}

/** Whether minus meets minus in a step: of two factors, or of a bracket and its term. */
export function meetsMinus({ about }: Step): boolean {
  const factors = about?.factors ?? [];
  return factors.length > 1 && factors.every(({ coefficient }) => coefficient.isNegative);
}

/** Of an opening's two marks the place that is filled, which is the lower one. */
function markOf(kind: Foresight['kind'], marks: readonly Mark[]): Mark {
  return kind === 'opening' || kind === 'little ones' ? marks.at(-1)! : marks[0]!;
}

function placeOf(mark: Mark): readonly number[] {
  if (mark.role === 'adjustment' || mark.role === 'opened whole') return [];
  return [mark.place ?? mark.spot.column];
}
