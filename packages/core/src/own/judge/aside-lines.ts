import { hasBox } from '../../problem/box.ts';
import type { LineRead, Side } from '../read/read-line.ts';
import type { Judgement } from './judgement.ts';
import { originTold } from './pairs.ts';
import { judgeRewriting } from './rewrite.ts';
import { sideLineOf } from './side-lines.ts';
import { answerOf, type Here, endOf, noted, pageOf, type State, type LineTold } from './state.ts';
import { findsPart, judgeHops, judgePairs, judgeStatement, spansOf } from './statements.ts';
import { foundPart } from './told.ts';

type Hops = Extract<LineRead, { kind: 'hops' }>;
type Table = Extract<LineRead, { kind: 'table' }>;

/** A statement that stands by itself: `40 × 50 = 2000`, `387 + 255 = 642`, `387 + □ = 642`. */
export function asideLine(
  { state, n }: Here,
  sides: readonly [Side, ...Side[]],
  at: readonly number[],
): LineTold {
  const { asked } = state;
  const told = judgeStatement(sides, at);
  const [left, last] = [sides[0], sides.at(-1) ?? sides[0]];
  const isWrong = told.verdict === 'unequal';
  const isFound = told.verdict === 'side' && findsPart(sides, asked);
  const isOpen = sides.some(({ expression }) => hasBox(expression));
  const statement = {
    sides: sides.map(({ terms }) => terms),
    isTrue: told.verdict === 'side',
    isOpen,
  };
  const page = noted(state, ...sides.map(({ terms }) => terms));
  return {
    state: {
      ...page,
      sides: isWrong || isOpen ? state.sides : [...state.sides, sideLineOf(n, left, last)],
      found: isFound ? [...state.found, { n, left: left.terms, right: last.terms }] : state.found,
      statements: new Map([...state.statements, [n, statement]]),
      statement: isOpen ? null : { n, ...(isFound ? answerOf(asked) : endOf(last)) },
    },
    judgement: {
      kind: 'side',
      value: last.value,
      ...told,
      ...(isWrong ? mistakeIn(page, sides) : {}),
      ...(isFound ? foundPart(left, last) : {}),
    },
  };
}

/** What is told of the first sign of a statement that does not hold. */
function mistakeIn(state: State, sides: readonly Side[]): Pick<Judgement, 'falseRule' | 'nearest'> {
  const at = sides.findIndex((side, k) => k > 0 && !side.value.equals(sides[k - 1]!.value));
  const [left, right] = [sides[at - 1]!, sides[at]!];
  const { falseRule, nearest } = judgeRewriting(left, right, pageOf(state));
  // What is near is told as the whole statement.
  const near = nearest.map(({ text, off }) => ({ text: `${left.text} = ${text}`, off }));
  return { falseRule, nearest: near };
}

/** Jumps from number to number. */
export function hopsLine({ state, n }: Here, { start, hops }: Hops): LineTold {
  const { asked } = state;
  const { off, value, isBetween } = judgeHops(start, hops, asked);
  const { landing } = hops.at(-1)!;
  const end = { n, terms: isBetween ? [] : landing.terms, value, rest: null };
  const isFound = isBetween || value.equals(asked.value);
  const isTrue = off.isZero;
  const line = { n, isBetween, hops: spansOf(start, hops) };
  const written = hops.flatMap(({ size, landing: to }) => [to.terms, size?.terms ?? []]);
  return {
    state: {
      ...noted(state, ...written),
      statement: end,
      end: isFound ? end : state.end,
      hops: isFound && isTrue ? [...state.hops, line] : state.hops,
    },
    judgement: {
      kind: 'hops',
      verdict: isTrue ? 'side' : 'unequal',
      value,
      off,
      totalOff: value.minus(asked.value),
      ...(isTrue && isFound ? foundPart(start, landing) : {}),
    },
  };
}

/** Pairs of a ratio table. */
export function tableLine({ state, n }: Here, { rows }: Table): LineTold {
  const { asked } = state;
  const { off, pairs, answer } = judgePairs(n, rows, { asked, known: state.pairs });
  const [left, right] = rows.at(-1)!;
  const end = { n, ...(answer ? answerOf(asked) : endOf(right)) };
  const all = [...state.pairs, ...pairs];
  return {
    state: {
      ...noted(state, ...rows.flat().map(({ terms }) => terms)),
      statement: end,
      end: answer ? end : state.end,
      tables: answer && off === null ? [...state.tables, { n, answer }] : state.tables,
      pairs: all,
    },
    judgement: {
      kind: 'table',
      verdict: off === null ? 'side' : 'unequal',
      value: answer ? asked.value : right.value,
      off,
      pairs: pairs.map((pair) => originTold(pair, all)),
      ...(answer ? foundPart(left, right) : {}),
    },
  };
}
