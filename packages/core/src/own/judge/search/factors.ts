import { Exact } from '../../../exact/exact.ts';
import { Surd } from '../../../exact/surd.ts';
import type { Page } from '../../../laws/move-spec.ts';
import { MOVES } from '../../../laws/moves.ts';
import { withoutCommon } from '../../../line/factors.ts';
import { at, groupings } from '../../../line/groups.ts';
import {
  type Factor,
  type Node,
  productNode,
  type Term,
  valueOfFactors,
} from '../../../line/node.ts';
import { type Found, kindOf, moveAt } from '../move.ts';

/** How one node becomes another that is worth the same, by one kind of move. */
export type NodeStep = (old: Node, made: Node, page: Page) => readonly Found[];

const ONE = Surd.of(Exact.ONE);

/**
 * A product becomes another: equal factors stay, and what is left falls into groups of one worth, each of which is
 * moved, scaled or worked out, or changes inside.
 */
export function factorSteps(
  old: readonly Factor[],
  made: readonly Factor[],
  page: Page,
  inside: NodeStep,
): readonly Found[] {
  const [from, to] = withoutCommon(old, made);
  if (from.length === 0 && to.length === 0) return [];
  const put = (a: Surd, b: Surd) => a.times(b);
  const found = groupings(from.map(worthOf), to.map(worthOf), put, ONE).flatMap((way) =>
    alike(way.map((group) => groupStep(at(from, group.old), at(to, group.made), page, inside))),
  );
  return found.length > 0 ? found : groupStep(from, to, page, inside);
}

function worthOf(factor: Factor): Surd {
  return valueOfFactors([factor]);
}

/** One explanation for each group, all of one kind; several where groups have several. */
export function alike(groups: readonly (readonly Found[])[]): readonly Found[] {
  const [first, ...rest] = groups;
  if (!first || groups.some((found) => found.length === 0)) return [];
  return first.flatMap((found) => {
    const kind = kindOf(found[0]!);
    const others = rest.map((own) => own.find((other) => kindOf(other[0]!) === kind));
    return others.includes(undefined) ? [] : [[found, ...(others as readonly Found[])].flat()];
  });
}

function groupStep(
  old: readonly Factor[],
  made: readonly Factor[],
  page: Page,
  inside: NodeStep,
): readonly Found[] {
  const [a, b] = [old[0], made[0]];
  if (old.length === 1 && made.length === 1 && a!.under === b!.under) {
    return inside(a!.node, b!.node, page);
  }
  const move = MOVES.find(({ ofFactors }) => ofFactors?.(old, made, page));
  return move ? [[moveAt(move.id, asTerms(old), asTerms(made))]] : [];
}

function asTerms(factors: readonly Factor[]): readonly Term[] {
  if (factors.length === 0) return [];
  return [{ minus: false, node: productNode(factors) }];
}
