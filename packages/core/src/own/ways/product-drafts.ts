import { Exact } from '../../exact/exact.ts';
import { places, roundAbove, sum, TEN, text, TWO, timesText } from './draft-text.ts';
import type { WayDraft } from './kinds.ts';

/** Ways for products of two numbers in base ten. */

export function waysOfProduct(a: Exact, b: Exact): readonly WayDraft[] {
  const total = text(a.times(b));
  const [left, right] = [places(a), places(b)];
  const drafts: WayDraft[] = [];
  if (left.length * right.length > 2) drafts.push(eachPart(left, right, total));
  const [whole, cut, parts] = right.length > 1 ? [a, b, right] : [b, a, left];
  if (parts.length > 1) {
    drafts.push({
      kind: 'one-kept-whole',
      lines: [
        `= ${parts.map((part) => timesText(whole, part)).join(' + ')}`,
        `= ${sum(parts.map((part) => whole.times(part)))}`,
        `= ${total}`,
      ],
      why: `${text(whole)} stays whole and ${text(cut)} falls into its places.`,
    });
  }
  drafts.push(
    ...nearRound(a, b, total),
    ...halved(a, b, total),
    ...factored(a, b, total),
    ...known(a, b, total),
  );
  return drafts;
}

function eachPart(left: readonly Exact[], right: readonly Exact[], total: string): WayDraft {
  const pairs = left.flatMap((x) => right.map((y) => [x, y] as const));
  return {
    kind: 'by-parts',
    lines: [
      `= ${pairs.map(([x, y]) => timesText(x, y)).join(' + ')}`,
      `= ${sum(pairs.map(([x, y]) => x.times(y)))}`,
      `= ${total}`,
    ],
    why: 'Every place with every place: each product is a fact with zeros.',
  };
}

function nearRound(a: Exact, b: Exact, total: string): readonly WayDraft[] {
  for (const [kept, cut] of [
    [a, b],
    [b, a],
  ] as const) {
    const round = roundAbove(cut);
    if (!round) continue;
    const by = round.minus(cut);
    return [
      {
        kind: 'overshoot',
        lines: [
          `= ${timesText(kept, round)} − ${timesText(kept, by)}`,
          `= ${sum([kept.times(round), kept.times(by).negate()])}`,
          `= ${total}`,
        ],
        why: `${text(cut)} is ${text(by)} short of ${text(round)}.`,
      },
    ];
  }
  return [];
}

function isEven(amount: Exact): boolean {
  return amount.isWhole && amount.numerator % 2n === 0n;
}

function halved(a: Exact, b: Exact, total: string): readonly WayDraft[] {
  for (const [half, twice] of [
    [a, b],
    [b, a],
  ] as const) {
    if (!isEven(half) || half.compare(TWO) <= 0) continue;
    const [less, more] = [half.dividedBy(TWO), twice.times(TWO)];
    return [
      {
        kind: 'doubles-and-halves',
        lines: [`= ${text(less)} × ${text(more)}`, `= ${total}`],
        why: `${text(half)} is even: its half with the double of ${text(twice)}.`,
      },
    ];
  }
  return [];
}

function factored(a: Exact, b: Exact, total: string): readonly WayDraft[] {
  for (const [kept, split] of [
    [a, b],
    [b, a],
  ] as const) {
    if (!split.isWhole || split.compare(TEN) <= 0) continue;
    for (let p = 9n; p > 1n; p--) {
      const q = split.numerator / p;
      if (split.numerator % p !== 0n || q > 9n || q < 2n) continue;
      const once = kept.times(Exact.of(p));
      return [
        {
          kind: 'by-factors',
          lines: [`= ${text(kept)} × ${p} × ${q}`, `= ${text(once)} × ${q}`, `= ${total}`],
          why: `${text(split)} is ${p} × ${q}, so two facts of one figure do it.`,
        },
      ];
    }
  }
  return [];
}

/** 25 as a quarter of 100, 5 as half of ten; two numbers around a round one as a difference of squares. */
function known(a: Exact, b: Exact, total: string): readonly WayDraft[] {
  const quarters: readonly (readonly [bigint, bigint, bigint])[] = [
    [25n, 100n, 4n],
    [5n, 10n, 2n],
    [50n, 100n, 2n],
    [125n, 1000n, 8n],
  ];
  for (const [kept, own] of [
    [a, b],
    [b, a],
  ] as const) {
    const fact = quarters.find(([value]) => own.equals(Exact.of(value)));
    if (!fact || kept.equals(own)) continue;
    const [value, more, by] = fact;
    return [
      {
        kind: 'known-fact',
        lines: [
          `= ${text(kept)} × ${more} ÷ ${by}`,
          `= ${text(kept.times(Exact.of(more)))} ÷ ${by}`,
          `= ${total}`,
        ],
        why: `${value} is ${more} ÷ ${by}.`,
      },
    ];
  }
  const middle = a.plus(b).dividedBy(TWO);
  const gap = a.minus(middle).absolute();
  const isRound = middle.isWhole && middle.numerator % 10n === 0n;
  if (!isRound || gap.isZero || gap.compare(Exact.of(3)) > 0) return [];
  const squares = [middle, gap].map((side) => side.times(side));
  return [
    {
      kind: 'known-fact',
      lines: [
        `= (${text(middle)} − ${text(gap)})(${text(middle)} + ${text(gap)})`,
        `= ${text(squares[0]!)} − ${text(squares[1]!)}`,
        `= ${total}`,
      ],
      why: `${text(a)} and ${text(b)} lie ${text(gap)} below and above ${text(middle)}.`,
    },
  ];
}
