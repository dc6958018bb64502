import { moveAt } from './move.ts';
import type { JudgedSign } from './judged.ts';
import type { Side } from '../read/read-line.ts';
import { NO_MISTAKE } from './judgement.ts';
import type { Rewriting, LineValue } from './rewrite.ts';

/** The part that is missing between the numbers of the problem is found. */
export function foundPart(left: Side, right: Side) {
  const moves = [moveAt('find-part', left.terms, right.terms)];
  return {
    verdict: 'lawful',
    law: 'inverse',
    move: 'find-part',
    readings: [{ moves, between: [] }],
  } as const;
}

/** What is told of the first sign that does not hold, and of the first that holds by chance. */
export function mistakesOf(made: readonly Rewriting[], signs: readonly JudgedSign[]) {
  const wrong = made.find((_, k) => signs[k]!.verdict === 'unequal');
  return {
    falseRule: wrong?.falseRule ?? null,
    nearest: wrong?.nearest ?? [],
    chance: made.find(({ chance }) => chance !== null)?.chance ?? null,
  };
}

/** A whole quotient with its rest is worked out. */
export function restToldOf(before: LineValue, side: Side): Rewriting {
  const off = side.value.minus(before.value);
  const told = { off, between: [], ...NO_MISTAKE, nodes: 0, cut: false };
  if (!off.isZero) return { ...told, verdict: 'unequal', law: null, move: null, readings: [] };
  const moves = [moveAt('worked-out', before.terms, side.terms)];
  return {
    ...told,
    verdict: 'lawful',
    law: 'evaluate',
    move: 'worked-out',
    readings: [{ moves, between: [] }],
  };
}

/** What a line tells of a rewriting. */
export function saidOf({
  verdict,
  off,
  law,
  move: id,
  readings,
  falseRule,
  nearest,
  chance,
}: Rewriting) {
  return { verdict, off, law, move: id, readings, falseRule, nearest, chance };
}
