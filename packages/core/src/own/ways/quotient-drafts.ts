import { Exact } from '../../exact/exact.ts';
import { places, powerOfTen, roundAbove, sum, TEN, text, TWO } from './draft-text.ts';
import type { WayDraft } from './kinds.ts';

/** Ways for quotients of two numbers in base ten. */

export function waysOfQuotient(a: Exact, b: Exact): readonly WayDraft[] {
  const quotient = a.dividedBy(b);
  const drafts: WayDraft[] = [];
  const isClean = quotient.isWhole && a.isWhole && b.isWhole;
  if (isClean && places(quotient).length > 1)
    drafts.push(...shared(b, quotient), inTwo(a, b, quotient));
  if (isClean) drafts.push(...byDivisors(a, b, quotient));
  if (!b.isWhole) {
    const by = powerOfTen(text(b).split('.')[1]!.length);
    drafts.push({
      kind: 'doubles-and-halves',
      lines: [`= ${text(a.times(by))} ÷ ${text(b.times(by))}`, `= ${text(quotient)}`],
      why: `Both ${text(by)} times as much: the divisor is whole, the quotient stays.`,
    });
  }
  if (isClean && [Exact.of(5), Exact.of(25), Exact.of(50)].some((own) => own.equals(b))) {
    const by = b.equals(Exact.of(25)) ? Exact.of(4) : TWO;
    drafts.push({
      kind: 'doubles-and-halves',
      lines: [`= ${text(a.times(by))} ÷ ${text(b.times(by))}`, `= ${text(quotient)}`],
      why: `Both ${text(by)} times as much: to divide by ${text(b.times(by))} is to move the figures.`,
    });
  }
  return drafts;
}

/** The dividend as multiples of the divisor, by the places of the quotient. */
function shared(b: Exact, quotient: Exact): readonly WayDraft[] {
  const parts = places(quotient);
  const drafts: WayDraft[] = [
    {
      kind: 'multiply-up',
      lines: [
        `= ${parts.map((part) => `${text(b.times(part))} ÷ ${text(b)}`).join(' + ')}`,
        `= ${sum(parts)}`,
        `= ${text(quotient)}`,
      ],
      why: `${parts.map((part) => text(b.times(part))).join(', ')} are easy to share by ${text(b)}.`,
    },
  ];
  const round = roundAbove(quotient, Exact.of(2, 5));
  if (round) {
    const by = round.minus(quotient);
    drafts.push({
      kind: 'overshoot',
      lines: [
        `= ${text(b.times(round))} ÷ ${text(b)} − ${text(b.times(by))} ÷ ${text(b)}`,
        `= ${sum([round, by.negate()])}`,
        `= ${text(quotient)}`,
      ],
      why: `${text(b.times(round))} is just above, and easy to share by ${text(b)}.`,
    });
  }
  return drafts;
}

/** The dividend in two parts: what the first figure of the quotient takes, and the rest. */
function inTwo(a: Exact, b: Exact, quotient: Exact): WayDraft {
  const first = places(quotient)[0]!;
  const rest = quotient.minus(first);
  const large = b.times(first);
  return {
    kind: 'by-parts',
    lines: [
      `= ${text(large)} ÷ ${text(b)} + ${text(a.minus(large))} ÷ ${text(b)}`,
      `= ${sum([first, rest])}`,
      `= ${text(quotient)}`,
    ],
    why: `${text(large)} is ${text(b)} × ${text(first)}; what is left is shared by itself.`,
  };
}

function byDivisors(a: Exact, b: Exact, quotient: Exact): readonly WayDraft[] {
  for (let p = 9n; p > 1n; p--) {
    const q = b.numerator / p;
    if (b.compare(TEN) <= 0 || b.numerator % p !== 0n || q < 2n || q > 9n) continue;
    const once = a.dividedBy(Exact.of(p));
    if (!once.isWhole) continue;
    return [
      {
        kind: 'by-factors',
        lines: [`= ${text(a)} ÷ ${p} ÷ ${q}`, `= ${text(once)} ÷ ${q}`, `= ${text(quotient)}`],
        why: `${text(b)} is ${p} × ${q}: shared by one, then by the other.`,
      },
    ];
  }
  return [];
}
