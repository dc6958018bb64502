import { moveSpec } from '../../../laws/moves.ts';
import { Exact } from '../../../exact/exact.ts';
import type { FalseRule } from './rule.ts';
import { FALSE_RULES } from './table.ts';
import type { Page } from '../../../laws/move-spec.ts';
import {
  flat,
  numberOf,
  fractionNode,
  sumNode,
  productNode,
  valueOfTerms,
  type Node,
  type NumberNode,
  type Term,
  lineKey,
} from '../../../line/node.ts';
import { termsText } from '../../../line/node-text.ts';
import { steps, withoutCommonTerms } from '../search/recognise.ts';

/** The first false rule that writes a line in place of another, worked out or not; null where none does. */
export function falseRuleOf(
  before: readonly Term[],
  line: readonly Term[],
  page: Page,
): FalseRule | null {
  const whole = [before, line] as const;
  const changed = withoutCommonTerms(flat(before), flat(line));
  const pairs = lineKey(changed[0]) === lineKey(flat(before)) ? [whole] : [changed, whole];
  return (
    FALSE_RULES.find((rule) =>
      pairs.some(([from, to]) => rule.write(from, to).some((made) => isThat(made, to, page))),
    ) ?? null
  );
}

/** Whether what a rule writes is the line, as it stands or worked out by one move. */
function isThat(made: readonly Term[], line: readonly Term[], page: Page): boolean {
  if (lineKey(made) === lineKey(line)) return true;
  if (!valueOfTerms(made).equals(valueOfTerms(line))) return false;
  return steps(made, line, page).some((found) =>
    found.every(({ move }) => moveSpec(move).alike === 'put together'),
  );
}

/** A false rule that writes just this line, though it is right here, with numbers on which it goes wrong. */
export interface Chance {
  readonly rule: string;
  readonly counter: string;
}

/** A false rule that comes out right now and then and writes a line; null where none does. */
export function chanceOf(before: readonly Term[], line: readonly Term[]): Chance | null {
  const [from, to] = withoutCommonTerms(flat(before), flat(line));
  for (const rule of FALSE_RULES) {
    if (!rule.isLucky) continue;
    if (!rule.write(from, to).some((made) => lineKey(made) === lineKey(to))) continue;
    const counter = counterTo(rule, from, to);
    if (counter) return { rule: rule.id, counter };
  }
  return null;
}

/** The same with another number in it, on which the rule does not come out. */
function counterTo(rule: FalseRule, from: readonly Term[], to: readonly Term[]): string | null {
  for (let more = 1; more <= 9; more++) {
    for (const other of [
      from.map((term) => raised(term, more, 0)),
      from.map((term) => raised(term, more, 1)),
    ]) {
      const [made] = rule.write(other, to);
      if (made && !valueOfTerms(made).equals(valueOfTerms(other))) {
        return `${termsText(other)} = ${termsText(made)}`;
      }
    }
  }
  return null;
}

/** A term with its first or second number a few larger; tens larger in a fraction, so that its last figure stays. */
function raised({ minus, node }: Term, more: number, which: 0 | 1): Term {
  const put = (own: Node, by: number): Node =>
    own.kind === 'number' ? numberOf(own.amount.plus(Exact.of(by)), 10) : own;
  if (node.kind === 'fraction') {
    const [top, bottom] = [
      put(node.top, which === 0 ? 10 * more : 0),
      put(node.bottom, which === 1 ? more : 0),
    ];
    return { minus, node: fractionNode(top as NumberNode, bottom as NumberNode) };
  }
  if (node.kind === 'product') {
    const factors = node.factors.map(({ under, node: own }, k) => ({
      under,
      node: k === which ? put(own, more) : own,
    }));
    return { minus, node: productNode(factors) };
  }
  if (node.kind === 'sum')
    return { minus, node: sumNode(node.terms.map((term) => raised(term, more, which))) };
  return { minus, node: put(node, which === 0 ? more : 0) };
}
