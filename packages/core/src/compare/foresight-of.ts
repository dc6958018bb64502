import type { Mark, Trace } from '../account/account.ts';

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
