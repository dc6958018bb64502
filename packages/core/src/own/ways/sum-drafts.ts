import { Exact } from '../../exact/exact.ts';
import { nextRound, places, roundAbove, sum, text, unitOf } from './draft-text.ts';
import type { WayDraft } from './kinds.ts';

/** Ways for sums and differences of two numbers in base ten. Each is proved by the judge before it is shown. */

export function waysOfSum(a: Exact, b: Exact): readonly WayDraft[] {
  const total = text(a.plus(b));
  const drafts: WayDraft[] = [byPlaces(a, b, total)];
  for (const [first, second] of [
    [a, b],
    [b, a],
  ] as const) {
    const round = roundAbove(first);
    const by = round?.minus(first);
    if (!round || !by || second.compare(by) <= 0) continue;
    const rest = second.minus(by);
    drafts.push(
      {
        kind: 'give-and-take',
        lines: [`= ${sum([round, rest])}`, `= ${total}`],
        why: `${text(first)} is ${text(by)} short of ${text(round)}, and ${text(second)} can give it.`,
      },
      {
        kind: 'overshoot',
        lines: [
          `= ${sum([round, second, by.negate()])}`,
          `= ${sum([round.plus(second), by.negate()])}`,
          `= ${total}`,
        ],
        why: `${text(first)} is ${text(by)} short of ${text(round)}.`,
      },
      {
        kind: 'to-a-round-number',
        lines: [`= ${sum([first, by, rest])}`, `= ${sum([round, rest])}`, `= ${total}`],
        why: `${text(by)} of ${text(second)} fills ${text(first)} up to ${text(round)}.`,
      },
    );
    break;
  }
  const parts = places(b);
  if (parts.length > 1) drafts.push(oneByOne(a, parts, total));
  return drafts;
}

function byPlaces(a: Exact, b: Exact, total: string): WayDraft {
  const parts = [...places(a), ...places(b)].sort((x, y) => unitOf(y).compare(unitOf(x)));
  const units = [...new Set(parts.map((part) => unitOf(part).toString()))];
  const totals = units.map((unit) =>
    Exact.sum(parts.filter((part) => unitOf(part).toString() === unit)),
  );
  return {
    kind: 'by-parts',
    lines: [`= ${sum(parts)}`, `= ${sum(totals)}`, `= ${total}`],
    why: 'Every place by itself, then all together.',
  };
}

/** One number whole, the other put to it place by place. */
function oneByOne(a: Exact, parts: readonly Exact[], total: string): WayDraft {
  const lines = [`= ${sum([a, ...parts])}`];
  let so = a;
  for (let k = 0; k < parts.length - 1; k++) {
    so = so.plus(parts[k]!);
    lines.push(`= ${sum([so, ...parts.slice(k + 1)])}`);
  }
  return {
    kind: 'one-kept-whole',
    lines: [...lines, `= ${total}`],
    why: `${text(a)} stays whole, so that only one number is held.`,
  };
}

export function waysOfDifference(a: Exact, b: Exact): readonly WayDraft[] {
  if (a.compare(b) < 0) return [];
  const total = text(a.minus(b));
  const drafts: WayDraft[] = [placesApart(a, b, total)];
  const round = roundAbove(b) ?? nextRound(b);
  const by = round.minus(b);
  if (!by.isZero && a.compare(round) >= 0) {
    drafts.push(
      {
        kind: 'same-change',
        lines: [`= ${text(a.plus(by))} − ${text(round)}`, `= ${total}`],
        why: `${text(by)} more makes ${text(b)} round, and the distance stays.`,
      },
      {
        kind: 'overshoot',
        lines: [
          `= ${sum([a, round.negate(), by])}`,
          `= ${sum([a.minus(round), by])}`,
          `= ${total}`,
        ],
        why: `${text(round)} is easy to take away; ${text(by)} of it is given back.`,
      },
      {
        kind: 'to-a-round-number',
        lines: [
          `${text(b)} +${text(by)}→ ${text(round)} +${text(a.minus(round))}→ ${text(a)}`,
          `= ${total}`,
        ],
        why: `From ${text(b)} over ${text(round)} to ${text(a)}, the hops are the difference.`,
      },
    );
  }
  const parts = places(b);
  if (parts.length > 1) {
    const negative = parts.map((part) => part.negate());
    drafts.push({ ...oneByOne(a, negative, total), kind: 'one-kept-whole' });
  }
  return drafts;
}

/** Every place by itself; what is short counts against the rest. */
function placesApart(a: Exact, b: Exact, total: string): WayDraft {
  const parts = [...places(a), ...places(b).map((part) => part.negate())];
  const units = [...new Set(parts.map((part) => unitOf(part.absolute()).toString()))]
    .map((unit) => Exact.parse(unit))
    .sort((x, y) => y.compare(x));
  const own = (unit: Exact) => parts.filter((part) => unitOf(part.absolute()).equals(unit));
  const totals = units.map((unit) => Exact.sum(own(unit))).filter((amount) => !amount.isZero);
  return {
    kind: 'by-parts',
    lines: [`= ${sum(units.flatMap(own))}`, `= ${sum(totals)}`, `= ${total}`],
    why: 'Every place by itself; what a place is short counts against the rest.',
  };
}
