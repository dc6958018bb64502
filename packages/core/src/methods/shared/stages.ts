import { Exact } from '../../exact/exact.ts';
import { definePhrases, type Wording } from '../../phrases/phrasebook.ts';

type StageValues = { readonly product: Exact; readonly factor: Exact; readonly number: number };

const next: Wording<StageValues> = {
  digit: ({ product, factor }, say) =>
    `${say.figures(product)} goes on as a factor: now **${say.figures(product)} ${say.times} ${say.figures(factor)}**.`,
  value: ({ product, factor, number }, say) =>
    `The ${number === 2 ? 'first two factors' : `first ${number} factors`} make ${say.figures(product)}; all of it is taken **${say.figures(factor)} ${factor.equals(Exact.ONE) ? 'time' : 'times'}**.`,
};

const phrases = definePhrases({ 'stage.next': next });

/** The wordings that every method of products takes in. */
export const stagePhrases = phrases.book;

/** How the second and every later stage is announced; `number` counts the factors worked so far. */
export function sayStage(number: number, product: Exact, factor: Exact) {
  return phrases.phrase('stage.next', { number, product, factor });
}
