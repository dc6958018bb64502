import { type Exact } from '../../exact/exact.ts';
import { numberText, numeralFor } from '../../exact/numeral.ts';
import { readAsked, type Asked } from '../read/asked.ts';
import { termsOf, type Term } from '../../line/node.ts';
import { judgeLines } from '../judge/judge-lines.ts';
import { readLine } from '../read/read-line.ts';
import { judgeHops, judgePairs } from '../judge/statements.ts';
import { amountText, isMet, readCondition, unmetSays } from './conditions.ts';
import { readRule, ruleSays, valueOfRule } from './rule-text.ts';
import { leavesOf } from '../../line/numbers-in.ts';
import { figureOf, textWith } from './shape.ts';
import type { LetteredWay } from './lettered-way.ts';

export type Laid =
  | {
      readonly ok: true;
      readonly lines: readonly string[];
      /** What every letter stands for. */
      readonly values: ReadonlyMap<string, Exact>;
    }
  | {
      readonly ok: false;
      /** Another form of computation, a condition, a number that cannot be written, or a line that does not hold. */
      readonly why: 'form' | 'condition' | 'number' | 'line';
      /** The condition that fails, as the way has it; null where it is none of those that it tells. */
      readonly condition: string | null;
      readonly says: string;
    };

/** The lines of a way with the numbers of another computation, or the condition that these do not meet. */
export function layOn(way: LetteredWay, asked: Asked): Laid {
  const given = givenValues(way, asked);
  if (!given) {
    const says = `This is a way for ${way.asked}; ${asked.text} is not written like that.`;
    return { ok: false, why: 'form', condition: null, says };
  }
  const values = withRules(way, given);
  for (const condition of way.holds) {
    const read = readCondition(condition);
    if (read && isMet(read, values)) continue;
    const says = read ? unmetSays(read, values) : `“${condition}” cannot be read.`;
    return { ok: false, why: 'condition', condition, says };
  }
  const fault = way.lines.flatMap((line) => cannotWrite(line, way, values))[0];
  if (fault) return { ok: false, why: 'number', condition: null, says: fault };
  const lines = way.lines.map((line) => withNumbers(line, way, values));
  const broken = lines.findIndex((line) => !isTrue(line, asked));
  if (broken >= 0) {
    const says = `Line ${broken + 1} does not hold with these numbers: ${lines[broken]!}.`;
    return { ok: false, why: 'line', condition: null, says };
  }
  if (!goTogether(way, lines, asked)) {
    const says = 'With these numbers the lines aside do not come to the total.';
    return { ok: false, why: 'line', condition: null, says };
  }
  return { ok: true, lines, values };
}

/** Whether lines that stand aside go into a total as they did on the numbers that the way was first worked on. */
function goTogether(way: LetteredWay, lines: readonly string[], asked: Asked): boolean {
  const joins = (all: readonly string[], of: Asked) =>
    judgeLines(of, all)
      .lines.map((line) => line.joins ?? '')
      .join();
  const from = readAsked(way.from);
  const first = from.ok ? givenValues(way, from.asked) : null;
  if (!from.ok || !first) return true;
  const values = withRules(way, first);
  const own = way.lines.map((line) => withNumbers(line, way, values));
  return (
    own.every((line) => !isAside(line, from.asked)) ||
    joins(own, from.asked) === joins(lines, asked)
  );
}

function isAside(line: string, asked: Asked): boolean {
  const read = readLine(line, asked);
  return read.kind === 'chain' && !read.goesOn && read.sides.length > 1;
}

/** What the given letters stand for; null where the computation is of another form. */
export function givenValues(
  { asked: form, given }: Pick<LetteredWay, 'asked' | 'given'>,
  asked: Asked,
): ReadonlyMap<string, Exact> | null {
  const terms: readonly Term[] = termsOf(asked.expression, asked.value);
  const isGiven = (letter: string) => given.includes(letter);
  const due = form.replace(/[a-z]/g, (letter) => (isGiven(letter) ? '#' : letter));
  if (textWith(terms, () => '#') !== due || asked.base !== 10) return null;
  const letters = [...form.matchAll(/[a-z]/g)].map(([letter]) => letter).filter(isGiven);
  const values = new Map<string, Exact>();
  for (const [k, leaf] of leavesOf(terms).entries()) {
    const [letter, value] = [letters[k]!, figureOf(leaf)];
    // A letter that stands twice is one number.
    if (values.get(letter) && !values.get(letter)!.equals(value)) return null;
    values.set(letter, value);
  }
  return values;
}

/** Every letter that has a value, rule after rule. */
export function withRules(
  { rules }: Pick<LetteredWay, 'rules'>,
  given: ReadonlyMap<string, Exact>,
): ReadonlyMap<string, Exact> {
  const values = new Map(given);
  const open = new Map(Object.entries(rules));
  for (let found = true; found;) {
    found = false;
    for (const [letter, text] of open) {
      const rule = readRule(text);
      const value = rule && valueOfRule(rule, values);
      if (!value) continue;
      values.set(letter, value);
      open.delete(letter);
      found = true;
    }
  }
  return values;
}

const LETTER = /[a-z]/g;

function isOfWay(letter: string, { given, rules }: LetteredWay): boolean {
  return given.includes(letter) || letter in rules;
}

function cannotWrite(
  line: string,
  way: LetteredWay,
  values: ReadonlyMap<string, Exact>,
): readonly string[] {
  return [...line.matchAll(LETTER)].flatMap(([letter]) => {
    if (!isOfWay(letter, way)) return [];
    const value = values.get(letter);
    if (value && !value.isNegative && numeralFor(value, 10)) return [];
    const rule = way.rules[letter];
    const read = rule === undefined ? null : readRule(rule);
    const told = read ? `${letter} is ${ruleSays(read)}` : letter;
    return [`In this way ${told}; here it would be ${value ? amountText(value) : 'no number'}.`];
  });
}

function withNumbers(line: string, way: LetteredWay, values: ReadonlyMap<string, Exact>): string {
  return line.replace(LETTER, (letter) =>
    isOfWay(letter, way) ? numberText(values.get(letter)!, 10) : letter,
  );
}

/** Whether a line holds by itself, or is worth what is asked. */
export function isTrue(line: string, asked: Asked): boolean {
  const read = readLine(line, asked);
  switch (read.kind) {
    case 'chain': {
      const [first] = read.sides;
      const alone = read.goesOn || read.sides.length === 1;
      const due = alone ? asked.value : first!.value;
      return read.sides.every((side) => side.value.equals(due) || side.expression.kind === 'box');
    }
    case 'hops':
      return judgeHops(read.start, read.hops, asked).off.isZero;
    case 'table':
      return judgePairs(0, read.rows, { asked, known: [] }).off === null;
    default:
      return false;
  }
}
