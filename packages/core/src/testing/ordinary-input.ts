import type { Dice } from './rewritings.ts';

/**
 * What anybody may type: a computation and lines under it, drawn from a grammar that leans to what breaks: zeros, powers,
 * percent, brackets in brackets, minuses, long lines. Nothing here knows what is read or judged.
 */
export interface OrdinaryInput {
  readonly problem: string;
  readonly lines: readonly string[];
}

type Tree =
  | { readonly kind: 'text'; readonly text: string }
  | { readonly kind: 'sum'; readonly parts: readonly (readonly [sign: '+' | '−', Tree])[] }
  | { readonly kind: 'product'; readonly parts: readonly (readonly [sign: '×' | '÷', Tree])[] }
  | { readonly kind: 'power'; readonly of: Tree; readonly exponent: number }
  | { readonly kind: 'root'; readonly of: Tree }
  | { readonly kind: 'negative'; readonly of: Tree };

const text = (written: string | number | bigint): Tree => ({ kind: 'text', text: `${written}` });

export function ordinaryInput(dice: Dice): OrdinaryInput {
  const letters = dice.from(0, 9) < 2 ? ['x', 'y'].slice(0, dice.from(1, 2)) : [];
  const problem = problemTree(dice, letters);
  const lines: string[] = [];
  let last = problem;
  for (let n = dice.from(1, 5); n > 0; n--) {
    const [line, next] = lineAfter(dice, last, letters);
    lines.push(line);
    last = next;
  }
  return { problem: written(problem), lines };
}

function problemTree(dice: Dice, letters: readonly string[]): Tree {
  switch (dice.from(0, 7)) {
    case 0:
      return longSum(dice);
    case 1:
      return simple(dice, '×', letters);
    case 2:
      return simple(dice, '÷', letters);
    case 3:
      return { kind: 'power', of: tree(dice, 2, letters), exponent: dice.from(2, 5) };
    case 4:
      return letters.length > 0 ? brackets(dice, letters) : tree(dice, 2, letters);
    case 5:
      return simple(dice, dice.from(0, 1) ? '−' : '+', letters);
    default:
      return tree(dice, dice.from(1, 4), letters);
  }
}

function simple(dice: Dice, sign: '+' | '−' | '×' | '÷', letters: readonly string[]): Tree {
  const [a, b] = [leaf(dice, letters), leaf(dice, letters)];
  return sign === '+' || sign === '−'
    ? {
        kind: 'sum',
        parts: [
          ['+', a],
          [sign, b],
        ],
      }
    : {
        kind: 'product',
        parts: [
          ['×', a],
          [sign, b],
        ],
      };
}

function longSum(dice: Dice): Tree {
  const count = dice.from(3, dice.from(0, 5) === 0 ? 40 : 9);
  const parts = Array.from(
    { length: count },
    (_, k) => [k > 0 && dice.from(0, 2) === 0 ? '−' : '+', text(dice.from(0, 99))] as const,
  );
  return { kind: 'sum', parts };
}

function brackets(dice: Dice, letters: readonly string[]): Tree {
  const bracket = (): Tree => ({
    kind: 'sum',
    parts: [
      ['+', leaf(dice, letters)],
      [dice.from(0, 1) ? '+' : '−', leaf(dice, letters)],
    ],
  });
  const parts = Array.from({ length: dice.from(2, 4) }, () => ['×', bracket()] as const);
  return { kind: 'product', parts };
}

function tree(dice: Dice, depth: number, letters: readonly string[]): Tree {
  if (depth === 0) return leaf(dice, letters);
  const inner = () => tree(dice, dice.from(0, depth - 1), letters);
  switch (dice.from(0, 9)) {
    case 0:
    case 1:
    case 2:
      return {
        kind: 'sum',
        parts: Array.from(
          { length: dice.from(2, 4) },
          () => [dice.from(0, 1) ? '+' : '−', inner()] as const,
        ),
      };
    case 3:
    case 4:
    case 5:
      return {
        kind: 'product',
        parts: Array.from(
          { length: dice.from(2, 3) },
          (_, k) => [k > 0 && dice.from(0, 2) === 0 ? '÷' : '×', inner()] as const,
        ),
      };
    case 6:
      return { kind: 'power', of: inner(), exponent: dice.from(0, 5) };
    case 7:
      return { kind: 'negative', of: inner() };
    case 8:
      return dice.from(0, 3) === 0 ? { kind: 'root', of: text(dice.from(0, 12) ** 2) } : inner();
    default:
      return inner();
  }
}

function leaf(dice: Dice, letters: readonly string[]): Tree {
  const letter = letters[dice.from(0, letters.length)];
  if (letter) return text(dice.from(0, 2) ? letter : `${dice.from(2, 9)}${letter}`);
  switch (dice.from(0, 13)) {
    case 0:
    case 12:
      return text(0);
    case 1:
    case 13:
      return text(dice.from(0, 2));
    case 2:
      return text(`${dice.from(1, 150)}%`);
    case 3:
      return text(`${dice.from(0, 12)}/${dice.from(1, 12)}`);
    case 4:
      return text(`${dice.from(1, 9)} ${dice.from(1, 5)}/${dice.from(2, 8)}`);
    case 5:
      return text(`${dice.from(0, 60)}.${dice.from(0, 99)}`);
    case 6:
      return text(dice.from(1, 99) * 10 ** dice.from(1, 3));
    default:
      return text(dice.from(2, 10 ** dice.from(1, 4)));
  }
}

/** A line under another, and the tree that the next line goes on from. */
function lineAfter(dice: Dice, last: Tree, letters: readonly string[]): readonly [string, Tree] {
  const [a, b] = [dice.from(0, 99), dice.from(0, 99)];
  switch (dice.from(0, 15)) {
    case 0:
      return [`${a} + ${b} = ${a + b}`, last];
    case 1:
      return [`${a} +${b}→ ${a + b} +${a}→ ${a + b + a}`, last];
    case 2:
      return [`${a} | ${b}`, last];
    case 3:
      return [`${written(leaf(dice, letters))} + □ = ${written(leaf(dice, letters))}`, last];
    case 4:
      return [`half of ${a} is ${a / 2}`, last];
    case 5:
      return [`= ${a} r ${b}`, last];
    case 6: {
      const made = tree(dice, 2, letters);
      return [`= ${written(made)}`, made];
    }
    case 7: {
      const made = changed(dice, last);
      return [`${written(made)}`, made];
    }
    case 8: {
      const made = changed(dice, last);
      const more = changed(dice, made);
      return [`= ${written(made)} = ${written(more)}`, more];
    }
    case 9:
      return [`${written(last)} = ${written(changed(dice, last))}`, last];
    default: {
      const made = changed(dice, dice.from(0, 2) === 0 ? changed(dice, last) : last);
      return [`= ${written(made)}`, made];
    }
  }
}

/** The tree with one of its parts written in another way: mostly of the same worth, now and then not. */
function changed(dice: Dice, of: Tree): Tree {
  if (dice.from(0, 3) === 0) return here(dice, of);
  switch (of.kind) {
    case 'text':
      return here(dice, of);
    case 'sum': {
      const at = dice.from(0, of.parts.length - 1);
      return {
        kind: 'sum',
        parts: of.parts.map(([sign, own], k) => [sign, k === at ? changed(dice, own) : own]),
      };
    }
    case 'product': {
      const at = dice.from(0, of.parts.length - 1);
      return {
        kind: 'product',
        parts: of.parts.map(([sign, own], k) => [sign, k === at ? changed(dice, own) : own]),
      };
    }
    case 'power':
      return { ...of, of: changed(dice, of.of) };
    default:
      return { ...of, of: changed(dice, of.of) };
  }
}

function here(dice: Dice, of: Tree): Tree {
  const k = dice.from(0, 9);
  const count = dice.from(0, 25);
  switch (of.kind) {
    case 'text':
      return numberChanged(dice, of);
    case 'power':
      return {
        kind: 'product',
        parts: Array.from({ length: Math.max(1, of.exponent) }, () => ['×', of.of] as const),
      };
    case 'sum': {
      if (k < 5) return { kind: 'sum', parts: shuffled(dice, of.parts) };
      if (k < 8)
        return { kind: 'sum', parts: [...of.parts, ['+', text(count)], ['−', text(count)]] };
      return { kind: 'sum', parts: of.parts.slice(0, -1) };
    }
    case 'product': {
      const at = of.parts.findIndex(([sign, own]) => sign === '×' && own.kind === 'sum');
      const bracket = of.parts[at]?.[1];
      if (k < 5 && bracket?.kind === 'sum') {
        const rest = of.parts.filter((_, index) => index !== at);
        return {
          kind: 'sum',
          parts: bracket.parts.map(([sign, own]) => [
            sign,
            { kind: 'product', parts: [['×', own], ...rest] },
          ]),
        };
      }
      if (k < 8) return { kind: 'product', parts: shuffled(dice, of.parts) };
      return { kind: 'product', parts: [...of.parts, ['×', text(count)], ['÷', text(count)]] };
    }
    case 'negative':
      return of.of;
    case 'root':
      return { kind: 'negative', of: { kind: 'negative', of } };
  }
}

function numberChanged(dice: Dice, of: Tree & { readonly kind: 'text' }): Tree {
  const value = /^\d+$/.test(of.text) ? BigInt(of.text) : null;
  const by = BigInt(dice.from(0, 30));
  if (value === null)
    return {
      kind: 'sum',
      parts: [
        ['+', of],
        ['+', text(by)],
        ['−', text(by)],
      ],
    };
  switch (dice.from(0, 6)) {
    case 0:
      return {
        kind: 'sum',
        parts: [
          ['+', text(value - by < 0n ? 0n : value - by)],
          ['+', text(by)],
        ],
      };
    case 1:
      return {
        kind: 'sum',
        parts: [
          ['+', text(value + by)],
          ['−', text(by)],
        ],
      };
    case 2:
      return {
        kind: 'product',
        parts: [
          ['×', text(value)],
          ['×', text(dice.from(0, 2))],
        ],
      };
    case 3:
      return {
        kind: 'product',
        parts: [
          ['×', text(value * by)],
          ['÷', text(by)],
        ],
      };
    case 4:
      return text(value + by);
    case 5:
      return { kind: 'sum', parts: placesOf(of.text) };
    default:
      return value === 0n
        ? {
            kind: 'product',
            parts: [
              ['×', text(0)],
              ['×', text(by)],
            ],
          }
        : { kind: 'power', of: text(value), exponent: dice.from(0, 2) };
  }
}

function placesOf(figures: string): readonly (readonly ['+', Tree])[] {
  return [...figures].map((figure, k) => [
    '+',
    text(BigInt(figure) * 10n ** BigInt(figures.length - 1 - k)),
  ]);
}

function shuffled<T>(dice: Dice, signed: readonly (readonly [T, Tree])[]): (readonly [T, Tree])[] {
  const [first, ...rest] = signed;
  const at = dice.from(0, rest.length);
  return first ? [first, ...rest.slice(at), ...rest.slice(0, at)] : [];
}

function written(of: Tree): string {
  const open = (own: Tree) => (own.kind === 'text' ? written(own) : `(${written(own)})`);
  switch (of.kind) {
    case 'text':
      return of.text;
    case 'sum':
      return of.parts
        .map(([sign, own], k) => {
          const part = own.kind === 'sum' || own.kind === 'negative' ? open(own) : written(own);
          return k === 0 ? (sign === '−' ? `−${open(own)}` : part) : ` ${sign} ${part}`;
        })
        .join('');
    case 'product':
      return of.parts
        .map(([sign, own], k) => (k === 0 ? open(own) : ` ${sign} ${open(own)}`))
        .join('');
    case 'power':
      return `${open(of.of)}^${of.exponent}`;
    case 'root':
      return `√(${written(of.of)})`;
    case 'negative':
      return `−${open(of.of)}`;
  }
}
