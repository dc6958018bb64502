import { where } from '../../account/chance.ts';
import type { Mark, School, Trace } from '../../account/account.ts';
import type { Scribe } from '../../account/scribe.ts';
import { digitAt } from '../../exact/numeral.ts';
import { definePhrases, fixed, plain, type Wording } from '../../phrases/phrasebook.ts';
import type { Problem } from '../../problem/problem.ts';
import { draftSheet } from '../../sheet/draft-sheet.ts';
import type { Sheet } from '../../sheet/sheet.ts';
import { slipOf } from '../../slips/catalogue.ts';
import { defineMethod } from '../method.ts';
import { FORGET_SUM_CARRY, sumPhrases, totalOfLines } from '../shared/add-columns.ts';
import { countedWritings } from '../shared/whole.ts';
import { marksIn, placeRule, placeSquare, widest } from '../shared/place-columns.ts';
import {
  factorsOnPaper,
  ON_TOP,
  isSecondOnTop,
  pairOnPaper,
  PRODUCT_ORDER,
  ZERO_PARTS,
} from './schools.ts';
import { cellFact } from './facts.ts';
import {
  acceptsProduct,
  expandedPlaces,
  partText,
  twoFactors,
  type DigitPair,
  type TwoFactors,
} from './two-factors.ts';

type ProductValues = {
  readonly left: number;
  readonly leftPlace: number;
  readonly right: number;
  readonly rightPlace: number;
  /** The operand that left belongs to. */
  readonly lower: number;
  /** What the fact is taken for. */
  readonly fact: number;
  readonly slip: string;
};

const product: Wording<ProductValues> = {
  digit: ({ left, leftPlace, right, rightPlace, fact: taken, slip }, say) => {
    if (slip === 'skip-product')
      return `${say.number(left)} ${say.times} ${say.number(right)} is passed over.`;
    const fact = say.fact(left, right, taken);
    const zeros = leftPlace + rightPlace;
    if (taken === 0) return `${fact}: write **0**.`;
    if (slip === 'drop-zeros')
      return `${fact}: write **${say.number(taken)}** and leave out the zeros.`;
    if (zeros === 0) return `${fact}: write **${say.number(taken)}**.`;
    return `${fact}, then ${zeros === 1 ? 'one zero' : `${zeros} zeros`}: write **${say.number(taken)}${'0'.repeat(Math.min(zeros, 12))}${zeros > 12 ? '…' : ''}**.`;
  },
  value: ({ left, leftPlace, right, rightPlace, lower, fact: taken, slip }, say) => {
    const fact = say.placeFact(left, leftPlace, right, rightPlace, lower, taken);
    if (slip === 'skip-product') return `${fact}, but this product is passed over.`;
    if (slip === 'drop-zeros') return `${fact}, but only ${say.count(taken, 0)} are written.`;
    return `${fact}, written whole on a line of its own.`;
  },
};

const phrases = definePhrases({
  ...sumPhrases.wordings,
  'partial.product': product,
  'partial.line': plain(
    ({ left, right }: { left: string; right: string }, say) =>
      `product ${left} ${say.times} ${right}`,
  ),
  'partial.like-places': fixed(
    'Each place is multiplied with the like place alone, and that is thought to be all.',
  ),
  'partial.answer': fixed('answer of the partial products'),
});

const { phrase } = phrases;

export const partialProducts = defineMethod({
  id: 'partial-products',
  family: 'multiplication',
  name: 'Partial products',
  shortName: 'Partial products',
  alsoCalled: ['products listed whole', 'expanded column multiplication'],
  mind: 'Some people call the grid partial products as well; here the products are a list.',
  summary: 'Every product of two parts is written whole on a line of its own; the lines are added.',
  why: 'Every part of one factor times every part of the other, all of them added: the distributive law.',
  leadsTo: 'Brackets with letters: every part by every part, of two terms each in four words.',
  medium: 'on paper',
  direction: 'free; from the ones or from the largest',
  freeOrder: true,
  bridge: [
    { method: 'expand-foil', school: {} },
    { method: 'expand-arcs', school: {} },
  ],
  schools: [PRODUCT_ORDER, ZERO_PARTS, ON_TOP],
  slips: [
    {
      ...slipOf('drop-zeros'),
      mechanism: 'Tens are multiplied as if they were ones: 40 × 8 is written 32.',
    },
    slipOf('skip-product'),
    FORGET_SUM_CARRY,
    slipOf('like-places-only'),
  ],
  linesLike: { rank: 8, moves: ['distribute'] },
  phrases: phrases.book,
  accepts: acceptsProduct,
  secondOnTop: isSecondOnTop,
  work,
  sheet,
});

function work(scribe: Scribe, problem: Problem, school: School): Trace {
  const factors = twoFactors(problem);
  const { top, bottom } = factors;
  const zeros = school['zeros'] === 'written';
  const rows = expandedPlaces(bottom, zeros);
  const columns = expandedPlaces(top, zeros);
  scribe.openProduct(problem.operands, [columns, rows]);
  top.digits.forEach((_, i) =>
    scribe.give(0, i, 'operand digit', { area: 'top', row: 0, column: i }),
  );
  bottom.digits.forEach((_, j) =>
    scribe.give(1, j, 'operand digit', { area: 'bottom', row: 0, column: j }),
  );
  const own = rows.flatMap((j) => columns.map((i): DigitPair => [i, j]));
  const inOrder = scribe.ordered(school['order'] === 'largest-first' ? own.reverse() : own);
  const worked = likePlacesOnly(scribe, factors, inOrder);
  const products = worked.map((pair, row) => writeProduct(scribe, factors, pair, row));
  return scribe.close(totalOfLines(scribe, products), phrase('partial.answer', {}));
}

/** The pairs that are worked: all of them, or those of like places alone when a learner thinks that these are all. */
function likePlacesOnly(
  scribe: Scribe,
  { top, bottom }: TwoFactors,
  pairs: readonly DigitPair[],
): readonly DigitPair[] {
  const counts = ([i, j]: DigitPair) => digitAt(top, i) * digitAt(bottom, j) > 0;
  const like = pairs.filter(([i, j]) => i === j);
  const others = pairs.filter(([i, j]) => i !== j);
  const may = like.some(counts) && others.some(counts);
  if (!scribe.slip('like-places-only', may, { at: where('answer', 0) })) return pairs;
  scribe.step({
    law: 'evaluate',
    phase: { kind: 'products' },
    takes: others.map(([i, j]) => scribe.owes(i, j)),
    writes: [],
    phrase: phrase('partial.like-places', {}),
  });
  return like;
}

function writeProduct(
  scribe: Scribe,
  { top, bottom }: TwoFactors,
  [i, j]: DigitPair,
  row: number,
): readonly Mark[] {
  const left = digitAt(bottom, j);
  const right = digitAt(top, i);
  const fact = cellFact(scribe, [left, right], [i, j]);
  const dropped = scribe.slip('drop-zeros', fact > 0 && i + j > 0, {
    at: where('cell', i, j),
  });
  const skipped = scribe.slip('skip-product', fact > 0, { at: where('cell', i, j) });
  const zeros = dropped || fact === 0 ? 0 : i + j;
  const marks = scribe.step({
    law: 'evaluate',
    phase: { kind: 'products' },
    takes: [scribe.owes(i, j)],
    writes: skipped
      ? []
      : countedWritings('product', fact, zeros, { area: 'product', row }, scribe.base),
    phrase: phrase('partial.product', {
      left,
      leftPlace: j,
      right,
      rightPlace: i,
      lower: scribe.lowerFactor,
      fact,
      slip: skipped ? 'skip-product' : dropped ? 'drop-zeros' : '',
    }),
  });
  scribe.group(
    `product-${i}.${j}`,
    'product',
    marks,
    phrase('partial.line', {
      left: partText(top, i),
      right: partText(bottom, j),
    }),
  );
  return marks;
}

function sheet(trace: Trace): Sheet {
  const { top, bottom } = factorsOnPaper(trace);
  const groups = trace.groups.filter((group) => group.role === 'product');
  const sumCarries = marksIn(trace, 'sum-carry').length > 0;
  const first = sumCarries ? 3 : 2;
  const sumRule = first + groups.length;
  const heading = Math.max(top.digits.length, bottom.digits.length) + 1;
  const width = widest(trace, heading);
  const rowOf = new Map(groups.map((group, row) => [group.id, row]));
  const summed = groups.length > 1;
  return draftSheet(trace, {
    areas: {
      top: ({ column }) => placeSquare(column, 0),
      bottom: ({ column }) => placeSquare(column, 1),
      product: ({ row, column }, { glyph }) => ({
        ...placeSquare(column, first + row),
        x: 1 - column - glyph.length,
        width: glyph.length,
        spread: true,
      }),
      answer: ({ column }) => placeSquare(column, sumRule),
      'sum-carry': ({ column }) => ({ ...placeSquare(column, 2), size: 'small' }),
    },
    slot: (_, parts) => {
      const [i, j] = pairOnPaper(trace, parts);
      const row = rowOf.get(`product-${i}.${j}`) ?? 0;
      const most = Math.max(top.digits.length, bottom.digits.length) + 1;
      return { x: 1 - most, y: first + row, width: most, height: 1 };
    },
    rulings: summed ? [placeRule(heading, 2), placeRule(width, sumRule)] : [placeRule(width, 2)],
    signs: [{ sign: 'times', ...placeSquare(heading - 1, 1) }],
    notes: groups.map((group, row) => {
      const [i = 0, j = 0] = group.id.slice('product-'.length).split('.').map(Number);
      return {
        x: 1.4,
        y: first + row,
        text: `${partText(top, i)} × ${partText(bottom, j)}`,
        marks: group.marks,
      };
    }),
  });
}
