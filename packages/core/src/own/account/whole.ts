import type { Entry, Mark, Trace } from '../../account/account.ts';
import { Scribe } from '../../account/scribe.ts';
import type { Exact } from '../../exact/exact.ts';
import type { LineMark, Stands } from '../../account/line-mark.ts';
import type { Surd } from '../../exact/surd.ts';
import { OWN_LINES } from '../../account/own-lines.ts';
import { termShape } from '../../problem/kinds.ts';
import type { Problem } from '../../problem/problem.ts';
import { displayed, onPaper } from '../say/displayed.ts';
import type { JudgedLine } from '../judge/judged.ts';
import type { JudgedPaper } from '../judge/judged-paper.ts';
import { numberOf, valueOfTerms } from '../../line/node.ts';
import { termsText } from '../../line/node-text.ts';
import { toldMove, type ToldMove } from '../say/move-words.ts';
import { opened } from './opening.ts';
import { BEHIND } from '../../account/line-sides.ts';
import { partRole } from './part-role.ts';
import { ownPhrase, type Plainly } from './phrases.ts';

/**
 * The account of a paper line by line: every line is one amount and takes all of the one before. It is there for every
 * problem, and has no steps where nothing was worked. A line whose amount is a sum of roots, which no account of a root
 * can hold, ends it.
 */
export function traceOfWholeLines(problem: Problem, paper: JudgedPaper): Trace {
  const scribe = new Scribe({ problem, method: OWN_LINES, school: {} });
  let live: readonly Entry[] = opened(scribe, problem);
  for (const line of wholeLines(paper)) {
    const worth = heldBy(problem, line.value);
    if (!worth) break;
    live = written(scribe, problem, live, { ...line, worth });
  }
  return scribe.close(live, ownPhrase('own.answer', {}));
}

/** One line, or one side of an equals sign within it, as one amount. */
interface WholeLine {
  readonly n: number;
  /** Behind which equals sign of its line it stands, from 0. */
  readonly column: number;
  readonly text: string;
  readonly value: Surd;
  /** What its side of the line is, and what is written for it. */
  readonly line: LineMark;
  /** By which moves it follows, or why it holds without. */
  readonly why: Why;
  /** Whether it stands aside and finds what is looked for. */
  readonly finds?: true;
}

function written(
  scribe: Scribe,
  problem: Problem,
  live: readonly Entry[],
  { n, column, text, value, worth, line, why, finds }: WholeLine & { readonly worth: Exact },
): readonly Mark[] {
  const root = problem.kind === 'root' ? value.asRoot : null;
  const from = displayed(live.map((own) => own.text).join(' + '));
  return scribe.step({
    law: 'unnamed',
    phase: { kind: 'line', of: n },
    ...(root ? { about: { root } } : {}),
    takes: live,
    writes: [
      {
        role:
          finds && termShape(problem.kind) === 'pieces' ? 'answer' : partRole(problem, line.terms),
        count: 0,
        place: 0,
        glyph: text,
        text,
        worth,
        spot: { area: 'lines', row: n, column },
        line,
      },
    ],
    phrase: ownPhrase('own.line', { from, to: text, ...why }),
  });
}

/**
 * The lines that the amount goes through: rewritings and totals, and what stands aside where it finds the answer or is all
 * that there is. A line whose equals signs say “and then” counts by what it ends in.
 */
function wholeLines(paper: JudgedPaper): readonly WholeLine[] {
  const made = paper.lines.flatMap((line) => linesOf(paper, line));
  const last = paper.lines.findLast(({ kind }) => kind === 'side');
  // With statements alone the last one is what the work comes to.
  const isAll = made.length === 0 && paper.complete && last?.value;
  const value = last?.move === 'find-part' ? paper.asked.value : last?.value;
  return isAll && value ? [asideOf(paper, last, value)] : made;
}

function linesOf(paper: JudgedPaper, line: JudgedLine): readonly WholeLine[] {
  const { rewritings, asked } = paper;
  const { base } = asked;
  const { n, kind, verdict, form, value } = line;
  const own = rewritings.filter((one) => one.n === n);
  if (own.length > 0) {
    const typed = form?.sides ?? [];
    const counted = verdict === 'run-on' ? own.slice(-1) : own;
    return counted.map(({ to }, k) => ({
      n,
      column: k * BEHIND,
      text: onPaper((typed.length === own.length ? typed[k]! : termsText(to)).trim(), base),
      value: valueOfTerms(to),
      line: { terms: to, stands: { kind: 'terms', terms: to } },
      why: whyOf(line),
    }));
  }
  const isAside = kind === 'side' || kind === 'hops' || kind === 'table';
  if (!isAside || verdict === 'unequal' || !value?.equals(asked.value)) return [];
  return [asideOf(paper, line, value)];
}

function asideOf(paper: JudgedPaper, line: JudgedLine, value: Surd): WholeLine {
  const stands = standingOf(paper, line);
  const { base } = paper.asked;
  const found = value.rational;
  return {
    n: line.n,
    column: 0,
    text: onPaper(line.text.trim(), base),
    value,
    line: {
      terms: found?.isConstant ? [{ minus: false, node: numberOf(found, base) }] : [],
      stands,
    },
    why: whyOf(line),
    finds: true,
  };
}

/** What stands on a line aside: its statement, its pairs, or jumps. */
function standingOf({ statements, pairs }: JudgedPaper, { n }: JudgedLine): Stands {
  const statement = statements.get(n);
  if (statement) return { kind: 'statement', sides: statement.sides };
  const pair = pairs.findLast((one) => one.n === n);
  return pair ? { kind: 'pair', left: pair.left, text: pair.text } : { kind: 'jumps' };
}

interface Why {
  readonly moves: readonly ToldMove[];
  readonly plainly: Plainly;
}

function whyOf({ readings, verdict }: JudgedLine): Why {
  const moves = readings[0]?.moves.map(toldMove) ?? [];
  return { moves, plainly: verdict === 'run-on' ? 'and then' : 'both sides' };
}

/** What the account holds of a line; of a root it is the number under the sign. Null where that has roots in it. */
function heldBy({ kind }: Problem, value: Surd): Exact | null {
  return (kind === 'root' ? value.times(value) : value).rational;
}
