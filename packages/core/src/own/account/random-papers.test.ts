import { audit } from '../../laws/audit.ts';
import { agreement } from '../../compare/certificate/agreement.ts';
import { compare } from '../../compare/compare.ts';
import { verifyAgreement } from '../../compare/certificate/verify-agreement.ts';
import { Random } from '../../exact/random.ts';
import { registry } from '../../methods/index.ts';
import { Dice } from '../../testing/rewritings.ts';
import { readComputation } from '../../problem/computation.ts';
import { ownLinesMethod } from '../paper/method.ts';
import { workOf } from '../paper/own-work.ts';

/** A signed product of whole numbers, as a line has it. */
type Part = readonly [sign: 1 | -1, ...factors: number[]];

const product = ([, ...factors]: Part) => factors.reduce((made, own) => made * own, 1);

/** How a part is written. */
type Show = (factors: readonly number[]) => string;

const asProduct: Show = (factors) => factors.join(' × ');

function text(parts: readonly Part[], show: Show): string {
  return parts
    .map(([sign, ...factors], k) => {
      const own = show(factors);
      if (k === 0) return sign === -1 ? `−${own}` : own;
      return ` ${sign === -1 ? '−' : '+'} ${own}`;
    })
    .join('');
}

function placesOf(number: number): readonly number[] {
  return [...String(number)].map((figure, k, all) => Number(figure) * 10 ** (all.length - 1 - k));
}

/** One lawful change of a line, chosen at random; the same line where there is none of its kind. */
function changed(parts: readonly Part[], dice: Dice): readonly Part[] {
  const at = dice.from(0, parts.length - 1);
  const [sign, ...factors] = parts[at]!;
  const factor = dice.from(0, factors.length - 1);
  const number = factors[factor]!;
  const cut = (made: readonly (readonly [1 | -1, number])[]): readonly Part[] => {
    const own = made.map(([turn, piece]): Part => [
      (sign * turn) as 1 | -1,
      ...factors.map((one, k) => (k === factor ? piece : one)),
    ]);
    return [...parts.slice(0, at), ...own, ...parts.slice(at + 1)];
  };
  switch (dice.from(0, 5)) {
    case 0: {
      const places = placesOf(number).filter((place) => place > 0);
      return places.length > 1 ? cut(places.map((place) => [1, place])) : parts;
    }
    case 1: {
      if (number < 2) return parts;
      const piece = dice.from(1, number - 1);
      return cut([
        [1, piece],
        [1, number - piece],
      ]);
    }
    case 2: {
      const round = Math.ceil(number / 10) * 10;
      if (round === number) return parts;
      return cut([
        [1, round],
        [-1, round - number],
      ]);
    }
    case 3: {
      if (factors.length === 1) return parts;
      return parts.map((part) => [part[0], product(part)]);
    }
    case 4:
      return others(parts, dice);
    default:
      return gathered(parts, dice);
  }
}

/** Other numbers that come to the same, as they fall: no law leads to them. */
function others(parts: readonly Part[], dice: Dice): readonly Part[] {
  const total = parts.reduce((sum, part) => sum + part[0] * product(part), 0);
  const made: Part[] = [];
  let left = total;
  for (let k = dice.from(1, 9); k > 0 && left > 1; k--) {
    const piece = dice.from(1, left - 1);
    made.push([1, piece]);
    left -= piece;
  }
  if (left > 0) made.push([1, left]);
  return made.length > 0 ? made : parts;
}

/** Two lone numbers of a line put together, or the line in another order. */
function gathered(parts: readonly Part[], dice: Dice): readonly Part[] {
  const lone = parts.filter((part) => part.length === 2);
  const [a, b] = lone;
  if (lone.length < 2 || dice.from(0, 1) === 0) {
    const plus = parts.findIndex(([sign], k) => sign === 1 && k > 0);
    return plus < 0 ? parts : [parts[plus]!, ...parts.filter((_, k) => k !== plus)];
  }
  const sum = a![0] * product(a!) + b![0] * product(b!);
  if (sum === 0) return parts;
  const made: Part = [sum < 0 ? -1 : 1, Math.abs(sum)];
  return parts.flatMap((part) => (part === a ? [made] : part === b ? [] : [part]));
}

/** A problem with lines that follow from each other by one change each. */
function paper({ start, show, end }: Start, dice: Dice): { problem: string; lines: string[] } {
  const lines: string[] = [];
  let now = start;
  for (let k = 0; k < 5; k++) {
    const next = changed(now, dice);
    if (text(next, show) === text(now, show)) continue;
    now = next;
    if (now[0]![0] === 1) lines.push(`= ${text(now, show)}`);
  }
  const total = start.reduce((sum, part) => sum + part[0] * product(part), 0);
  lines.push(`= ${end(total).replace('-', '−')}`);
  return { problem: text(start, show), lines };
}

/** What a paper begins with, and how its parts and its total are written. */
interface Start {
  readonly start: readonly Part[];
  readonly show: Show;
  readonly end: (total: number) => string;
}

const whole = (start: readonly Part[]): Start => ({ start, show: asProduct, end: String });

function fractions(start: readonly Part[], bottom: number): Start {
  const show: Show = ([top]) => `${top}/${bottom}`;
  return { start, show, end: (total) => `${total}/${bottom}` };
}

function shared(quotient: number, divisor: number): Start {
  const show: Show = ([share]) => `${share! * divisor} ÷ ${divisor}`;
  return { start: [[1, quotient]], show, end: String };
}

const STARTS: Readonly<Record<string, (dice: Dice) => Start>> = {
  'two numbers added': (dice) =>
    whole([
      [1, dice.from(12, 987)],
      [1, dice.from(12, 987)],
    ]),
  'three numbers added': (dice) =>
    whole([
      [1, dice.from(12, 98)],
      [1, dice.from(12, 98)],
      [1, dice.from(12, 98)],
    ]),
  'many numbers added': (dice) =>
    whole(Array.from({ length: dice.from(5, 12) }, (): Part => [1, dice.from(1, 40)])),
  'a difference': (dice) =>
    whole([
      [1, dice.from(200, 987)],
      [-1, dice.from(12, 198)],
    ]),
  'a string of numbers': (dice) =>
    whole([
      [1, dice.from(50, 98)],
      [-1, dice.from(2, 40)],
      [1, dice.from(2, 40)],
    ]),
  'fractions added': (dice) =>
    fractions(
      [
        [1, dice.from(12, 40)],
        [1, dice.from(12, 40)],
      ],
      dice.from(7, 11),
    ),
  'a difference of fractions': (dice) =>
    fractions(
      [
        [1, dice.from(50, 90)],
        [-1, dice.from(12, 40)],
      ],
      dice.from(7, 11),
    ),
  'a quotient': (dice) => shared(dice.from(12, 198), dice.from(3, 19)),
  'a product': (dice) => whole([[1, dice.from(12, 98), dice.from(12, 98)]]),
  'three numbers multiplied': (dice) =>
    whole([[1, dice.from(3, 12), dice.from(3, 25), dice.from(3, 40)]]),
  'products added': (dice) =>
    whole([
      [1, dice.from(3, 60), dice.from(12, 98)],
      [1, dice.from(3, 60), dice.from(12, 98)],
    ]),
  'a product less a number': (dice) =>
    whole([
      [1, dice.from(13, 60), dice.from(12, 98)],
      [-1, dice.from(3, 60)],
    ]),
};

describe.each(Object.keys(STARTS))('%s, line by line at random', (kind) => {
  it('balances, audits and is certified beside a method', () => {
    const dice = new Dice(new Random(7));
    for (let k = 0; k < 40; k++) {
      const { problem, lines } = paper(STARTS[kind]!(dice), dice);
      const read = readComputation(problem);
      if (!read.ok) throw new Error(problem);
      const own = ownLinesMethod(workOf(lines));
      const trace = own.trace(read.problem);
      const beside = registry.methods.filter(({ accepts }) => accepts(read.problem).ok);
      const entries = beside.length > 0 ? [{ method: dice.one(beside) }] : [];
      const comparison = compare(read.problem, [...entries, { method: own }]);
      const verdict = verifyAgreement(agreement(comparison));
      expect([problem, lines, audit(trace), trace.balanced, verdict]).toEqual([
        problem,
        lines,
        [],
        true,
        { ok: true },
      ]);
    }
  });
});
