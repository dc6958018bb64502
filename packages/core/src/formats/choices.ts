import { readAddress } from '../account/chance.ts';
import type { Choice } from '../compare/compare.ts';
import { Exact } from '../exact/exact.ts';
import type { Method } from '../methods/method.ts';
import type { Registry } from '../methods/registry.ts';
import { waitingLinesMethod } from '../own/paper/lines-method.ts';
import type { OwnWork } from '../own/paper/own-work.ts';
import type { PaperWork } from './comparison-shape.ts';

/**
 * The method of a paper: one of the registry, or its own lines in the place of one, of which nothing is said. Undefined where
 * there is none.
 */
export function methodOfPaper(
  { method, own }: Pick<PaperWork, 'method' | 'own'>,
  registry: Registry,
): Method | undefined {
  return own ? waitingLinesMethod(own, []) : registry.find(method);
}

/** The papers of a document as choices of a comparison, own lines as methods by `linesMethod`. RangeError on a method that does not exist. */
export function choicesOf(
  papers: readonly PaperWork[],
  registry: Registry,
  linesMethod: (own: OwnWork) => Method,
): readonly Choice[] {
  return papers.map((paper) => {
    const { school, order, hops, slips } = paper;
    return {
      method: paper.own ? linesMethod(paper.own) : registry.get(paper.method),
      school,
      order,
      hops: hops.map((hop) => Exact.parse(hop)),
      ...(slips.length > 0 ? { slips: slips.flatMap((slip) => readAddress(slip) ?? []) } : {}),
    };
  });
}
