import fc from 'fast-check';
import { Exact } from '../exact/exact.ts';
import { OF_TWO_LAWS } from '../laws/table.ts';
import { problemText } from '../problem/problem.ts';
import { comparisons } from '../testing/arbitraries.ts';
import { FALSIFICATIONS, falsified, type Falsified } from '../testing/falsify.ts';
import type { Agreement } from './certificate/agreement-shape.ts';
import { agreement } from './certificate/agreement.ts';
import { compare } from './compare.ts';
import { leavesOf, type Expression } from './expressions.ts';
import { verifyAgreement } from './certificate/verify-agreement.ts';

/**
 * A falsification that is confirmed must be true after all. These are the ways in which it can be, told without
 * the table of laws.
 */
function isTrueAfterAll(
  original: Agreement,
  { kind, certificate, method, move }: Falsified,
): boolean {
  const [before, after] = [original, certificate].map((one) => one.methods[method]!.moves);
  switch (kind) {
    case 'a law renamed': {
      const pair = [before![move]!.law, after![move]!.law];
      return OF_TWO_LAWS.some((both) => both.every((law) => pair.includes(law)));
    }
    case 'a worth changed and made up for':
    case 'a regrouping of nine':
      return isOneOpened(original.base, before![move]!.expression, after![move]!.expression);
    case 'a term left out of a list':
    case 'a term put into a list':
      return cancels(before!, move);
    case 'a line dropped':
      return (
        move === after!.length &&
        isOneAmount(certificate, after!.at(-1)!.expression, before![move]!.law)
      );
    case 'every working out called a rule of signs':
      return original.terms.length === 1;
    default:
      return false;
  }
}

/** What is left without its last line says the same: one amount, or terms that only were to be turned. */
function isOneAmount({ value }: Agreement, last: Expression, law: string): boolean {
  const isWhole = last.kind === 'amount' && last.worth === value;
  const isPlain = last.kind === 'amount' && last.scaled === undefined;
  return (isWhole && (isPlain || law === 'place-value')) || law === 'sign';
}

/** Tens went from one place to another, or one of a place was opened. */
function isOneOpened(base: number, before: Expression, after: Expression): boolean {
  const old = leavesOf(before).map(worth);
  const made = leavesOf(after).map(worth);
  const changed = made.filter((amount, k) => !amount.equals(old[k]!));
  const shift = made
    .find((amount, k) => !amount.equals(old[k]!))!
    .minus(old.find((amount, k) => !amount.equals(made[k]!))!);
  const isPower = (amount: Exact) => {
    const size = amount.isNegative ? -amount.numerator : amount.numerator;
    return [size, amount.denominator].every((n) => /^10*$/.test(n.toString(base)));
  };
  const tens = shift.dividedBy(Exact.of(base)).isWhole;
  return changed.length === 2 && (tens || isPower(shift) || changed.some(isPower));
}

function worth(leaf: Expression): Exact {
  return leaf.kind === 'amount' ? Exact.parse(leaf.worth) : Exact.ZERO;
}

/** Some terms have cancelled by then, so that an amount may name them or not. */
function cancels(moves: Agreement['methods'][number]['moves'], move: number): boolean {
  const named = (expression: Expression) =>
    new Set(
      leavesOf(expression).flatMap((leaf) =>
        leaf.kind === 'amount' ? leaf.of : leaf.kind === 'product' ? [leaf.term] : [],
      ),
    );
  const last = named(moves.at(-2)!.expression);
  return move === moves.length - 1 && named(moves[0]!.expression).size > last.size;
}

/** One set of falsifications for every run, so that what is refused once is refused again. */
const SEED = 20261126;

/** Comparisons that are told by their problem and methods when a property fails. */
const named = comparisons(4).map((one) => ({
  ...one,
  [fc.toStringMethod]: () =>
    `${problemText(one.problem)} by ${one.chosen.map(({ method, school }) => method.id + JSON.stringify(school)).join()}`,
}));

describe('a falsified certificate', () => {
  const tried = new Map<string, number>();
  const confirmed = new Map<string, number>();
  const count = (all: Map<string, number>, kind: string) => all.set(kind, (all.get(kind) ?? 0) + 1);

  const unexplained: string[] = [];

  it('is tried on true certificates of every method and kind', () => {
    fc.assert(
      fc.property(named, fc.infiniteStream(fc.nat()), ({ problem, chosen }, numbers) => {
        const certificate = agreement(compare(problem, chosen));
        expect(verifyAgreement(certificate)).toEqual({ ok: true });
        for (const kind of FALSIFICATIONS) {
          const made = falsified(certificate, kind, (below) => numbers.next().value! % below);
          if (!made) continue;
          count(tried, kind);
          if (!verifyAgreement(made.certificate).ok) continue;
          count(confirmed, kind);
          if (!isTrueAfterAll(certificate, made)) {
            unexplained.push(`${certificate.problem}: ${kind} at ${made.move}`);
          }
        }
      }),
      { numRuns: 250, seed: SEED },
    );
  });

  it('is refused, or is true after all', () => {
    for (const kind of FALSIFICATIONS) {
      expect([kind, tried.get(kind) ?? 0]).toEqual([kind, expect.any(Number)]);
      expect(tried.get(kind)).toBeGreaterThan(10);
    }
    const sum = (all: Map<string, number>) => [...all.values()].reduce((a, b) => a + b, 0);
    expect(sum(confirmed) / sum(tried)).toBeLessThan(0.03);
    expect(unexplained).toEqual([]);
  });
});
