import { where } from '../../account/chance.ts';
import type { Mark, School } from '../../account/account.ts';
import type { Scribe, Writing } from '../../account/scribe.ts';
import { digitAt } from '../../exact/numeral.ts';
import { carryWriting, productPhrase } from './column-line.ts';
import { columnPhrases } from './column-words.ts';
import type { TwoFactors } from './two-factors.ts';

const { phrase } = columnPhrases;

/**
 * The answer of a learner who works a product like a sum, each figure with the one under it alone; null where none does.
 * A figure with none under it is only joined by what is carried.
 */
export function columnByColumn(
  scribe: Scribe,
  { top, bottom }: TwoFactors,
  school: School,
): readonly Mark[] | null {
  const pairs = top.digits.flatMap((_, i) => bottom.digits.map((_digit, j) => [i, j] as const));
  const others = pairs.filter(([i, j]) => i !== j);
  const counts = others.some(([i, j]) => digitAt(top, i) * digitAt(bottom, j) > 0);
  const may = bottom.digits.length > 1 && top.digits.length > 1 && counts;
  if (!scribe.slip('column-by-column', may, { at: where('answer', 0) })) return null;
  scribe.step({
    law: 'evaluate',
    phase: { kind: 'line', of: 0 },
    takes: others.map(([i, j]) => scribe.owes(i, j)),
    writes: [],
    phrase: phrase('column.by-column', {}),
  });
  const { base } = scribe;
  const width = Math.max(top.digits.length, bottom.digits.length);
  const figures: Mark[] = [];
  let carry: Mark | null = null;
  let carried = 0;
  for (let i = 0; i < width; i++) {
    const isPair = i < top.digits.length && i < bottom.digits.length;
    const digit = i < top.digits.length ? digitAt(top, i) : 1;
    const multiplier = i < bottom.digits.length ? digitAt(bottom, i) : 1;
    const total: number = digit * multiplier + carried;
    const isLast = i === width - 1;
    const keep = isLast ? 0 : Math.floor(total / base);
    const counts = isLast
      ? [...total.toString(base)].reverse().map((f) => parseInt(f, base))
      : [total % base];
    const writes: Writing[] = counts.map((count, k) => ({
      role: 'answer',
      count,
      place: i + k,
      spot: { area: 'line', row: 0, column: i + k },
    }));
    if (keep > 0) writes.push(carryWriting(keep, 0, i + 1, i + 1, school));
    const marks: readonly Mark[] = scribe.step({
      law: 'evaluate',
      phase: { kind: 'line', of: 0 },
      takes: [...(isPair ? [scribe.owes(i, i)] : []), ...(carry ? [carry] : [])],
      strikes: carry && carry.medium === 'paper' ? [carry] : [],
      writes,
      phrase: productPhrase(
        scribe,
        { digit, multiplier, carried, above: 0 },
        { place: i, linePlace: i, fact: digit * multiplier, total, keep, slip: '' },
      ),
    });
    carry = keep > 0 ? marks.at(-1)! : null;
    carried = keep;
    figures.push(...marks.filter(({ role }) => role === 'answer'));
  }
  return figures;
}
