import type { LetteredWay } from './lettered-way.ts';
import { type Exact } from '../../exact/exact.ts';
import { numberText } from '../../exact/numeral.ts';
import type { JudgedPaper } from '../judge/judged-paper.ts';
import type { Term } from '../../line/node.ts';
import { readAsked } from '../read/asked.ts';
import { conditionText } from './conditions.ts';
import { conditionsOf } from './holds.ts';
import { layOn } from './lay.ts';
import { lettered, type Lettered } from './lettering.ts';
import { bottomsOf, NoWay } from './page.ts';
import { sampleRows } from './samples.ts';
import { leavesOf } from '../../line/numbers-in.ts';
import { figureOf, textWith } from './shape.ts';
import { isSameRow, type Sign } from './symbols.ts';

export type WayMade =
  { readonly ok: true; readonly way: LetteredWay } | { readonly ok: false; readonly says: string };

/**
 * The way of a paper, where every line of it holds by a law. First every given number has a letter of its own; then
 * equal ones share one; then one stays as it is (46 × 11 as 460 + 46 is a way for 11).
 */
export function wayOf(paper: JudgedPaper, name = ''): WayMade {
  const { asked } = paper;
  const refused = (says: string): WayMade => ({ ok: false, says });
  if (asked.base !== 10) return refused('A way is laid on other numbers in base ten only.');
  if (asked.problem?.kind === 'root') return refused('A way to a root stays with its number.');
  if (paper.lines.length === 0) return refused('There is no line yet.');
  if (!paper.complete || !paper.right)
    return refused('The way has not come to the answer yet; then it can be laid on other numbers.');
  if (leavesOf(paper.problem).length === 0)
    return refused('There is no number that could be another.');
  let first: NoWay | null = null;
  const all = attempts(paper.problem).flatMap((one) => [
    { ...one, byReading: true },
    { ...one, byReading: false },
  ]);
  for (const { rows, fixed, byReading } of all) {
    try {
      const made = lettered(paper, { rows, budget: { left: MOST_LOOKS }, byReading });
      const way = withLetters(made, paper, name, fixed);
      if (!way) return refused('The way has more numbers than there are letters.');
      if (goesOnOthers(way, paper, rows)) return { ok: true, way };
      first ??= new NoWay(paper.lines.length, 'origin');
    } catch (error) {
      if (!(error instanceof NoWay)) throw error;
      first ??= error;
    }
  }
  return refused(noWaySays(first!));
}

/**
 * Whether the lines come to the answer on other numbers, where its conditions hold. Each line that stands aside is true by itself with almost any
 * numbers; only there it shows whether they go together.
 */
function goesOnOthers(
  way: LetteredWay,
  { lines, problem }: JudgedPaper,
  rows: readonly (readonly Exact[])[],
): boolean {
  if (lines.every(({ kind, joins }) => kind !== 'side' || joins === null)) return true;
  const tried = rows.slice(1).flatMap((row) => {
    let at = 0;
    const read = readAsked(textWith(problem, () => numberText(row[at++]!, 10)));
    return read.ok ? [layOn(way, read.asked)] : [];
  });
  if (tried.some((laid) => !laid.ok && laid.why === 'line')) return false;
  // Numbers that are drawn hardly ever come out when they are shared.
  return way.kind === 'quotient' || tried.some(({ ok }) => ok);
}

/** How many choices are looked at for one paper at each attempt. */
const MOST_LOOKS = 2500;

/** With more numbers than these it is not looked for the one that stays as it is. */
const MOST_STAYING = 3;

interface Attempt {
  readonly rows: readonly (readonly Exact[])[];
  /** The numbers that stay as they are. */
  readonly fixed: readonly Exact[];
}

/** Every number may change, but what is alike below bars goes together; then all that is alike does; then one stays. */
function attempts(terms: readonly Term[]): readonly Attempt[] {
  const leaves = leavesOf(terms);
  const given = leaves.map(figureOf);
  const rows = sampleRows(given, new Set());
  const bottoms = bottomsOf(terms);
  const together = (isMerged: (k: number) => boolean) =>
    given.map((one, k) =>
      isMerged(k) ? given.findIndex((own, j) => isMerged(j) && own.equals(one)) : k,
    );
  const byBottom = together((k) => bottoms.includes(leaves[k]!));
  const byWorth = together(() => true);
  const choices = byWorth.join() === byBottom.join() ? [byBottom] : [byBottom, byWorth];
  const merged = choices.map((places) => rows.map((row) => places.map((place) => row[place]!)));
  const staying = given.length > MOST_STAYING ? [] : given.map((_, k) => given.length - 1 - k);
  return [
    ...merged.map((own) => ({ rows: own, fixed: [] })),
    ...staying.map((k) => ({ rows: sampleRows(given, new Set([k])), fixed: [given[k]!] })),
  ];
}

const WHY: Record<NoWay['why'], (line: string) => string> = {
  unequal: (line) => `${line} is not equal to what was due; mend it first.`,
  'run-on': (line) => `${line} runs on; break it into statements first.`,
  unread: (line) => `${line} cannot be read.`,
  unnamed: (line) =>
    `No law is known for ${line.toLowerCase()}, so its numbers cannot be followed.`,
  origin: (line) => `Levee cannot tell where the numbers of ${line.toLowerCase()} come from.`,
};

function noWaySays({ line, why }: NoWay): string {
  return WHY[why](`Line ${line}`);
}

/** Letters that are not taken for a figure, a sign or a rest. */
const LETTERS = 'abcdefghijkmnpqstuvwyz';
const NAMED = /\{(\d+)\}/g;

/** Letters for signs, in the order in which they stand on the paper; null where there are too many. */
function withLetters(
  { asked, given, signs, lines }: Lettered,
  paper: JudgedPaper,
  name: string,
  fixed: readonly Exact[],
): LetteredWay | null {
  const free = [...LETTERS].filter((letter) => !paper.asked.letters.has(letter));
  const order = inOrder([asked, ...lines], signs);
  if (order.length > free.length) return null;
  const letters = new Map(order.map((sign, k) => [sign.id, free[k]!]));
  const text = (own: string) => own.replace(NAMED, (_, id: string) => letters.get(Number(id))!);
  const isGiven = (sign: Sign) => given.some((own) => isSameRow(own.row, sign.row));
  const rules: Record<string, string> = {};
  for (const sign of byNeed(order)) {
    if (!isGiven(sign)) rules[letters.get(sign.id)!] = text(sign.rule!);
  }
  const way = {
    kind: paper.asked.problem?.kind ?? ('expression' as const),
    name,
    from: paper.asked.text,
    asked: text(asked),
    given: given.map(({ id }) => letters.get(id)!),
    lines: lines.map(text),
    rules,
  };
  const here = new Map(order.map((sign) => [letters.get(sign.id)!, sign.row[0]!]));
  const staying = given.filter(({ row }) => fixed.some((own) => own.equals(row[0]!)));
  const stay = staying.map(({ id, row }) =>
    conditionText({ kind: 'equal', letter: letters.get(id)!, than: row[0]!.toString() }),
  );
  return { ...way, holds: [...stay, ...conditionsOf(way, here)] };
}

/** Signs as they first stand in lines, then those that only rules speak of. */
function inOrder(texts: readonly string[], signs: readonly Sign[]): readonly Sign[] {
  const found: Sign[] = [];
  const see = (text: string) => {
    for (const [, id] of text.matchAll(NAMED)) {
      const sign = signs[Number(id)]!;
      if (!found.includes(sign)) found.push(sign);
    }
  };
  texts.forEach(see);
  // More come in while the rules of the first are read.
  for (let k = 0; k < found.length; k++) see(found[k]!.rule ?? '');
  return found;
}

/** Those that others come from stand first. */
function byNeed(order: readonly Sign[]): readonly Sign[] {
  const done = new Set<number>();
  const sorted: Sign[] = [];
  const put = (sign: Sign): void => {
    if (done.has(sign.id)) return;
    done.add(sign.id);
    for (const [, id] of (sign.rule ?? '').matchAll(NAMED)) {
      const other = order.find((own) => own.id === Number(id));
      if (other) put(other);
    }
    sorted.push(sign);
  };
  order.forEach(put);
  return sorted;
}
