import { type Exact } from '../../exact/exact.ts';
import { fractionText, numberText, numeralFor } from '../../exact/numeral.ts';
import { readRule, valueOfRule } from './rule-text.ts';

/**
 * What must hold of the numbers of a way, as it is written in a file: `even(a)`, `whole(c)`, `comes-out(c)`, `c > b`,
 * `c > 0`, `b = 11`.
 */
export type Condition =
  | { readonly kind: 'even' | 'whole' | 'comes-out'; readonly letter: string }
  | { readonly kind: 'above' | 'equal'; readonly letter: string; readonly than: string };

type Values = ReadonlyMap<string, Exact>;

/** Null where the text is no condition. */
export function readCondition(text: string): Condition | null {
  const property = /^(even|whole|comes-out)\(([a-z])\)$/.exec(text.trim());
  if (property) return { kind: property[1] as 'even', letter: property[2]! };
  const compared = /^([a-z]) ([>=]) ([a-z]|-?\d+(?:[./]\d+)?)$/.exec(text.trim());
  if (!compared) return null;
  const [, letter, sign, than] = compared;
  return { kind: sign === '>' ? 'above' : 'equal', letter: letter!, than: than! };
}

/** A condition as it is written in a file; see {@link readCondition}. */
export function conditionText(condition: Condition): string {
  const { kind, letter } = condition;
  switch (condition.kind) {
    case 'even':
    case 'whole':
    case 'comes-out':
      return `${kind}(${letter})`;
    case 'above':
      return `${letter} > ${condition.than}`;
    case 'equal':
      return `${letter} = ${condition.than}`;
  }
}

/** Whether it holds; a number that has no value holds nothing. */
export function isMet(condition: Condition, values: Values): boolean {
  const value = values.get(condition.letter);
  if (!value) return false;
  switch (condition.kind) {
    case 'even':
      return value.isWhole && value.numerator % 2n === 0n;
    case 'whole':
      return value.isWhole;
    case 'comes-out':
      return numeralFor(value, 10) !== null;
    case 'above':
    case 'equal': {
      const than = amountOf(condition.than, values);
      if (!than?.isConstant || !value.isConstant) return false;
      return condition.kind === 'equal' ? value.equals(than) : value.compare(than) > 0;
    }
  }
}

function amountOf(text: string, values: Values): Exact | null {
  const rule = readRule(text);
  return rule && valueOfRule(rule, values);
}

/** A condition in words: `a is even`, `c is more than b`. */
export function conditionSays(condition: Condition): string {
  const { letter } = condition;
  switch (condition.kind) {
    case 'even':
      return `${letter} is even`;
    case 'whole':
      return `${letter} is a whole number`;
    case 'comes-out':
      return `${letter} can be written with a point`;
    case 'above':
      return `${letter} is more than ${condition.than}`;
    case 'equal':
      return `${letter} is ${condition.than}`;
  }
}

/** One sentence on a condition that these numbers do not meet. */
export function unmetSays(condition: Condition, values: Values): string {
  const { letter } = condition;
  const value = values.get(letter);
  const told = value ? amountText(value) : 'nothing';
  switch (condition.kind) {
    case 'even':
      return `The way takes half of ${letter}, and ${letter} is ${told}, which is not even.`;
    case 'whole':
      return `In this way ${letter} is a whole number; here it would be ${told}.`;
    case 'comes-out':
      return `In this way ${letter} can be written with a point; here it would be ${told}.`;
    case 'above': {
      const than = amountOf(condition.than, values);
      const other = /[a-z]/.test(condition.than)
        ? `${condition.than}, which is ${than ? amountText(than) : 'nothing'}`
        : condition.than;
      return `In this way ${letter} is more than ${other}; here ${letter} is ${told}.`;
    }
    case 'equal':
      return `This way is for ${letter} = ${condition.than} alone; here it is ${told}.`;
  }
}

export function amountText(value: Exact): string {
  const size = value.absolute();
  const text = numeralFor(size, 10) ? numberText(size, 10) : fractionText(size);
  return value.isNegative ? `−${text}` : text;
}
