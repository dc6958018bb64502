import { Exact } from '../../exact/exact.ts';
import { definePhrases, fixed, plain, type Wording } from '../../phrases/phrasebook.ts';
import type { Speaker } from '../../phrases/speaker.ts';

type FirstValues = {
  /** The pair as it stands, and its true amount. */
  readonly pair: Exact;
  readonly there: Exact;
  readonly digit: number;
  readonly square: Exact;
  readonly side: Exact;
  readonly area: Exact;
  /** The next larger digit and its square, where there is one. */
  readonly above: number;
  readonly aboveSquare: Exact;
  /** Whether it is not the greatest that fits. */
  readonly smaller: boolean;
};

const first: Wording<FirstValues> = {
  digit: ({ pair, digit, square, above, aboveSquare, smaller }, say) => {
    const d = say.number(digit);
    if (smaller) {
      return `A square in ${say.worth(pair)} is taken that is not the greatest: ${d} ${say.times} ${d} = ${say.worth(square)}. Write **${d}** on top and at the left.`;
    }
    const over =
      above > 0
        ? `; ${say.number(above)} ${say.times} ${say.number(above)} = ${say.worth(aboveSquare)} is too much`
        : '';
    const left = digit > 0 ? ' on top and at the left' : '';
    return `The greatest square in ${say.worth(pair)}: ${d} ${say.times} ${d} = ${say.worth(square)}${over}. Write **${d}**${left}.`;
  },
  value: ({ there, side, area, smaller }, say) =>
    `Of ${say.worth(there)} a square of ${say.worth(side)} by ${say.worth(side)} can be laid: **${say.worth(area)}**${smaller ? ', and a larger one could be' : ''}.`,
};

type SubtractValues = {
  readonly there: Exact;
  readonly product: Exact;
  readonly left: Exact;
  readonly trueLeft: Exact;
  readonly root: Exact;
};

const subtract: Wording<SubtractValues> = {
  digit: ({ there, product, left }, say) =>
    `${say.worth(there)} − ${say.worth(product)} = **${say.worth(left)}**.`,
  value: ({ trueLeft, root }, say) => {
    if (trueLeft.isZero && root.isZero)
      return 'Of nothing, **nothing** is laid and nothing is left.';
    return trueLeft.isZero
      ? `**Nothing** is left of the pairs so far beside the square of ${say.worth(root)}.`
      : `**${say.worth(trueLeft)}** is not laid yet beside the square of ${say.worth(root)}.`;
  },
};

type BringValues = {
  readonly pair: string;
  readonly there: Exact;
  readonly trueThere: Exact;
  /** Whether the pair is one of the number's own, or two added zeros. */
  readonly given: boolean;
  /** Whether one figure of the pair comes down alone. */
  readonly oneFigure: boolean;
};

const bring: Wording<BringValues> = {
  digit: ({ pair, there, oneFigure }, say) =>
    oneFigure
      ? `One figure alone is brought down, the ${pair}: **${say.worth(there)}**.`
      : `Bring down ${pair}: **${say.worth(there)}**.`,
  value: ({ trueThere, given, oneFigure }, say) =>
    oneFigure
      ? `A pair belongs to the next place; with one figure of it only **${say.worth(trueThere)}** seems to be there.`
      : !given
        ? `A pair of zeros adds nothing: **${say.worth(trueThere)}** is still there, to be laid in thinner strips.`
        : `With the next pair **${say.worth(trueThere)}** is there, to be laid around the square.`,
};

type DoubleValues = {
  readonly root: Exact;
  readonly doubled: Exact;
  readonly there: Exact;
  readonly trueRoot: Exact;
  readonly slip: string;
};

const BOX = '▢';

const double: Wording<DoubleValues> = {
  digit: ({ root, doubled, there, slip }, say) =>
    slip === ''
      ? `Twice ${say.worth(root)} is ${say.worth(doubled)}: **${say.worth(doubled)}${BOX} ${say.times} ${BOX}** must not pass ${say.worth(there)}.`
      : `The root ${say.worth(root)} is not doubled: **${say.worth(doubled)}${BOX} ${say.times} ${BOX}** must not pass ${say.worth(there)}.`,
  value: ({ trueRoot, slip }, say) =>
    slip === ''
      ? `Around the square go two strips ${say.worth(trueRoot)} long and a corner, all of one width: **(2 ${say.times} ${say.worth(trueRoot)} + ${BOX}) ${say.times} ${BOX}**.`
      : `Only one strip ${say.worth(trueRoot)} long is thought of, where two go around the square.`,
};

type TrialValues = {
  readonly digit: number;
  readonly factor: Exact;
  readonly product: Exact;
  readonly there: Exact;
  readonly width: Exact;
  readonly trueFactor: Exact;
  readonly trueProduct: Exact;
  readonly fits: boolean;
};

const trial: Wording<TrialValues> = {
  digit: ({ digit, factor, product, there, fits }, say) =>
    `Try ${say.number(digit)}: ${say.worth(factor)} ${say.times} ${say.number(digit)} = **${say.worth(product)}**, ${fits ? 'which fits' : `more than ${say.worth(there)}`}.`,
  value: ({ width, trueFactor, trueProduct, fits }, say) =>
    `Strips ${say.worth(width)} wide would take ${say.worth(trueFactor)} ${say.times} ${say.worth(width)} = **${say.worth(trueProduct)}**: ${fits ? 'there is enough' : 'there is not enough'}.`,
};

type DigitValues = {
  readonly digit: number;
  readonly factor: Exact;
  readonly product: Exact;
  readonly before: Exact;
  readonly width: Exact;
  readonly area: Exact;
  readonly oneBox: boolean;
  /** Whether one strip is laid where two belong. */
  readonly undoubled: boolean;
  /** What is taken away, in its true size. */
  readonly taken: Exact;
};

const found: Wording<DigitValues> = {
  digit: ({ digit, factor, product, oneBox }, say) => {
    const d = say.number(digit);
    if (digit === 0) return `Not even 1 fits: write **0**.`;
    const boxes = oneBox ? 'behind the root only' : 'into both boxes';
    return `Write **${d}** ${boxes}: ${say.worth(factor)} ${say.times} ${d} = **${say.worth(product)}**.`;
  },
  value: ({ digit, before, width, area, oneBox, undoubled, taken, product }, say) => {
    if (digit === 0) return `There is not enough for a strip: **0** in this place.`;
    if (oneBox)
      return `The corner is forgotten: only **${say.worth(product)}** is taken for strips ${say.worth(width)} wide.`;
    const w = say.worth(width);
    if (undoubled) {
      return `Only one strip is **${w}** wide: ${say.worth(before)} ${say.times} ${w} + ${w} ${say.times} ${w} = **${say.worth(taken)}**, where two strips and the corner hold ${say.worth(area)}.`;
    }
    return `The strips are **${w}** wide: 2 ${say.times} ${say.worth(before)} ${say.times} ${w} + ${w} ${say.times} ${w} = **${say.worth(area)}**.`;
  },
};

type OverValues = { readonly left: Exact; readonly root: Exact };

const over: Wording<OverValues> = {
  digit: ({ left }, say) => `Left over: **r ${say.worth(left)}**.`,
  value: ({ left, root }, say) =>
    `The square of ${say.worth(root)} leaves **${say.worth(left)}** over: the root does not end here.`,
};

type PrimeValues = { readonly number: Exact; readonly prime: Exact; readonly rest: Exact };

const prime: Wording<PrimeValues> = {
  digit: ({ number, prime: by, rest }, say) =>
    `${say.worth(number)} ÷ ${say.worth(by)} = **${say.worth(rest)}**.`,
  value: ({ number, prime: by, rest }, say) =>
    rest.equals(Exact.ONE)
      ? `${say.worth(number)} is itself a prime: **${say.worth(by)}** ends the ladder.`
      : `${say.worth(number)} is **${say.worth(by)} ${say.times} ${say.worth(rest)}**; ${say.worth(by)} is its smallest prime factor.`,
};

type PairValues = { readonly prime: Exact; readonly slip: string };

const pair: Wording<PairValues> = {
  digit: ({ prime: by, slip }, say) => {
    const p = say.worth(by);
    return slip === ''
      ? `A pair, ${p} and ${p}: one **${p}** comes out.`
      : `A pair, ${p} and ${p}: both come out, **${p} ${say.times} ${p}**.`;
  },
  value: ({ prime: by, slip }, say) => {
    const p = say.worth(by);
    return slip === ''
      ? `${p} ${say.times} ${p} is the square of ${p}, so its root is **${p}**.`
      : `${p} ${say.times} ${p} is taken out whole, where its root is only one ${p}.`;
  },
};

type OutValues = {
  readonly out: readonly Exact[];
  readonly root: Exact;
  readonly inside: readonly Exact[];
  readonly under: Exact;
  readonly text: string;
  readonly slip: string;
};

function product(factors: readonly Exact[], say: Speaker): string {
  return factors.length === 0 ? '1' : factors.map((one) => say.worth(one)).join(` ${say.times} `);
}

const out: Wording<OutValues> = {
  digit: ({ out: outside, root, inside, under, text, slip }, say) => {
    const made =
      outside.length > 1
        ? `${product(outside, say)} = ${say.worth(root)}`
        : `Outside ${say.worth(root)}`;
    if (slip === 'pairs-added') {
      const sum = `${outside.map((one) => say.worth(one)).join(' + ')} = ${say.worth(root)}`;
      return `What comes out is added, not multiplied: ${sum}; **${text}**.`;
    }
    if (slip !== '')
      return `${made}; the ${product(inside, say)} without a partner is forgotten: **${text}**.`;
    if (inside.length === 0) return `${made}: **${text}**.`;
    const left =
      inside.length > 1 ? `${product(inside, say)} = ${say.worth(under)}` : say.worth(under);
    return `${made}, and ${left} without a partner stays under the root: **${text}**.`;
  },
  value: ({ out: outside, root, inside, under, text, slip }, say) => {
    const square = `${say.worth(root)} ${say.times} ${say.worth(root)}`;
    if (slip === 'pairs-added') {
      return `The side is ${product(outside, say)}, not the sum of these; with the sum the number would hold ${square}: **${text}**.`;
    }
    if (slip !== '')
      return `Only ${square} is accounted for; what has no partner is lost: **${text}**.`;
    if (outside.length === 0)
      return `No square but 1 divides ${say.worth(under)}, so it all stays under the root: **${text}**.`;
    return inside.length === 0
      ? `The number is ${square}, a square of side **${text}**.`
      : `The number is ${say.worth(under)} squares of ${square}, and no pair is left in ${say.worth(under)}: **${text}**.`;
  },
};

/** The wordings of all methods for square roots. */
export const rootPhrases = definePhrases({
  'root.first': first,
  'root.subtract': subtract,
  'root.bring': bring,
  'root.double': double,
  'root.trial': trial,
  'root.digit': found,
  'root.zero': {
    digit: () => 'Not even 1 fits, and nothing is written.',
    value: ({ root }: { root: Exact }, say: Speaker) =>
      `No 0 holds this place, so the ${say.worth(root)} before it is read a place lower.`,
  },
  'root.prime': prime,
  'root.pair': pair,
  'root.out': out,
  'root.over': over,
  'root.single': plain(
    ({ number }: { number: Exact }, say) =>
      `${say.worth(number)} ${say.times} ${say.worth(number)} is ${say.worth(number)}, so the root is **${say.worth(number)}**.`,
  ),
  'root.strip': plain(({ width }: { width: Exact }, say) => `the strips ${say.worth(width)} wide`),
  'root.square': plain(({ side }: { side: Exact }, say) => `the square of ${say.worth(side)}`),
  'root.left': fixed('what is left'),
  'root.answer': fixed('the root, with what is left'),
});
