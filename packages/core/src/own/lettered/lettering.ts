import type { Exact } from '../../exact/exact.ts';
import type { JudgedLine } from '../judge/judged.ts';
import type { JudgedPaper, LineStep } from '../judge/judged-paper.ts';
import { readLine, type LineRead } from '../read/read-line.ts';
import { follow } from './follow.ts';
import { LetteredPage, NoWay } from './page.ts';
import type { LookBudget } from './solve.ts';
import { aside, hopsLine, table, withRest } from './statements.ts';
import type { Sign } from './symbols.ts';

/** Lines with a sign for each of their numbers, `= {0} × {2} − {0} × {3}`. */
export interface Lettered {
  readonly asked: string;
  readonly given: readonly Sign[];
  readonly signs: readonly Sign[];
  readonly lines: readonly string[];
}

/** How origins are looked for. */
export interface Looking {
  /** The numbers of the problem as they are given, then others in their place. */
  readonly rows: readonly (readonly Exact[])[];
  readonly budget: LookBudget;
  /** Whether the parts that a reading speaks of are looked for first. */
  readonly byReading: boolean;
}

/** Asks of every number where it comes from, line by line. Throws NoWay where that is not found. */
export function lettered(paper: JudgedPaper, { rows, budget, byReading }: Looking): Lettered {
  const page = new LetteredPage(paper.problem, rows, budget);
  const given = [...page.signs];
  const lines = paper.lines.flatMap((line) => lineOf(line) ?? []);
  return { asked: page.text(paper.problem), given, signs: page.signs, lines };

  /** A line as its signs stand in it; null for a note. */
  function lineOf(line: JudgedLine): string | null {
    if (line.verdict === 'unread' || line.verdict === 'unequal' || line.verdict === 'run-on')
      throw new NoWay(line.n, line.verdict);
    if (line.kind === 'note') return null;
    const read = readLine(line.text, paper.asked);
    switch (read.kind) {
      case 'chain':
        return line.kind === 'side' ? aside(page, line.n, read) : rewriting(line, read);
      case 'hops':
        return hopsLine(page, line.n, read);
      case 'table':
        return table(page, line.n, read, paper.asked);
      default:
        return null;
    }
  }

  function rewriting(line: JudgedLine, read: Extract<LineRead, { kind: 'chain' }>): string {
    const steps = paper.rewritings.filter(({ n }) => n === line.n);
    const sides = read.sides.filter(({ expression }) => expression.kind !== 'box');
    const box = sides.length < read.sides.length ? '□ = ' : '';
    // A line may begin with what stands there already: the problem, or the line before.
    const again = sides.length > steps.length ? [page.text(steps[0]!.from)] : [];
    const made = steps.map((step, k) => {
      const { rest } = sides[k + again.length]!;
      return rest ? withRest(page, line.n, paper.problem, step.to, rest) : stepOf(line, step);
    });
    return `${read.goesOn ? '= ' : box}${[...again, ...made].join(' = ')}`;
  }

  function stepOf({ verdict, readings }: JudgedLine, { from, to, between, n }: LineStep): string {
    if (verdict === 'equal') throw new NoWay(n, 'unnamed');
    let before = from;
    for (const terms of [...between, to]) {
      if (!follow(page, { from: before, to: terms, readings, byReading }))
        throw new NoWay(n, 'origin');
      before = terms;
    }
    return page.text(to);
  }
}
