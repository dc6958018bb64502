import { readAddress } from '../account/chance.ts';
import type { Choice } from '../compare/compare.ts';
import { Exact } from '../exact/exact.ts';
import type { Method } from '../methods/method.ts';
import type { Registry } from '../methods/registry.ts';
import { ownLinesMethod } from '../own/method.ts';
import type { OwnWork } from '../own/own-work.ts';
import type { PaperWork } from './comparison-shape.ts';

/** Papers of own lines as methods, by their lines: the same lines are worked once. */
const OWN = new WeakMap<OwnWork, Method>();

/** The method of a paper: one of the registry, or its own lines in the place of one. Undefined where there is none. */
export function methodOfPaper(
  { method, own }: Pick<PaperWork, 'method' | 'own'>,
  registry: Registry,
): Method | undefined {
  return own ? methodOfLines(own) : registry.find(method);
}

function methodOfLines(own: OwnWork): Method {
  const known = OWN.get(own) ?? ownLinesMethod(own);
  OWN.set(own, known);
  return known;
}

/**
 * The papers of a document as choices of a comparison; own lines are judged and worked when they are asked for, unless their
 * methods come from elsewhere. RangeError on a method that does not exist.
 */
export function choicesOf(
  papers: readonly PaperWork[],
  registry: Registry,
  linesMethod: (own: OwnWork) => Method = methodOfLines,
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
