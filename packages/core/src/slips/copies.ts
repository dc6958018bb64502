import { where, type Where } from '../account/chance.ts';
import type { Numeral } from '../exact/numeral.ts';
import { makeProblem, type Problem } from '../problem/problem.ts';
import { scriptOf } from '../problem/script.ts';

/** A number of the question copied wrongly, and the computation that is worked instead. */
export interface WrongCopy {
  readonly slip: string;
  readonly at: Where;
  readonly problem: Problem;
}

/** Figures that are taken for each other. */
const LOOK_ALIKES: readonly (readonly [number, number])[] = [
  [1, 7],
  [3, 8],
  [6, 9],
  [0, 6],
];

/** Every way in which one number of a computation in figures is commonly copied wrongly; none for fractions and letters. */
export function wrongCopies(problem: Problem): readonly WrongCopy[] {
  if (scriptOf(problem) !== 'figures') return [];
  return problem.operands.flatMap((number, operand) => {
    const above = problem.operands[operand - 1];
    return copiesOf(number, above).flatMap(({ slip, place, digits }) => {
      if (digits.length > 1 && digits.at(-1) === 0) return [];
      const operands = problem.operands.map((own, k) => (k === operand ? { ...own, digits } : own));
      const at = where('operand', operand, place);
      return [{ slip, at, problem: makeProblem(problem.kind, operands) }];
    });
  });
}

interface Copy {
  readonly slip: string;
  readonly place: number;
  readonly digits: readonly number[];
}

function copiesOf({ digits, base }: Numeral, above: Numeral | undefined): readonly Copy[] {
  return digits.flatMap((digit, place): Copy[] => {
    const next = digits[place + 1];
    const like = LOOK_ALIKES.flatMap(([a, b]) => (digit === a ? [b] : digit === b ? [a] : []));
    const upper = above?.digits[place];
    return [
      ...(next !== undefined && next !== digit
        ? [{ slip: 'neighbours-exchanged', place, digits: put(digits, place, [next, digit]) }]
        : []),
      ...(next === digit ? doubled(digits, place) : []),
      ...like
        .filter((figure) => figure < base)
        .map((figure) => ({ slip: 'look-alike', place, digits: put(digits, place, [figure]) })),
      ...(upper !== undefined && upper !== digit
        ? [{ slip: 'from-the-line-above', place, digits: put(digits, place, [upper]) }]
        : []),
    ];
  });
}

/** One of a pair of equal figures lost, or its neighbour doubled instead. */
function doubled(digits: readonly number[], place: number): readonly Copy[] {
  const lost = digits.filter((_, k) => k !== place);
  const before = digits[place + 2];
  const after = digits[place - 1];
  const other = [
    ...(before === undefined ? [] : [put(digits, place + 1, [before])]),
    ...(after === undefined ? [] : [put(digits, place, [after])]),
  ];
  return [
    { slip: 'double-lost', place, digits: lost },
    ...other.map((made) => ({ slip: 'wrong-one-doubled', place, digits: made })),
  ];
}

function put(
  digits: readonly number[],
  from: number,
  figures: readonly number[],
): readonly number[] {
  return digits.map((digit, k) => figures[k - from] ?? digit);
}
