import { Exact } from '../../exact/exact.ts';
import { numeral, numeralValue } from '../../exact/numeral.ts';

/**
 * What a way costs in the head: facts whose two figures are both over 1, carries and places that are too small, and
 * twice the most numbers that are held at once. Counted from the lines as they stand.
 */
export function costOfLines(lines: readonly string[]): number {
  const { facts, regroupings, held } = countsOfLines(lines);
  return facts + regroupings + 2 * held;
}

/** What is counted of lines; see {@link costOfLines}. */
export interface LineCounts {
  readonly facts: number;
  /** Sums and differences of two amounts that are worked out. */
  readonly additions: number;
  readonly regroupings: number;
  readonly held: number;
}

/** @param base in which the lines write their numbers. */
export function countsOfLines(lines: readonly string[], base = 10): LineCounts {
  const counts = { facts: 0, additions: 0, regroupings: 0, held: 0 };
  lines.forEach((line, k) => {
    counts.held = Math.max(counts.held, heldIn(line));
    // What a line says is worked out where the next one has fewer numbers.
    const next = lines[k + 1];
    if (next === undefined || numbersIn(next).length >= numbersIn(line).length) return;
    for (const product of line.match(/[\dA-F.]+(?: [×÷] [\dA-F.]+)+/g) ?? []) {
      counts.facts += factsIn(product);
    }
    counts.additions += Math.max(0, termCount(line) - termCount(next));
    counts.regroupings += regroupingsIn(line, next, base);
  });
  return counts;
}

function termCount(line: string): number {
  return line.replace(/^= /, '').split(/ [+−] /).length;
}

/** Terms that wait, and, while a product of several figures is worked out, its products of figures that wait too. */
function heldIn(line: string): number {
  const arrows = line.split('→').length - 1;
  if (arrows > 0) return arrows - 1;
  const body = line.replace(/^= /, '');
  const terms = body.split(/ [+−] /).filter((part) => part.trim() !== '').length;
  const products = body.match(/[\dA-F.]+ × [\dA-F.]+/g) ?? [];
  const pairs = products.map((product) => {
    const [a = '', b = ''] = numbersIn(product).map((number) => number.replace(/[.0]/g, ''));
    return a.length * b.length;
  });
  return terms - 1 + Math.max(0, ...pairs.map((count) => count - 1));
}

function numbersIn(line: string): readonly string[] {
  return line.match(/[\dA-F]+(?:\.[\dA-F]+)?/g) ?? [];
}

function figuresOver1(number: string): number {
  return [...number].filter((glyph) => /[2-9A-F]/.test(glyph)).length;
}

function factsIn(product: string): number {
  const numbers = numbersIn(product);
  return numbers
    .slice(1)
    .reduce((count, number, k) => count + figuresOver1(numbers[k]!) * figuresOver1(number), 0);
}

/** Carries of the sums, and places that are too small in the differences, that lead from one line to the next. */
function regroupingsIn(line: string, next: string, base: number): number {
  if (/[×÷→]/.test(line) || numbersIn(next).length !== 1) return 0;
  const terms = line.replace(/^= /, '').match(/[+−]? ?[\dA-F]+(?:\.[\dA-F]+)?/g) ?? [];
  let count = 0;
  let so = Exact.ZERO;
  for (const term of terms) {
    const amount = numeralValue(numeral(numbersIn(term)[0]!, base));
    count += term.startsWith('−')
      ? carries(so.minus(amount), amount, base)
      : carries(so, amount, base);
    so = term.startsWith('−') ? so.minus(amount) : so.plus(amount);
  }
  return count;
}

/** How often a place passes the base in a sum of two; the same places are too small in the difference that undoes it. */
function carries(a: Exact, b: Exact, base: number): number {
  const scale = Exact.of(base ** 3);
  const figures = (amount: Exact) => [...amount.times(scale).numerator.toString(base)].reverse();
  const [x, y] = [figures(a), figures(b)];
  let carry = 0;
  let count = 0;
  for (let k = 0; k < Math.max(x.length, y.length); k++) {
    const total = parseInt(x[k] ?? '0', base) + parseInt(y[k] ?? '0', base) + carry;
    carry = total >= base ? 1 : 0;
    count += carry;
  }
  return count;
}
