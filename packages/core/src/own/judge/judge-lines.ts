import { isPlain } from '../../line/kinds.ts';
import { lineKey, type Term } from '../../line/node.ts';
import type { Asked } from '../read/asked.ts';
import { readLine, type LineRead, type Side } from '../read/read-line.ts';
import { asideLine, hopsLine, tableLine } from './aside-lines.ts';
import type { JudgedPaper } from './judged-paper.ts';
import { BLANK } from './judgement.ts';
import { addsJoined, rewritingLine, totalLine } from './rewriting-lines.ts';
import {
  emptyPaper,
  judgedPaper,
  type Here,
  type Due,
  type State,
  type LineTold,
} from './state.ts';

/** Judges lines in their order. The same lines give the same verdicts: bounds are in nodes. */
export function judgeLines(asked: Asked, lines: readonly string[]): JudgedPaper {
  return judgedPaper(lines.reduce(withLine, emptyPaper(asked)));
}

/** A paper with one line more. */
function withLine(state: State, text: string): State {
  const n = state.lines.length + 1;
  const read = readLine(text, state.asked);
  const { state: now, judgement } = toldOf({ state, n }, read);
  const units = 'units' in read ? read.units : [];
  const form = read.kind === 'chain' ? read.form : null;
  return { ...now, lines: [...now.lines, { ...BLANK, n, text, units, form, ...judgement }] };
}

type Chain = Extract<LineRead, { kind: 'chain' }>;

function toldOf(at: Here, read: LineRead): LineTold {
  const { state } = at;
  const note = { kind: 'note', verdict: 'note' } as const;
  switch (read.kind) {
    case 'unread': {
      const unread = { at: read.at, reason: read.reason };
      return { state, judgement: { kind: 'note', verdict: 'unread', unread } };
    }
    case 'note':
      return { state, judgement: { ...note, isSketch: read.isSketch ?? false } };
    case 'compared': {
      const [left, right] = read.sides;
      return { state, judgement: { ...note, off: right.value.minus(left.value) } };
    }
    case 'hops':
      return hopsLine(at, read);
    case 'table':
      return tableLine(at, read);
    case 'chain': {
      const ambiguous = read.sides.some(({ other }) => other !== null);
      const [first, ...rest] = read.sides.map((side) => chosen(side, state.last));
      const told = chainLine(at, read, [first!, ...rest]);
      return { ...told, judgement: { ...told.judgement, ambiguous } };
    }
  }
}

/** Of two readings in common use the one that is worth what is due, where only the other one is. */
function chosen(side: Side, due: Due): Side {
  const isDue = (one: Side) => one.value.equals(due.value);
  return side.other && isDue(side.other) && !isDue(side) ? side.other : side;
}

/** A line with equals signs, or an expression alone: rewritings, a total, or a statement that stands by itself. */
function chainLine(
  here: Here,
  { goesOn, signs: at }: Chain,
  sides: readonly [Side, ...Side[]],
): LineTold {
  const { state } = here;
  const [first, ...rest] = sides;
  const { last, problem } = state;
  // What is looked for still stands open: nothing is said yet.
  if (sides.at(-1)!.expression.kind === 'box')
    return { state, judgement: { kind: 'note', verdict: 'note' } };
  if (goesOn) return rewritingLine(here, { sides, from: last, at });
  if (rest.length === 0) {
    const isTotal = state.sides.length > 0 && isLoneNumber(first.terms);
    return isTotal ? totalLine(here, first) : rewritingLine(here, { sides, from: last, at });
  }
  if (first.expression.kind === 'box')
    return rewritingLine(here, { sides: rest, from: problem, at });
  const from = knownAs(first, state);
  if (from) return rewritingLine(here, { sides: rest, from, at });
  const isJoined = first.terms.length > 1 && addsJoined(state, first) !== null;
  return isJoined ? rewritingLine(here, { sides, from: problem, at }) : asideLine(here, sides, at);
}

/** The problem, or the line before, where a line begins with it again. */
function knownAs({ terms }: Side, { last, problem }: State): Due | null {
  const key = lineKey(terms);
  return [last, problem].find((known) => lineKey(known.terms) === key) ?? null;
}

function isLoneNumber(terms: readonly Term[]): boolean {
  const [only, ...more] = terms;
  return only !== undefined && more.length === 0 && isPlain(only.node);
}
