import { numeralText, termListText, type Numeral } from '../exact/numeral.ts';
import { numeralSource } from './expression.ts';
import type { ProblemKind, ProblemSign } from './kinds.ts';

/** What a problem that is made of numerals is written from. */
interface Numerals {
  readonly kind: ProblemKind;
  readonly operands: readonly Numeral[];
}

/** A problem in the problem language; reading it again gives the same problem. */
export function sourceOf({ kind, operands }: Numerals, sign: ProblemSign): string {
  const [first] = operands;
  if (kind === 'root' && first) return `√${numeralSource(first)}`;
  if (!operands.some(({ terms }) => terms)) return operands.map(numeralSource).join(` ${sign} `);
  const text = kind === 'product' ? factorsSource(operands) : addendsSource(operands, sign === '−');
  return text.replaceAll('-', '−');
}

function bracket(operand: Numeral): string {
  return `(${numeralText(operand)})`;
}

function isLong({ terms }: Numeral): boolean {
  return (terms?.list.length ?? 1) > 1;
}

/** Brackets side by side, equal neighbours as a power, single terms with a sign before them. */
function factorsSource(operands: readonly Numeral[]): string {
  const runs: { text: string; long: boolean; count: number }[] = [];
  for (const operand of operands) {
    const long = isLong(operand);
    const text = long || runs.length > 0 ? bracket(operand) : numeralText(operand);
    const last = runs.at(-1);
    if (long && last?.text === text) last.count += 1;
    else runs.push({ text, long, count: 1 });
  }
  return runs.map(({ text, count }) => (count > 1 ? `${text}^${count}` : text)).join('');
}

/**
 * Single terms follow each other with their own signs, brackets keep theirs. Where there are only two,
 * a negative one is put into a bracket, since a mere minus would make a difference of them.
 */
function addendsSource(operands: readonly Numeral[], isDifference: boolean): string {
  return operands
    .map((operand, k) => {
      const { taken } = operand.terms!;
      const text = termListText(operand.terms!);
      const minus = taken || (isDifference && k > 0);
      if (isLong(operand)) return signed(`(${text})`, minus, k);
      const closed = text.startsWith('-') && k > 0 && (isDifference || operands.length === 2);
      if (closed) return signed(`(${text})`, minus, k);
      return text.startsWith('-') ? signed(text.slice(1), true, k) : signed(text, minus, k);
    })
    .join('');
}

function signed(text: string, minus: boolean, index: number): string {
  if (index === 0) return minus ? `-${text}` : text;
  return minus ? ` - ${text}` : ` + ${text}`;
}
