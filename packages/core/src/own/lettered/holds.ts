import { Exact } from '../../exact/exact.ts';
import { Random } from '../../classroom/random.ts';
import { isMet, readCondition } from './conditions.ts';
import { withRules } from './lay.ts';
import { readRule, type RuleRead } from './rule-text.ts';
import type { LetteredWay } from './way.ts';

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
  const told = [...new Set(all)].filter((text) => isMet(readCondition(text)!, here));
  const random = new Random(7);
  const tried = Array.from({ length: TRIED }, () =>
    withRules(way, otherNumbers(way.given, random)),
  );
  return told.filter((text) => tried.some((values) => !isMet(readCondition(text)!, values)));
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
): readonly string[] {
  if (rule.kind === 'named') {
    const [of] = rule.letters;
    if (rule.id === 'half') return here.get(of!)?.isWhole ? [`even(${of})`] : [];
    return rule.id.startsWith('up-to') ? [`${letter} > ${of}`] : [`${letter} > 0`];
  }
  const difference = /^([a-z]) − ([a-z])$/.exec(rule.text);
  if (difference) return [`${difference[1]} > ${difference[2]}`];
  const positive = rule.text.includes('−') ? [`${letter} > 0`] : [];
  if (!rule.text.includes('÷')) return positive;
  const isWhole = [...here.values()].every((value) => value.isWhole);
  return [...positive, isWhole ? `whole(${letter})` : `comes-out(${letter})`];
}
