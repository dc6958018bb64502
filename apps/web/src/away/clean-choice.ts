import { choicesOf, ownLinesMethod, registry, type Choice, type PaperWork } from '@levee/core';

/** What a paper is worked by, without the slips that lie on it. */
export function cleanChoice(paper: PaperWork): Choice {
  return choicesOf([{ ...paper, slips: [] }], registry, ownLinesMethod)[0]!;
}
