import type { OwedEntry } from '../../account/account.ts';
import { where } from '../../account/chance.ts';
import type { Scribe } from '../../account/scribe.ts';
import { numeralValue } from '../../exact/numeral.ts';
import type { Problem } from '../../problem/problem.ts';
import { fracText, worthOf, type Frac } from '../fractions/fraction.ts';
import { writing } from '../fractions/fraction-work.ts';
import type { Untidy } from '../fractions/tidy.ts';
import { factorOf } from './factors.ts';
import { productPhrases } from './product-words.ts';

const { phrase } = productPhrases;

/** The slip of multiplying wholes by wholes and parts by parts alone; null when it is not made. */
export function wholesAndPartsApart(
  scribe: Scribe,
  { operands }: Problem,
  owed: OwedEntry,
): Untidy | null {
  const wholes = operands.map(
    (operand) => numeralValue({ ...operand, fraction: undefined }).numerator,
  );
  const parts = operands.map((operand, k): Frac => {
    const { top, bottom } = factorOf(operand);
    return { top: top - (wholes[k] ?? 0n) * bottom, bottom };
  });
  const may = wholes.every((own) => own > 0n) && parts.every(({ top }) => top > 0n);
  const at = where('answer', 0);
  if (!scribe.slip('wholes-and-parts-apart', may, { at })) return null;
  const whole = wholes.reduce((so, own) => so * own, 1n);
  const part = {
    top: parts.reduce((so, { top }) => so * top, 1n),
    bottom: parts.reduce((so, { bottom }) => so * bottom, 1n),
  };
  const frac = { top: whole * part.bottom + part.top, bottom: part.bottom };
  const [entry] = scribe.step({
    law: 'evaluate',
    phase: { kind: 'apart' },
    takes: [owed],
    writes: [writing('subtotal', fracText(frac), worthOf(frac), [1, 0])],
    phrase: phrase('factors.apart', { made: fracText(frac) }),
  });
  return { entry: entry!, frac, whole: null };
}
