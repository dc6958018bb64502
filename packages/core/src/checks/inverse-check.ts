import type { Trace } from '../account/account.ts';
import { rootOf } from '../account/root.ts';
import type { Lane } from '../compare/comparison.ts';
import { Exact } from '../exact/exact.ts';
import { decimalsNeeded, numberText, numeralFor, numeralValue } from '../exact/numeral.ts';
import { closedText } from '../exact/terms-text.ts';
import { registry } from '../methods/index.ts';
import { speakerFor } from '../phrases/speaker.ts';
import { DEFAULT_VOCABULARY } from '../phrases/vocabulary.ts';
import { amountWriter } from '../problem/script.ts';
import { makeProblem, type Problem } from '../problem/problem.ts';
import { scriptOf } from '../problem/script.ts';
import { sortOf } from '../problem/sorts/sorts.ts';
import { scaleOf } from '../problem/scale.ts';
import type { CheckFinding, CheckSpec } from './check.ts';

/** Adding back in columns: its carries, by the places they go into. */
function addingBack(answer: Exact, problem: Problem): { sum: Exact; carries: readonly number[] } {
  const scale = scaleOf(problem);
  const { base, operands } = scale?.whole ?? problem;
  const unit = scale?.unit ?? Exact.ONE;
  const back = makeProblem('sum', [numeralFor(answer.dividedBy(unit), base)!, operands[1]!]);
  const trace = registry.get('column-addition').trace(back);
  const carries = trace.steps.flatMap(({ gives }) =>
    gives.flatMap(({ role, place }) => (role === 'carry' ? [place!] : [])),
  );
  // The last column writes its total whole; what is above its figure is its carry all the same.
  const top = Math.max(...back.operands.map(({ digits }) => digits.length));
  const answerPlaces = trace.steps.at(-1)!.gives.filter(({ role }) => role === 'answer').length;
  return { sum: trace.answer.times(unit), carries: answerPlaces > 1 ? [...carries, top] : carries };
}

/** The places of the little ones that equal additions writes below. */
export function littleOnes({ trace }: Lane): readonly number[] {
  return trace.steps.flatMap(({ gives }) =>
    gives.flatMap(({ role, place, worth }) =>
      role === 'little one' && worth.isNegative ? [place!] : [],
    ),
  );
}

function placesText(places: readonly number[], problem: Problem): string {
  const say = speakerFor(problem, DEFAULT_VOCABULARY);
  return places.length === 0 ? 'nowhere' : `into the ${say.list(places.map((p) => say.places(p)))}`;
}

/** An amount with a sign beside it. */
function beside(amount: Exact, problem: Problem): string {
  return scriptOf(problem) === 'terms' ? closedText(amount) : amountWriter(problem)(amount);
}

/** `= 642, the minuend`, or what it should have been. */
function shown(made: Exact, wanted: Exact, name: string, text: (amount: Exact) => string): string {
  const told = `= ${text(made)}`;
  return made.equals(wanted) ? `${told}, ${name}` : `${told}, but ${name} is ${text(wanted)}`;
}

function checkDifference(lane: Lane, answer: Exact): CheckFinding {
  const { problem } = lane.trace;
  const [minuend, subtrahend] = problem.operands.map(numeralValue);
  const text = amountWriter(problem);
  if (scriptOf(problem) !== 'figures' || answer.isNegative) {
    const sum = answer.plus(subtrahend!);
    return {
      outcome: sum.equals(minuend!) ? 'agrees' : 'disagrees',
      lines: [
        `${beside(answer, problem)} + ${beside(subtrahend!, problem)} ${shown(sum, minuend!, 'the minuend', text)}.`,
      ],
    };
  }
  const { sum, carries } = addingBack(answer, problem);
  const lines = [
    `${text(answer)} + ${text(subtrahend!)} ${shown(sum, minuend!, 'the minuend', text)}.`,
    `Adding back carries ${placesText(carries, problem)}.`,
  ];
  const little = littleOnes(lane);
  if (little.length > 0 && sum.equals(minuend!)) {
    const same = little.join() === carries.join();
    lines.push(
      same
        ? `The little ones below stand ${placesText(little, problem).replace('into', 'in')}: they are these carries.`
        : `The little ones below stand ${placesText(little, problem).replace('into', 'in')}.`,
    );
  }
  return { outcome: sum.equals(minuend!) ? 'agrees' : 'disagrees', lines };
}

function checkSum(lane: Lane, answer: Exact): CheckFinding {
  const { problem } = lane.trace;
  const worths = problem.operands.map(numeralValue);
  const last = worths.at(-1)!;
  const rest = Exact.sum(worths.slice(0, -1));
  const left = answer.minus(last);
  const text = amountWriter(problem);
  const others = worths.length === 2 ? 'the other addend' : 'the sum of the others';
  return {
    outcome: left.equals(rest) ? 'agrees' : 'disagrees',
    lines: [
      `${beside(answer, problem)} − ${beside(last, problem)} ${shown(left, rest, others, text)}.`,
    ],
  };
}

export const inverseCheck: CheckSpec = {
  id: 'inverse',
  name: 'Inverse operation',
  catches: 'Every answer that is wrong for these numbers.',
  misses: 'Numbers copied wrongly at the start, and the same slip made again on the way back.',
  lacks: ({ comparison: { problem } }) => {
    if (problem.kind !== 'product') return null;
    if (scriptOf(problem) === 'terms') {
      return 'A product of brackets is not divided back here; put numbers in for the letters.';
    }
    return dividingBack(problem) === null
      ? 'Every factor that could be divided by is zero; nothing can be divided back.'
      : null;
  },
  make: ({ lane }, answer, work = lane.trace) => {
    switch (lane.trace.problem.kind) {
      case 'sum':
        return checkSum(lane, answer);
      case 'difference':
        return checkDifference(lane, answer);
      case 'product':
        return checkProduct(lane, answer);
      case 'quotient':
        return checkQuotient(lane, answer);
      case 'root':
        return checkRoot(work);
      case 'expression':
        throw new RangeError('inverseCheck: an expression is no single operation');
    }
  },
};

/** Squaring back: root times root, and what was left. */
function checkRoot(work: Trace): CheckFinding {
  const { problem, total } = work;
  const text = amountWriter(problem);
  const { root, under, left } = rootOf(work);
  const made = root.times(root).times(under).plus(left);
  const times = under.equals(Exact.ONE) ? '' : ` × ${text(under)}`;
  const rest = left.isZero ? '' : ` + ${text(left)}`;
  const square = `${text(root)} × ${text(root)}${times}${rest}`;
  return {
    outcome: made.equals(total) ? 'agrees' : 'disagrees',
    lines: [
      `${square} ${shown(made, total, 'the number under the root', text)}: the square of the root with what is left.`,
      ...(left.isZero && made.equals(total) ? ['Nothing is left over: the root comes out.'] : []),
    ],
  };
}

/** The last factor that is not zero, by which a product can be divided back. */
function dividingBack({ operands }: Problem): number | null {
  const last = operands.findLastIndex((operand) => !numeralValue(operand).isZero);
  return last < 0 ? null : last;
}

function checkProduct({ trace: { problem } }: Lane, answer: Exact): CheckFinding {
  const by = dividingBack(problem)!;
  const { base } = problem;
  const sort = sortOf(problem);
  const factor = numeralValue(problem.operands[by]!);
  const others = problem.operands.filter((_, k) => k !== by).map(numeralValue);
  const wanted = others.reduce((product, other) => product.times(other), Exact.ONE);
  const text = writerOf(problem);
  const back = answer.dividedBy(factor);
  const what = others.length === 1 ? 'the other factor' : 'the product of the others';
  return {
    outcome: back.equals(wanted) ? 'agrees' : 'disagrees',
    lines: [
      `${text(answer)} ÷ ${text(factor)} = ${sort.isInPlaces ? shareText(answer, factor, base) : text(back)}${back.equals(wanted) ? `, ${what}` : `, but ${what} is ${text(wanted)}`}.`,
    ],
  };
}

/** Amounts in figures, fractions where they do not end; of fractions as these are written. */
function writerOf(problem: Problem): (amount: Exact) => string {
  if (!sortOf(problem).isInPlaces) return amountWriter(problem);
  return (amount) => numberText(amount, problem.base);
}

/** A quotient that ends is told as it is, any other with its remainder. */
function shareText(dividend: Exact, divisor: Exact, base: number): string {
  const share = dividend.dividedBy(divisor);
  if (decimalsNeeded(share, base) !== null) return numberText(share, base);
  const { whole, rest } = wholeAndRest(share, divisor);
  return `${numberText(whole, base)} r ${numberText(rest, base)}`;
}

function checkQuotient({ trace: { problem } }: Lane, answer: Exact): CheckFinding {
  const { base } = problem;
  const [dividend, divisor] = problem.operands.map(numeralValue) as [Exact, Exact];
  const text = writerOf(problem);
  const { leavesRest } = sortOf(problem);
  const isOut = !leavesRest || decimalsNeeded(answer, base) !== null;
  const { whole, rest } = isOut
    ? { whole: answer, rest: Exact.ZERO }
    : wholeAndRest(answer, divisor);
  const made = whole.times(divisor).plus(rest);
  const left = rest.isZero ? '' : ` + ${text(rest)}`;
  return {
    outcome: made.equals(dividend) ? 'agrees' : 'disagrees',
    lines: [
      `${text(whole)} × ${text(divisor)}${left} ${shown(made, dividend, 'the dividend', text)}: quotient × divisor${leavesRest ? ' + remainder' : ''}.`,
    ],
  };
}

function wholeAndRest(share: Exact, divisor: Exact): { whole: Exact; rest: Exact } {
  const whole = Exact.of(share.numerator / share.denominator);
  return { whole, rest: share.minus(whole).times(divisor) };
}
