import { type Exact } from '../../exact/exact.ts';
import { Surd } from '../../exact/surd.ts';
import { evaluateSurd } from '../../problem/evaluate.ts';
import { readExpression } from '../../problem/read-expression.ts';
import type { Expression } from '../../problem/expression.ts';
import { lettersIn } from '../read/asked.ts';
import { namedRule } from './named-rules.ts';

/** `up-to-ten(b)`, `least-common-multiple(b, d)`. */
const NAMED = /^([a-z]+(?:-[a-z]+)*)\(([a-z])(?:,\s*([a-z]))?\)$/;

/** A rule of a way as it is written in a file: named, of one or two letters, or a computation with letters. */
export type RuleRead =
  | {
      readonly kind: 'named';
      readonly id: string;
      readonly letters: readonly string[];
    }
  | {
      readonly kind: 'computed';
      readonly text: string;
      readonly expression: Expression;
      readonly letters: readonly string[];
    };

/** Null where the text is no rule. */
export function readRule(text: string): RuleRead | null {
  const match = NAMED.exec(text.trim());
  if (match) {
    const [, id, ...given] = match;
    const letters = given.filter((letter) => letter !== undefined);
    return namedRule(id!)?.takes === letters.length ? { kind: 'named', id: id!, letters } : null;
  }
  const read = readExpression(text);
  if (!read.ok) return null;
  const { expression } = read;
  return { kind: 'computed', text, expression, letters: [...new Set(lettersIn(expression))] };
}

/** What a rule comes to with numbers for its letters; null where it has no value. */
export function valueOfRule(rule: RuleRead, values: ReadonlyMap<string, Exact>): Exact | null {
  if (rule.letters.some((letter) => !values.has(letter))) return null;
  if (rule.kind === 'named') {
    return namedRule(rule.id)!.of(...rule.letters.map((letter) => values.get(letter)!));
  }
  const standing = new Map([...values].map(([letter, value]) => [letter, Surd.of(value)]));
  const made = evaluateSurd(rule.expression, { standing });
  return made.ok ? made.value.rational : null;
}

/** A rule in words: `b up to the next ten`, `c − b`. */
export function ruleSays(rule: RuleRead): string {
  if (rule.kind === 'computed') return rule.text;
  return namedRule(rule.id)!.says(...rule.letters);
}
