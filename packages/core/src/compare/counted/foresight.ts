import type { Mark, Role, Step, Trace } from '../../account/account.ts';

/** Something out of the ordinary that a method must do for these numbers, and in which places. */
export interface Foresight {
  readonly kind:
    | 'carry'
    | 'opening'
    | 'scratch'
    | 'little ones'
    | 'shortfall'
    | 'adjustment'
    | 'remainder'
    | 'scaling'
    | 'renaming'
    | 'minus times minus'
    | 'cancelling'
    | 'root digits'
    | 'root left over'
    | 'prime pairs'
    | 'prime alone'
    | 'whole opened';
  /** Places it goes into, smallest first, without repeats; empty for what belongs to no place. */
  readonly places: readonly number[];
  /** How often it happens. */
  readonly times: number;
}

/** How many digits a root has and whether anything is left; how many primes pair up, and how many do not. */
export function rootForesight({ steps, groups }: Trace): readonly Foresight[] {
  const count = (kind: Foresight['kind'], times: number): readonly Foresight[] =>
    times > 0 ? [{ kind, places: [], times }] : [];
  const pairs = steps.filter(({ phase }) => phase.kind === 'pairs').length;
  const primes = steps.filter(({ phase }) => phase.kind === 'primes').length;
  const digits = steps
    .flatMap(({ gives }) => gives)
    .filter(({ role, place }) => role === 'answer' && place !== undefined).length;
  const left = groups.some(({ role }) => role === 'rest') ? 1 : 0;
  return [
    ...count('root digits', digits),
    ...count('root left over', left),
    ...count('prime pairs', pairs),
    ...count('prime alone', primes - 2 * pairs),
  ];
}

/** Whether both numbers of a quotient are scaled, and the places that what is left goes into. */
export function divisionForesight(trace: Trace): readonly Foresight[] {
  const scaled = trace.steps.some(({ law }) => law === 'scale-both');
  const rests = carriedRemainders(trace);
  const places = [...new Set(rests.map(({ place = 0 }) => place - 1))].sort((a, b) => a - b);
  return [
    ...(scaled ? [{ kind: 'scaling' as const, places: [], times: 1 }] : []),
    ...(rests.length > 0 ? [{ kind: 'remainder' as const, places, times: rests.length }] : []),
  ];
}

/** What is left of a place of a quotient and joins the next figure. */
export function carriedRemainders({ steps }: Trace): readonly Mark[] {
  const taken = new Set(
    steps.filter(({ phase }) => phase.kind !== 'rest').flatMap(({ takes }) => takes),
  );
  return steps
    .flatMap(({ gives }) => gives)
    .filter(
      ({ id, role, worth, place }) =>
        role === 'remainder' && place !== undefined && !worth.isZero && taken.has(id),
    );
}

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

/** What any work may have to do: carries with the places they go into, places that are filled from the next, shortfalls, cancelling. */
export function commonForesight(trace: Trace): readonly Foresight[] {
  return [
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

/** Fractions that are renamed, which come before all else. */
export function renamingForesight({ steps }: Trace): readonly Foresight[] {
  const times = steps.filter(({ phase }) => phase.kind === 'rename').length;
  return times > 0 ? [{ kind: 'renaming', places: [], times }] : [];
}
