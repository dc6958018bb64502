import type { Trace } from '../../account/account.ts';
import { Exact } from '../../exact/exact.ts';
import { numeralValue } from '../../exact/numeral.ts';
import { definePhrases, type Wording } from '../../phrases/phrasebook.ts';
import { scriptOf } from '../../problem/script.ts';

type StageValues = { readonly product: Exact; readonly factor: Exact; readonly number: number };

const next: Wording<StageValues> = {
  digit: ({ product, factor }, say) =>
    `${say.figures(product)} goes on as a factor: now **${say.figures(product)} ${say.times} ${say.figures(factor)}**.`,
  value: ({ product, factor, number }, say) =>
    `${firstFactors(number)} make ${say.figures(product)}; all of it is taken **${say.figures(factor)} ${factor.equals(Exact.ONE) ? 'time' : 'times'}**.`,
};

function firstFactors(number: number): string {
  return number === 1 ? 'The first two factors' : `The first ${number + 1} factors`;
}

type TermStageValues = StageValues & {
  /** Terms as they stand, as they would be tidied, and left as they were multiplied. */
  readonly terms: number;
  readonly tidied: number;
  readonly untidied: number;
  readonly more: number;
};

/** How many products come next, and how many it would be the other way. */
const nextTerms: Wording<TermStageValues> = {
  digit: ({ terms, more, factor }, say) =>
    `Next bracket (${say.worth(factor)}): ${terms} ${say.times} ${more} = **${terms * more} products**.`,
  value: ({ product, number, terms, tidied, untidied, more }, say) => {
    const now = `${number === 1 ? 'Two' : number + 1} brackets make ${say.worth(product)}; its ${terms} ${terms === 1 ? 'term meets' : 'terms meet'} ${more} more: **${terms * more} products**`;
    if (tidied === untidied) return `${now}.`;
    return terms === tidied
      ? `${now}. Left as it was multiplied, ${untidied} terms would make ${untidied * more}.`
      : `${now}. Tidied first, ${tidied} terms would make ${tidied * more}.`;
  },
};

const phrases = definePhrases({ 'stage.next': next, 'stage.terms': nextTerms });

/** The wordings that every method of products takes in. */
export const stagePhrases = phrases.book;

/** How the second and every later stage is announced; `number` counts the stages before it. */
export function sayStage(number: number, made: Trace, opening: Trace) {
  const product = made.answer;
  const factor = numeralValue(opening.problem.operands[1]!);
  if (scriptOf(made.problem) !== 'terms') {
    return phrases.phrase('stage.next', { number, product, factor });
  }
  const [first, second] = opening.space.cuts.map((parts) => parts.length) as [number, number];
  return phrases.phrase('stage.terms', {
    number,
    product,
    factor,
    terms: first,
    tidied: product.parts().length,
    untidied: made.start.length,
    more: second,
  });
}
