import { where, type Where } from '../account/chance.ts';
import type { GroupRole, Trace } from '../account/account.ts';
import { Exact } from '../exact/exact.ts';
import { numeralFor, numeralValue, placeValue, wholeText, type Numeral } from '../exact/numeral.ts';
import { estimateOf, proposedOperands } from '../problem/estimate.ts';
import { problemValue, valueOfKind, type Problem } from '../problem/problem.ts';
import type { ProblemKind } from '../problem/kinds.ts';
import { readProblem } from '../problem/problem.ts';
import { scriptOf } from '../problem/script.ts';

/** A slip that is made before any method is taken up, and what is handed in. */
export interface WholeItem {
  readonly slip: string;
  readonly at: Where;
  readonly answer: Exact;
}

const ANSWER = where('answer', 0);

/** What is handed in where the item as a whole is mistaken; what happens to be right is left out. */
export function wholeItems(problem: Problem): readonly WholeItem[] {
  const right = problemValue(problem);
  const all = [
    ...otherOperations(problem),
    ...givenNumbers(problem),
    ...estimate(problem),
    ...figuresExchanged(problem),
    ...sidesApart(problem),
    ...halved(problem),
  ];
  return all.filter(({ answer }) => !answer.equals(right));
}

/** The four operations, of which another is worked. */
const OPERATIONS: readonly ProblemKind[] = ['sum', 'difference', 'product', 'quotient'];

function otherOperations(problem: Problem): readonly WholeItem[] {
  if (problem.kind === 'root' || problem.operands.length !== 2) return [];
  const worths = problem.operands.map(numeralValue);
  return OPERATIONS.filter((kind) => kind !== problem.kind).flatMap((kind) => {
    if (kind === 'quotient' && worths.some((worth) => !worth.isConstant || worth.isZero)) return [];
    const answer = valueOfKind(kind, worths);
    const isUsual = kind !== 'quotient' || answer.isWhole || scriptOf(problem) === 'fractions';
    return isUsual ? [{ slip: 'other-operation', at: ANSWER, answer }] : [];
  });
}

function givenNumbers({ operands, kind }: Problem): readonly WholeItem[] {
  if (kind === 'root') {
    const [number] = operands.map(numeralValue);
    return [{ slip: 'given-number', at: where('operand', 0), answer: number!.times(number!) }];
  }
  return operands.map((operand, k) => ({
    slip: 'given-number',
    at: where('operand', k),
    answer: numeralValue(operand),
  }));
}

/** What rounding every number to its leading place would make. */
function estimate(problem: Problem): readonly WholeItem[] {
  if (scriptOf(problem) !== 'figures' || problem.kind === 'root') return [];
  const rounded = proposedOperands(problem).map((text) => {
    const read = readProblem(`${text} + 0`);
    return read.ok ? problemValue(read.problem) : null;
  });
  const worths = rounded.flatMap((worth) => worth ?? []);
  if (worths.length < rounded.length) return [];
  if (problem.kind === 'quotient' && worths[1]?.isZero) return [];
  return [{ slip: 'estimate-handed-in', at: ANSWER, answer: estimateOf(problem.kind, worths) }];
}

/** The right answer with two neighbouring figures exchanged. */
function figuresExchanged(problem: Problem): readonly WholeItem[] {
  const number = numeralFor(problemValue(problem), problem.base);
  if (!number || scriptOf(problem) !== 'figures' || problem.kind === 'root') return [];
  const { digits } = number;
  return digits.slice(1).flatMap((upper, place): WholeItem[] => {
    const lower = digits[place]!;
    const turned = digits.map((digit, k) =>
      k === place ? upper : k === place + 1 ? lower : digit,
    );
    if (upper === lower || (turned.length > 1 && turned.at(-1) === 0)) return [];
    const answer = numeralValue({ ...number, digits: turned });
    return [{ slip: 'answer-figures-exchanged', at: where('answer', place), answer }];
  });
}

/** What stands before and after the point worked as two whole numbers each, and the two put together with a point. */
function sidesApart({ kind, operands, base }: Problem): readonly WholeItem[] {
  const isPointed = operands.every(({ decimals, fraction, terms }) => {
    return !fraction && !terms && decimals > 0;
  });
  if (operands.length !== 2 || !isPointed || kind === 'root' || kind === 'quotient') return [];
  const side = (of: (number: Numeral) => readonly number[]) =>
    valueOfKind(
      kind,
      operands.map((number) => numeralValue({ ...number, digits: of(number), decimals: 0 })),
    );
  const before = side(({ digits, decimals }) => digits.slice(decimals));
  // In columns the smaller figure is taken from the larger behind the point as well.
  const after = side(({ digits, decimals }) => digits.slice(0, decimals)).absolute();
  if (before.isNegative) return [];
  const length = wholeText(after, base).length;
  const answer = before.plus(after.times(placeValue(base, -length)));
  return [{ slip: 'sides-apart', at: ANSWER, answer }];
}

/** Half of the number for its root. */
function halved({ kind, operands }: Problem): readonly WholeItem[] {
  if (kind !== 'root') return [];
  const half = numeralValue(operands[0]).dividedBy(Exact.of(2));
  return [{ slip: 'halved-for-rooted', at: ANSWER, answer: half.times(half) }];
}

/** What is read as a number of its own on a paper. */
const READ_ALONE: ReadonlySet<GroupRole> = new Set(['line', 'row total', 'column total']);

/** One line of a method's work for the answer, by the lines of its paper from the first. */
export function linesForAll(trace: Trace): readonly WholeItem[] {
  if (trace.problem.kind === 'root' || trace.problem.kind === 'quotient') return [];
  const lines = trace.groups.filter(({ role }) => READ_ALONE.has(role));
  if (lines.length < 2) return [];
  return lines
    .map(({ worth }, k) => ({ slip: 'one-line-for-all', at: where('line', k), answer: worth }))
    .filter(({ answer }) => !answer.equals(trace.total) && !answer.isZero);
}

/** What is handed in when the answer of another item stands here. */
export function otherItems(problem: Problem, others: readonly Problem[]): readonly WholeItem[] {
  const right = problemValue(problem);
  return others
    .map(problemValue)
    .filter((answer) => answer.isConstant && !answer.equals(right))
    .map((answer) => ({ slip: 'another-item', at: ANSWER, answer }));
}
