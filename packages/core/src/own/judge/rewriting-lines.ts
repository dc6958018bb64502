import { Surd } from '../../exact/surd.ts';
import { moveSpec } from '../../laws/moves.ts';
import type { Side } from '../read/read-line.ts';
import { worst, type JudgedSign, type Reading } from './judged.ts';
import { BLANK, NO_MISTAKE } from './judgement.ts';
import { moveAt } from './move.ts';
import { isRightVerdict, judgeRewriting, named, type Rewriting } from './rewrite.ts';
import { firstPartWorth } from './run-on.ts';
import { addedBy, joined } from './side-lines.ts';
import { endOf, noted, pageOf, type Here, type Due, type State, type LineTold } from './state.ts';
import { mistakesOf, restToldOf, saidOf } from './told.ts';

/** The sides of a line that are rewritings, what the first is held against, and where the equals signs stand. */
export interface Sides {
  readonly sides: readonly Side[];
  readonly from: Due;
  readonly at: readonly number[];
}

/** One rewriting or several in one line. */
export function rewritingLine(here: Here, given: Sides): LineTold {
  const runOn = runOnFromLine(here.state, given.sides[0]!);
  return runOn ? afterRunOn(here, given, runOn) : rewritten(here, given);
}

/** What the sides of a line make, one after the other. */
interface Run {
  readonly state: State;
  readonly due: Due;
  readonly made: readonly Rewriting[];
  readonly signs: readonly JudgedSign[];
  readonly statements: readonly string[];
}

function rewritten({ state, n }: Here, { sides, from, at }: Sides): LineTold {
  const start: Run = { state, due: from, made: [], signs: [], statements: [] };
  const run = sides.reduce((so, side, k) => withSide(so, n, side, sides[k - 1], at[k] ?? 0), start);
  const last = sides.at(-1)!;
  const verdict = worst(run.signs.map((sign) => sign.verdict));
  const readings = run.made.flatMap((own) => own.readings);
  const [only, ...more] = run.made;
  return {
    state: settled(run.state, run.due, last),
    judgement: {
      kind: 'rewrite',
      verdict,
      value: last.value,
      against: from.n,
      off: last.value.minus(from.value),
      totalOff: last.value.minus(state.asked.value),
      ...(only && more.length === 0 ? { law: only.law, move: only.move } : named(readings)),
      readings,
      signs: run.signs.length > 1 ? run.signs : [],
      statements: run.statements,
      ...mistakesOf(run.made, run.signs),
      followed:
        isRightVerdict(verdict) && verdict !== 'equal' && !from.value.equals(state.asked.value),
    },
  };
}

function withSide(run: Run, n: number, side: Side, left: Side | undefined, at: number): Run {
  const { own, state } = judgedSide(run.state, run.due, side);
  const first =
    left && own.verdict === 'unequal' ? firstPartWorth(side.terms, run.due.value) : null;
  const step = {
    n,
    from: run.due.terms,
    to: side.terms,
    between: own.between,
    off: own.off,
    rest: side.rest,
  };
  const verdict = first === null ? own.verdict : 'run-on';
  return {
    state: { ...state, rewritings: [...state.rewritings, step] },
    due: { n, terms: side.terms, value: side.value },
    made: [...run.made, own],
    signs: [...run.signs, { at, verdict, off: own.off }],
    statements:
      first === null ? run.statements : [...run.statements, `${left!.text} = ${first}`, side.text],
  };
}

/** A side held against what is due. */
function judgedSide(
  state: State,
  due: Due,
  side: Side,
): { readonly own: Rewriting; readonly state: State } {
  const own = side.rest ? restToldOf(due, side) : judgeRewriting(due, side, pageOf(state));
  const { nodes, cut } = state.searched;
  const searched = { nodes: nodes + own.nodes, cut: cut || own.cut };
  const now = noted({ ...state, searched }, side.terms);
  // What the page itself puts together goes before a move that fits any numbers.
  const isNamed =
    own.verdict === 'unequal' || (own.verdict === 'lawful' && !own.readings.every(fitsAny));
  return { own: isNamed ? own : (addsJoined(now, side) ?? own), state: now };
}

function fitsAny({ moves }: Reading): boolean {
  return moves.length > 0 && moves.every(({ move }) => moveSpec(move).fitsAnyNumbers);
}

/** An expression that adds what side lines gave; null for any other. */
export function addsJoined({ asked, sides, problem }: State, side: Side): Rewriting | null {
  if (!side.value.equals(asked.value) || !addedBy(sides, side.terms, asked)) return null;
  const moves = [moveAt('find-part', problem.terms, side.terms)];
  return {
    verdict: 'lawful',
    off: Surd.ZERO,
    law: 'inverse',
    move: 'find-part',
    readings: [{ moves, between: [] }],
    between: [],
    ...NO_MISTAKE,
    nodes: 0,
    cut: false,
  };
}

/** The last line is another now, and the side lines that go into it are told of it. */
function settled(state: State, last: Due, side: Side): State {
  const { asked, sides } = state;
  const found = addedBy(sides, last.terms, asked) ?? joined(sides, last.value, asked) ?? [];
  const into = new Set(found.map(({ n }) => n));
  const lines = state.lines.map((line) =>
    into.has(line.n) && line.joins === null ? { ...line, joins: last.n } : line,
  );
  return { ...state, lines, before: state.last, last, end: endOf(side) };
}

/** A total behind side lines is judged as a rewriting of the problem. */
export function totalLine({ state, n }: Here, side: Side): LineTold {
  const { own, state: now } = judgedSide(state, state.problem, side);
  const { between, off } = own;
  const { terms, value, rest } = side;
  const step = { n, from: state.problem.terms, to: terms, between, off, rest };
  const made = { ...now, rewritings: [...now.rewritings, step] };
  return {
    state: settled(made, { n, terms, value }, side),
    judgement: { ...saidOf(own), kind: 'total', value, against: 0, totalOff: off },
  };
}

interface RunOn {
  /** The first part of the line, which is worth what the line before is. */
  readonly first: string;
  readonly from: Due;
}

/** The line before was no rewriting but the first half of a statement that this line goes on from. */
function runOnFromLine({ lines, last, before }: State, side: Side): RunOn | null {
  const line = lines.at(-1);
  const isWrong = line?.kind === 'rewrite' && line.verdict === 'unequal' && line.n === last.n;
  if (!isWrong || !before || side.value.equals(last.value)) return null;
  const first = firstPartWorth(side.terms, last.value);
  return first === null ? null : { first, from: before };
}

function afterRunOn({ state, n }: Here, { sides, at }: Sides, { first, from }: RunOn): LineTold {
  const { lines, rewritings } = state;
  const old = lines.at(-1)!;
  const { text, units, form, value } = old;
  const aside = {
    ...BLANK,
    n: old.n,
    text,
    units,
    form,
    value,
    kind: 'side',
    verdict: 'side',
  } as const;
  // What the line before says is a statement now, and no rewriting.
  const isStep = rewritings.at(-1)?.n === old.n;
  const now: State = {
    ...state,
    lines: [...lines.slice(0, -1), aside],
    rewritings: isStep ? rewritings.slice(0, -1) : rewritings,
    last: from,
    before: null,
  };
  const made = rewritten({ state: now, n }, { sides, from, at });
  const statement = [...(form?.sides ?? []), first].join(' = ');
  return {
    ...made,
    judgement: {
      ...made.judgement,
      verdict: worst([made.judgement.verdict, 'run-on']),
      statements: [statement, ...sides.map((side) => side.text)],
    },
  };
}
