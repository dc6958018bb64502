import { where } from '../../account/chance.ts';
import type { Mark, School, Trace } from '../../account/account.ts';
import type { Scribe } from '../../account/scribe.ts';
import { choices } from '../../account/spaces.ts';
import { Exact } from '../../exact/exact.ts';
import type { Problem } from '../../problem/problem.ts';
import { CORNER_NAMES, CORNERS } from './corners.ts';
import { gatherTerms, groupKinds, termWriting } from './gather.ts';
import { slippedProduct } from './letter-slips.ts';
import { polynomialPhrases } from './polynomial-words.ts';
import { LOST_SIGN, MISSED_PRODUCT, wayOfStage } from './schools.ts';
import { inOrder, inRow, isNegative, likeTerms, listOf } from './term-list.ts';
import { termsCut } from '../../account/cut.ts';

const { phrase } = polynomialPhrases;

/** How two brackets are multiplied on the paper. */
export type ProductWay = 'arcs' | 'foil' | 'grid';

/** Two brackets as they are multiplied; parts are counted from the last term, rows and columns from the first. */
interface Brackets {
  readonly first: readonly number[];
  readonly second: readonly number[];
  readonly way: ProductWay;
}

type Pair = readonly [first: number, second: number];

/** Multiplies the first two brackets in the method's own way, and what they make by each further one. */
export function expand(scribe: Scribe, problem: Problem, school: School, own: ProductWay): Trace {
  const { number, isLast } = scribe.stage;
  const way = number === 1 ? own : wayOfStage(number, school);
  const cuts = problem.operands.map(termsCut);
  scribe.open(cuts);
  const [first, second] = cuts.map((parts) => parts.map((_, k) => k).reverse()) as [
    number[],
    number[],
  ];
  const brackets: Brackets = { first, second, way };
  giveBrackets(scribe, problem, brackets);
  const pairs = squaresOnly(scribe, cuts, inTurn(scribe, cuts, brackets, school), brackets);
  const products = pairs.flatMap((pair) => writeProduct(scribe, cuts, pair, brackets));
  const name = phrase('terms.answer', {});
  if (!isLast && school['tidy'] === 'at-the-end') {
    scribe.group('products', 'line', products, phrase('terms.line', {}));
    return scribe.close(inWrittenOrder(products), name);
  }
  if (isTidy(products)) {
    groupKinds(scribe, likeTerms(products));
    return scribe.close(products, name);
  }
  return scribe.close(gatherTerms(scribe, products), name);
}

/** Products in the order in which they stand on the paper. */
function inWrittenOrder(products: readonly Mark[]): readonly Mark[] {
  return [...products].sort(({ spot: a }, { spot: b }) => a.row - b.row || a.column - b.column);
}

/** Whether no two products are alike and they come highest power first already. */
function isTidy(products: readonly Mark[]): boolean {
  const letters = products.map(({ worth }) => worth.letters);
  return (
    new Set(letters).size === letters.length &&
    inOrder(products.map(({ worth }) => worth)).join() === letters.join()
  );
}

function giveBrackets(
  scribe: Scribe,
  { operands }: Problem,
  { first, second, way }: Brackets,
): void {
  const [left, right] = operands.map(listOf);
  first.forEach((part, k) => {
    const glyph = inRow(left![k]!, k === 0);
    const spot =
      way === 'grid' ? { area: 'head', row: 0, column: k } : { area: 'first', row: 0, column: k };
    scribe.give(0, part, 'operand part', spot, glyph);
  });
  second.forEach((part, k) => {
    const glyph = inRow(right![k]!, k === 0);
    const spot =
      way === 'grid' ? { area: 'side', row: k, column: 0 } : { area: 'second', row: 0, column: k };
    scribe.give(1, part, 'operand part', spot, glyph);
  });
}

/** The pairs of terms in the order in which they are multiplied. */
function inTurn(
  scribe: Scribe,
  cuts: readonly (readonly { readonly worth: Mark['worth'] }[])[],
  { first, second, way }: Brackets,
  school: School,
): readonly Pair[] {
  const pairs =
    way === 'grid'
      ? (choices([first, second]) as readonly Pair[])
      : first.flatMap((i) => second.map((j): Pair => [i, j]));
  if (school['order'] !== 'by-power' || way !== 'arcs') {
    return way === 'foil' ? pairs : scribe.ordered(pairs);
  }
  const worths = pairs.map(([i, j]) => ({
    pair: [i, j] as Pair,
    worth: cuts[0]![i]!.worth.times(cuts[1]![j]!.worth),
  }));
  return scribe.ordered(
    likeTerms(worths).flatMap(({ members }) => members.map(({ pair }) => pair)),
  );
}

function writeProduct(
  scribe: Scribe,
  cuts: readonly (readonly { readonly worth: Mark['worth'] }[])[],
  pair: Pair,
  brackets: Brackets,
): readonly Mark[] {
  const [i, j] = pair;
  const [left, right] = [cuts[0]![i]!.worth, cuts[1]![j]!.worth];
  const made = left.times(right);
  const lost = scribe.slip(LOST_SIGN.id, !made.isZero && (isNegative(left) || isNegative(right)), {
    at: where('cell', i, j),
  });
  const missed = scribe.slip(MISSED_PRODUCT.id, !made.isZero && !lost, {
    at: where('cell', i, j),
  });
  const isSquare = isSquareOf(cuts) && i === j;
  const isBare = scribe.stage.number === 1 && brackets.first.length === 1;
  const isFurther = isBare && brackets.second.indexOf(j) > 0;
  const wrong = slippedProduct(
    scribe,
    { left, right, isFurther, isSquare },
    where('cell', i, j),
    !made.isZero && !lost && !missed,
  );
  const product = wrong ? wrong.made : lost ? made.negate() : made;
  const { spot, isFirst, corner, cell } = placeOf(pair, brackets);
  const marks = scribe.step({
    law: isNegative(left) && isNegative(right) ? 'sign' : 'evaluate',
    phase: { kind: 'products' },
    about: {
      factors: [left, right],
      ...(corner ? { corner } : {}),
      ...(cell ? { cell } : {}),
    },
    takes: [scribe.owes(i, j)],
    writes: missed ? [] : [termWriting('product', product, isFirst, spot)],
    phrase: phrase('terms.product', {
      left,
      right,
      product,
      named: corner ? CORNER_NAMES[corner] : '',
      slip: wrong?.slip ?? (missed ? MISSED_PRODUCT.id : lost ? LOST_SIGN.id : ''),
    }),
  });
  scribe.group(`product-${i}.${j}`, 'product', marks, phrase('terms.pair', { left, right }));
  return marks;
}

type Cuts = readonly (readonly { readonly worth: Mark['worth'] }[])[];

/** Whether a bracket is multiplied by itself. */
function isSquareOf([first, second]: Cuts): boolean {
  return (
    first!.length === second!.length &&
    first!.every(({ worth }, k) => worth.equals(second![k]!.worth))
  );
}

/** The pairs that are worked: all of them, or in a square those of a term with itself, when a learner forgets the others. */
function squaresOnly(
  scribe: Scribe,
  cuts: Cuts,
  pairs: readonly Pair[],
  { first }: Brackets,
): readonly Pair[] {
  const others = pairs.filter(([i, j]) => i !== j);
  const lost = others.map(([i, j]) => cuts[0]![i]!.worth.times(cuts[1]![j]!.worth));
  const may = isSquareOf(cuts) && first.length > 1 && !Exact.sum(lost).isZero;
  if (!scribe.slip('middle-terms-forgotten', may, { at: where('answer', 0) })) return pairs;
  scribe.step({
    law: 'evaluate',
    phase: { kind: 'products' },
    takes: others.map(([i, j]) => scribe.owes(i, j)),
    writes: [],
    phrase: phrase('terms.squares-only', {}),
  });
  return pairs.filter(([i, j]) => i === j);
}

/** Products up to so many stand in one line, more in a row for every term of the first bracket. */
const IN_ONE_LINE = 6;

function placeOf([i, j]: Pair, { first, second, way }: Brackets) {
  const [row, column] = [first.indexOf(i), second.indexOf(j)];
  if (way === 'grid') {
    const spot = { area: 'cell', row: column, column: row };
    return { spot, isFirst: true, corner: null, cell: [column, row] as const };
  }
  const at = row * second.length + column;
  const isLine = first.length * second.length <= IN_ONE_LINE;
  const spot = isLine ? { area: 'product', row: 0, column: at } : { area: 'product', row, column };
  return {
    spot,
    isFirst: at === 0,
    corner: way === 'foil' ? (CORNERS[at] ?? null) : null,
    cell: null,
  };
}
