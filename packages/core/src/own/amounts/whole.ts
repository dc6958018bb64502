import type { Entry, Mark, Trace } from '../../account/account.ts';
import { Scribe } from '../../account/scribe.ts';
import type { Exact } from '../../exact/exact.ts';
import type { Surd } from '../../exact/surd.ts';
import { OWN_LINES } from '../../account/own-lines.ts';
import { termShape } from '../../problem/kinds.ts';
import type { Problem } from '../../problem/problem.ts';
import { displayed, onPaper } from '../displayed.ts';
import type { JudgedLine } from '../judged.ts';
import type { JudgedPaper } from '../judged-paper.ts';
import { valueOfTerms } from '../../line/node.ts';
import { termsText } from '../../line/node-text.ts';
import { movesText } from '../says.ts';
import { opened } from './opening.ts';
import { partRole } from './part-role.ts';
import { ownPhrase } from './phrases.ts';

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
  /** By which law it follows, in words. */
  readonly why: string;
  /** Whether it stands aside and finds what is looked for. */
  readonly finds?: true;
}

function written(
  scribe: Scribe,
  problem: Problem,
  live: readonly Entry[],
  { n, column, text, value, worth, why, finds }: WholeLine & { readonly worth: Exact },
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
        role: finds && termShape(problem.kind) === 'pieces' ? 'answer' : partRole(problem, text),
        count: 0,
        place: 0,
        glyph: text,
        text,
        worth,
        spot: { area: 'lines', row: n, column },
      },
    ],
    phrase: ownPhrase('own.line', { from, to: text, why }),
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
  return isAll && value ? [asideOf(last, value, paper.asked.base)] : made;
}

function linesOf({ rewritings, asked }: JudgedPaper, line: JudgedLine): readonly WholeLine[] {
  const { base } = asked;
  const { n, kind, verdict, text, value } = line;
  const own = rewritings.filter((one) => one.n === n);
  if (own.length > 0) {
    const typed = text.trim().replace(/^=/, '').split('=');
    const counted = verdict === 'run-on' ? own.slice(-1) : own;
    return counted.map(({ to }, column) => ({
      n,
      column,
      text: onPaper((typed.length === own.length ? typed[column]! : termsText(to)).trim(), base),
      value: valueOfTerms(to),
      why: whyOf(line),
    }));
  }
  const isAside = kind === 'side' || kind === 'hops' || kind === 'table';
  if (!isAside || verdict === 'unequal' || !value?.equals(asked.value)) return [];
  return [asideOf(line, value, base)];
}

function asideOf(line: JudgedLine, value: Surd, base: number): WholeLine {
  return {
    n: line.n,
    column: 0,
    text: onPaper(line.text.trim(), base),
    value,
    why: whyOf(line),
    finds: true,
  };
}

function whyOf({ readings, verdict }: JudgedLine): string {
  const [first] = readings;
  if (first) return movesText(first.moves);
  return verdict === 'run-on' ? 'an equals sign says “and then”' : 'both sides are worked out';
}

/** What the account holds of a line; of a root it is the number under the sign. Null where that has roots in it. */
function heldBy({ kind }: Problem, value: Surd): Exact | null {
  return (kind === 'root' ? value.times(value) : value).rational;
}
