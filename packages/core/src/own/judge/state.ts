import { type Surd } from '../../exact/surd.ts';
import type { Page } from '../../laws/move-spec.ts';
import { termsOf, type Term } from '../../line/node.ts';
import { numbersIn } from '../../line/numbers-in.ts';
import type { Asked } from '../read/asked.ts';
import type { Side } from '../read/read-line.ts';
import { isRightEnd, owesNothing, type End } from './ends.ts';
import type { JudgedLine } from './judged.ts';
import type {
  FoundLine,
  HopLine,
  JudgedPaper,
  LineStep,
  Statement,
  TableLine,
} from './judged-paper.ts';
import type { Judgement } from './judgement.ts';
import type { RatioPair } from './pairs.ts';
import type { SideLine } from './side-lines.ts';

/** A line that the next one may be held against; 0 is the problem. */
export interface Due {
  readonly n: number;
  readonly terms: readonly Term[];
  readonly value: Surd;
}

/** All that is known of a paper as far as it is judged. It is never changed: a line makes another. */
export interface State {
  readonly asked: Asked;
  readonly lines: readonly JudgedLine[];
  /** The numbers that stand on the page so far. */
  readonly numbers: ReadonlySet<string>;
  readonly problem: Due;
  /** The last rewriting, and the one before it, for a run-on from line to line. */
  readonly last: Due;
  readonly before: Due | null;
  readonly sides: readonly SideLine[];
  /** What the last rewriting, total or landing comes to; null while there is none. */
  readonly end: End | null;
  /** What the last statement aside comes to, with its line. */
  readonly statement: (End & { readonly n: number }) | null;
  readonly searched: { readonly nodes: number; readonly cut: boolean };
  readonly rewritings: readonly LineStep[];
  readonly hops: readonly HopLine[];
  readonly pairs: readonly RatioPair[];
  readonly tables: readonly TableLine[];
  readonly found: readonly FoundLine[];
  readonly statements: ReadonlyMap<number, Statement>;
}

/** What a line makes of a paper, and what is said of the line. */
export interface LineTold {
  readonly state: State;
  readonly judgement: Judgement;
}

/** A line as it is judged: the paper so far, and the number of the line. */
export interface Here {
  readonly state: State;
  readonly n: number;
}

/** A paper without a line. */
export function emptyPaper(asked: Asked): State {
  const problem = { n: 0, terms: termsOf(asked.expression, asked.value), value: asked.value };
  const state: State = {
    asked,
    lines: [],
    numbers: new Set(),
    problem,
    last: problem,
    before: null,
    sides: [],
    end: null,
    statement: null,
    searched: { nodes: 0, cut: false },
    rewritings: [],
    hops: [],
    pairs: [],
    tables: [],
    found: [],
    statements: new Map(),
  };
  return noted(state, problem.terms);
}

/** With the numbers of more terms on the page. */
export function noted(state: State, ...all: readonly (readonly Term[])[]): State {
  const values = all.flatMap(numbersIn).map(({ value }) => value.toString());
  return { ...state, numbers: new Set([...state.numbers, ...values]) };
}

/** What a move is judged by beside its terms. */
export function pageOf({ asked, numbers }: State): Page {
  return { base: asked.base, numbers };
}

/** What is due, found by other means than by working the problem out. */
export function answerOf({ value }: Asked): End {
  return { terms: [], value, rest: null };
}

/** What a side comes to. */
export function endOf({ terms, value, rest }: Side): End {
  return { terms, value, rest };
}

/** A paper with all that is said of it. */
export function judgedPaper(state: State): JudgedPaper {
  const { asked, lines, statement, searched } = state;
  const end = state.end ?? statement;
  const isEnd = (n: number) => state.end === null && statement?.n === n;
  const idle = lines.filter(
    ({ n, kind, verdict, joins }) =>
      kind === 'side' && verdict !== 'lawful' && joins === null && !isEnd(n),
  );
  return {
    asked,
    lines,
    complete: end !== null && owesNothing(end),
    right: end !== null && isRightEnd(end, asked),
    unused: idle.map(({ n }) => n),
    searched,
    rewritings: state.rewritings,
    hops: state.hops,
    pairs: state.pairs,
    tables: state.tables,
    found: state.found,
    problem: state.problem.terms,
    statements: state.statements,
  };
}
