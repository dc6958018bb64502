import type { Entry, EntryId, Role, Trace } from '../../account/account.ts';
import { allEntries, owedEntries } from '../../account/owed.ts';
import { isRewriting } from '../../account/rewriting.ts';
import { Exact } from '../../exact/exact.ts';
import { numeralText } from '../../exact/numeral.ts';

export function count<T>(items: readonly T[], test: (item: T, index: number) => boolean): number {
  return items.reduce((total, item, i) => total + (test(item, i) ? 1 : 0), 0);
}

/** Digits that are tried, and divisions by primes. */
export function rootFacts({ steps }: Trace): number {
  const marks = steps.flatMap(({ gives }) => gives);
  const tried = count(marks, ({ role }) => role === 'trial');
  return tried + count(steps, ({ phase }) => phase.kind === 'primes');
}

/** Products and quotients of two numbers: a fraction renamed or simplified takes two of them. */
export function partFacts({ problem, steps }: Trace): number {
  return steps.reduce((total, { gives, phase: { kind }, about }) => {
    if (gives.some(({ role }) => role === 'fraction product')) return total + 1;
    switch (kind) {
      case 'rename':
      case 'cancel':
        return total + 2;
      case 'simplify':
        return about?.by?.equals(Exact.ONE) ? total : total + 2;
      case 'tops':
      case 'bottoms':
        return total + problem.operands.length - 1;
      case 'improper':
      case 'cross':
      case 'unit':
      case 'cells':
        return total + 1;
      default:
        return total;
    }
  }, 0);
}

/** Every figure of the quotient times every figure of the divisor, zeros left out. */
export function quotientFacts({ problem, steps }: Trace): number {
  const figures = (glyph: string) => glyph.replace(/[0.−]/g, '').length;
  const divisor = figures(numeralText(problem.operands[1]!));
  const chunked = steps.some(({ gives }) => gives.some(({ role }) => role === 'chunk'));
  const made = steps
    .flatMap(({ gives }) => gives)
    .filter(({ role }) => role === (chunked ? 'chunk' : 'answer'));
  return made.reduce((total, { glyph }) => total + figures(glyph) * divisor, 0);
}

/** Amounts taken away from the dividend, and chunks added to others. */
export function subtractions({ steps }: Trace): number {
  const made = steps.filter(({ gives }) => gives.some(({ role }) => role === 'remainder')).length;
  const chunks = count(
    steps.flatMap(({ gives }) => gives),
    ({ role }) => role === 'chunk',
  );
  return made + Math.max(0, chunks - 1);
}

/** Owed products that are worked out. */
export function productFacts(trace: Trace): number {
  const owed = new Set<EntryId>(owedEntries(trace).map((entry) => entry.id));
  return count(
    trace.steps.flatMap((step) => step.takes),
    (id) => owed.has(id),
  );
}

/** Steps in which amounts are put together, with those amounts; opening and sliding put nothing together. */
function gatherings(trace: Trace): readonly (readonly Entry[])[] {
  const entries = new Map<EntryId, Entry>(allEntries(trace).map((entry) => [entry.id, entry]));
  return trace.steps
    .filter((step) => step.law !== 'reorder' && !isRewriting(step))
    .map(({ law, takes }) =>
      takes
        .map((id) => entries.get(id)!)
        .filter(({ worth }) => !worth.isZero)
        .filter(({ standing }) => law !== 'inverse' || standing === 'marked'),
    );
}

export function additions(trace: Trace): number {
  return gatherings(trace).reduce((total, list) => total + Math.max(0, list.length - 1), 0);
}

/** Every meeting of two figures in one place while the amounts of a step are put together in turn. */
export function figureFacts(trace: Trace): number {
  const { base } = trace.problem;
  return gatherings(trace)
    .map((list) => list.filter((entry) => entry.standing === 'owed' || entry.role !== 'scratch'))
    .reduce((total, [first, ...rest]) => {
      let so = first?.worth ?? Exact.ZERO;
      let met = 0;
      for (const { worth } of rest) {
        met += meetings(so, worth, base);
        so = so.plus(worth);
      }
      return total + met;
    }, 0);
}

function meetings(a: Exact, b: Exact, base: number): number {
  const [left, right] = [a, b].map((worth) =>
    [...worth.numerator.toString(base).replace('-', '')].reverse(),
  );
  return left!.reduce((n, f, p) => n + (f !== '0' && (right![p] ?? '0') !== '0' ? 1 : 0), 0);
}

const OPENED: ReadonlySet<Role> = new Set(['regrouped digit', 'little one', 'opened whole']);

/** Carries and scratches that are written, and places that are opened. */
export function regroupings(trace: Trace): number {
  return trace.steps.reduce((total, { gives }) => {
    const single = count(gives, ({ role }) => role === 'carry' || role === 'scratch');
    return total + single + (gives.some(({ role }) => OPENED.has(role)) ? 1 : 0);
  }, 0);
}
