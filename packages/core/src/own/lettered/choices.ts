import type { Exact } from '../../exact/exact.ts';
import { numberText, numeralFor } from '../../exact/numeral.ts';
import { readAsked, type Asked } from '../read/asked.ts';
import { readCondition } from './conditions.ts';
import { conditionsOf } from './holds.ts';
import { givenValues, layOn, withRules } from './lay.ts';
import { isFarUp, NAMED_RULES } from './named-rules.ts';
import { sampleRows } from './samples.ts';
import { readRule } from './rule-text.ts';
import type { LetteredWay } from './lettered-way.ts';

/**
 * Rules by which a letter may be chosen instead: each gives the number that stands there, and with each the lines hold
 * for other numbers, too. The way's own rule is first; the number itself, as one of her own, is last. A letter that
 * follows from others has none.
 */
export function choicesFor(way: LetteredWay, letter: string, asked: Asked): readonly string[] {
  const own = way.rules[letter];
  const read = own === undefined ? null : readRule(own);
  const given = givenValues(way, asked);
  if (!read || !given || (read.kind === 'computed' && read.letters.length > 0)) return [];
  const value = withRules(way, given).get(letter);
  if (!value || !numeralFor(value, 10)) return [];
  const named = way.given.flatMap((of) =>
    NAMED_RULES.flatMap((rule) => {
      const { id, takes, of: make } = rule;
      const number = given.get(of)!;
      const isThat = takes === 1 && make(number)?.equals(value) && !isFarUp(rule, number, value);
      return isThat ? [`${id}(${of})`] : [];
    }),
  );
  const all = [...new Set([own!, ...named, numberText(value, 10)])];
  const others = otherAsked(way, given, TRIED);
  return all.filter(
    (rule) => rule === own || others.every((one) => holdsWith(way, letter, rule, one)),
  );
}

/** The way with another rule for a letter, and with what must then hold. */
export function withRule(
  way: LetteredWay,
  letter: string,
  rule: string,
  asked: Asked,
): LetteredWay {
  const rules = { ...way.rules, [letter]: rule };
  const given = givenValues(way, asked);
  if (!given) return { ...way, rules };
  const stays = way.holds.filter((one) => readCondition(one)?.kind === 'equal');
  return {
    ...way,
    rules,
    holds: [...stays, ...conditionsOf({ ...way, rules }, withRules({ rules }, given))],
  };
}

/** How many other computations a rule is tried on, to see whether it fits these numbers by chance alone. */
const TRIED = 3;
/** How many are looked at for those that a way fits. */
const MOST_LOOKED_AT = 120;

/** Other computations of the same form that meet all that the way asks of them, up to so many. */
export function suggestedFor(way: LetteredWay, asked: Asked, most: number): readonly Asked[] {
  const given = givenValues(way, asked);
  if (!given) return [];
  const found: Asked[] = [];
  for (const other of otherAsked(way, given, MOST_LOOKED_AT)) {
    if (found.length >= most) break;
    const isNew = other.text !== asked.text && found.every(({ text }) => text !== other.text);
    if (isNew && layOn(way, other).ok) found.push(other);
  }
  return found;
}

function otherAsked(
  way: LetteredWay,
  given: ReadonlyMap<string, Exact>,
  count: number,
): readonly Asked[] {
  const equals = way.holds.map(readCondition).filter((one) => one?.kind === 'equal');
  const fixed = way.given.flatMap((letter, k) =>
    equals.some((one) => one?.letter === letter) ? [k] : [],
  );
  const values = way.given.map((letter) => given.get(letter)!);
  const rows = sampleRows(values, new Set(fixed), count).slice(1);
  return rows.flatMap((row) => {
    const text = way.asked.replace(/[a-z]/g, (letter) => {
      const k = way.given.indexOf(letter);
      return k < 0 ? letter : numberText(row[k]!, 10);
    });
    const read = readAsked(text);
    return read.ok ? [read.asked] : [];
  });
}

function holdsWith(way: LetteredWay, letter: string, rule: string, asked: Asked): boolean {
  const rules = { ...way.rules, [letter]: rule };
  const laid = layOn({ ...way, rules, holds: [] }, asked);
  return laid.ok || laid.why !== 'line';
}
