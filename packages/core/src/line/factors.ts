import { type Surd } from '../exact/surd.ts';
import { type Factor, factorKey, type Node, type PowerNode, productNode } from './node.ts';

/** The factors of a product or share; a fraction is its top over its bottom. */
export function factorsOf(node: Node): readonly Factor[] {
  if (node.kind === 'product') return node.factors;
  if (node.kind === 'fraction') {
    return [
      { under: false, node: node.top },
      { under: true, node: node.bottom },
    ];
  }
  return [{ under: false, node }];
}

/** The factors without some of them; null where one of these is not there. */
export function without(
  factors: readonly Factor[],
  some: readonly Factor[],
): readonly Factor[] | null {
  const left = [...factors];
  for (const factor of some) {
    const at = left.findIndex((own) => factorKey(own) === factorKey(factor));
    if (at < 0) return null;
    left.splice(at, 1);
  }
  return left;
}

export function withoutCommon(
  old: readonly Factor[],
  made: readonly Factor[],
): readonly [readonly Factor[], readonly Factor[]] {
  const rest = [...made];
  const left = old.filter((factor) => {
    const index = rest.findIndex((other) => factorKey(other) === factorKey(factor));
    if (index >= 0) rest.splice(index, 1);
    return index < 0;
  });
  return [left, rest];
}

export function isSame(due: readonly Surd[], made: readonly Surd[]): boolean {
  const keys = (values: readonly Surd[]) => values.map(String).sort().join(' ');
  return due.length === made.length && keys(due) === keys(made);
}

/** A square or a cube as the product that it is. */
export function withoutPower(node: Node): Node {
  return node.kind === 'power' ? productNode(repeated(node)) : node;
}

/** Most factors that powers are written out to, a square, a cube or a bracket to some power. */
const MOST_REPEATED = 12;

/** Factors, a square, a cube or a power of a bracket as its base so many times; as it stands where that is too much. */
export function repeated(node: Node): readonly Factor[] {
  const isOnlyPower = node.kind === 'power' && node.exponent <= 3;
  const factors = isOnlyPower ? timesOver(node) : factorsOf(node).flatMap(bracketRepeated);
  return factors.length > MOST_REPEATED ? factorsOf(node) : factors;
}

function timesOver({ of, exponent }: PowerNode): readonly Factor[] {
  return Array.from({ length: exponent }, () => ({ under: false, node: of })).flatMap(
    bracketRepeated,
  );
}

/** A factor that is a power of a bracket, or of such a power, as that bracket so many times. */
function bracketRepeated(factor: Factor): readonly Factor[] {
  const { node, under } = factor;
  if (node.kind !== 'power' || under || node.exponent > MOST_REPEATED) return [factor];
  return node.of.kind === 'sum' || node.of.kind === 'power' ? timesOver(node) : [factor];
}
