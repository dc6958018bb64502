import { readAddress } from '../account/chance.ts';
import type { Choice } from '../compare/compare.ts';
import { Exact } from '../exact/exact.ts';
import type { Registry } from '../methods/registry.ts';
import type { PaperWork } from './comparison-shape.ts';

/** The papers of a document as choices of a comparison. RangeError on a method that does not exist. */
export function choicesOf(papers: readonly PaperWork[], registry: Registry): readonly Choice[] {
  return papers.map(({ method, school, order, hops, slips }) => ({
    method: registry.get(method),
    school,
    order,
    hops: hops.map((hop) => Exact.parse(hop)),
    ...(slips.length > 0 ? { slips: slips.flatMap((slip) => readAddress(slip) ?? []) } : {}),
  }));
}
