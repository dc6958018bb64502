import { Exact } from '../../exact/exact.ts';
import { some, type Expression } from '../../problem/expression.ts';
import { Random } from '../../exact/random.ts';
import { conditionText, isMet, type Condition } from './conditions.ts';
import { withRules } from './lay.ts';
import { namedRule } from './named-rules.ts';
import { readRule, type RuleRead } from './rule-text.ts';
import type { LetteredWay } from './lettered-way.ts';

type Unconditioned = Pick<LetteredWay, 'given' | 'rules'>;

/** How many other numbers are tried to see whether a condition can fail. */
const TRIED = 80;

/**
 * What must hold of the numbers so that the way is the same way with them: a half that is whole, a round number that
 * lies above, a part that is left. What no number that was tried breaks is not told; whether a line holds and can be
 * written is looked at again whenever the way is laid.
 */
export function conditionsOf(
  way: Unconditioned,
  here: ReadonlyMap<string, Exact>,
): readonly string[] {
  const all = Object.entries(way.rules).flatMap(([letter, text]) => {
    const rule = readRule(text);
    return rule ? conditionsFor(letter, rule, here) : [];
  });
  const told = distinct(all).filter((condition) => isMet(condition, here));
  const random = new Random(7);
  const tried = Array.from({ length: TRIED }, () =>
    withRules(way, otherNumbers(way.given, random)),
  );
  return told
    .filter((condition) => tried.some((values) => !isMet(condition, values)))
    .map(conditionText);
}

function distinct(all: readonly Condition[]): readonly Condition[] {
  return [...new Map(all.map((one) => [conditionText(one), one])).values()];
}

/** Numbers of one to four figures, some of them round. */
function otherNumbers(given: readonly string[], random: Random): ReadonlyMap<string, Exact> {
  const pick = (below: number) => Math.floor(random.next() * below);
  return new Map(
    given.map((letter) => {
      const size = 10 ** (1 + pick(4));
      const value = 1 + pick(size);
      return [letter, Exact.of(pick(4) === 0 ? 10 * value : value)] as const;
    }),
  );
}

function conditionsFor(
  letter: string,
  rule: RuleRead,
  here: ReadonlyMap<string, Exact>,
): readonly Condition[] {
  const positive: Condition = { kind: 'above', letter, than: '0' };
  if (rule.kind === 'named') {
    const of = rule.letters[0] ?? '';
    const { lies, needs } = namedRule(rule.id) ?? {};
    if (needs) return here.get(of)?.isWhole ? [{ kind: needs, letter: of }] : [];
    return lies ? [{ kind: lies, letter, than: of }] : [positive];
  }
  const { expression } = rule;
  const [larger, smaller] = lettersOfDifference(expression) ?? [];
  if (larger !== undefined && smaller !== undefined)
    return [{ kind: 'above', letter: larger, than: smaller }];
  const mayFall = some(expression, takesAway) ? [positive] : [];
  if (!some(expression, shares)) return mayFall;
  const isWhole = [...here.values()].every((value) => value.isWhole);
  return [...mayFall, { kind: isWhole ? 'whole' : 'comes-out', letter }];
}

/** The letters of `c − b`; null for any other computation. */
function lettersOfDifference(of: Expression): readonly [string, string] | null {
  const [a, b, ...more] = of.kind === 'sum' ? of.parts : [];
  if (!a || !b || more.length > 0 || a.minus || !b.minus) return null;
  return a.of.kind === 'letter' && b.of.kind === 'letter' ? [a.of.name, b.of.name] : null;
}

function takesAway(of: Expression): boolean {
  return of.kind === 'negative' || (of.kind === 'sum' && of.parts.some(({ minus }) => minus));
}

function shares(of: Expression): boolean {
  return of.kind === 'quotient' && !of.bar;
}
