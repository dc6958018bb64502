import { Surd } from '../exact/surd.ts';
import type { Asked } from './asked.ts';
import { isRightEnd, owesNothing, type End } from './ends.ts';
import { worst, type JudgedLine, type JudgedSign, type Reading } from './judged.ts';
import { BLANK, NO_MISTAKE, type Judgement } from './judgement.ts';
import type { FoundLine, HopLine, JudgedPaper, LineStep, TableLine } from './judged-paper.ts';
import { moveSpec } from '../laws/moves.ts';
import { moveAt } from './move.ts';
import type { Page } from '../laws/move-spec.ts';
import { isPlain } from '../line/kinds.ts';
import { termsOf, type Term, lineKey } from '../line/node.ts';
import { numbersIn } from '../line/numbers-in.ts';
import { originSays, type Pair } from './pairs.ts';
import { readLine, type LineRead, type Side } from './read-line.ts';
import { isRight, judgeRewriting, named, type Rewriting } from './rewrite.ts';
import { firstPartWorth } from './run-on.ts';
import { addedBy, joined, sideLineOf, type SideLine } from './side-lines.ts';
import { foundPart, mistakesOf, restToldOf, saidOf } from './told.ts';
import { findsPart, hasBox, judgeHops, judgePairs, judgeStatement, spansOf } from './statements.ts';

/** Judges lines in their order. The same lines give the same verdicts: bounds are in nodes. */
export function judgeLines(asked: Asked, lines: readonly string[]): JudgedPaper {
  const paper = new Paper(asked);
  for (const line of lines) paper.add(line);
  return paper.judged();
}

/** A line that the next one may be held against. */
interface Last {
  readonly n: number;
  readonly terms: readonly Term[];
  readonly value: Surd;
}

type Chain = Extract<LineRead, { kind: 'chain' }>;

class Paper {
  private readonly lines: JudgedLine[] = [];
  private readonly numbers = new Set<string>();
  private readonly problem: Last;
  /** The last rewriting, and the one before it, for a run-on from line to line. */
  private last: Last;
  private before: Last | null = null;
  private readonly sides: SideLine[] = [];
  /** What the last rewriting, total or landing comes to; else the last statement aside, by its line. */
  private end: End | null = null;
  private statement: (End & { readonly n: number }) | null = null;
  private nodes = 0;
  private cut = false;
  private readonly rewritten: LineStep[] = [];
  private readonly hopLines: HopLine[] = [];
  private readonly pairs: Pair[] = [];
  private readonly tables: TableLine[] = [];
  private readonly found: FoundLine[] = [];
  private readonly wrongTerms = new Map<number, readonly [readonly Term[], readonly Term[]]>();
  private readonly asideTerms = new Map<number, readonly [readonly Term[], readonly Term[]]>();

  constructor(private readonly asked: Asked) {
    this.problem = { n: 0, terms: termsOf(asked.expression, asked.value), value: asked.value };
    this.last = this.problem;
    this.note(this.problem.terms);
  }

  add(text: string): void {
    const n = this.lines.length + 1;
    const read = readLine(text, this.asked);
    const units = 'units' in read ? read.units : [];
    this.lines.push({ ...BLANK, n, text, units, ...this.judge(n, read) });
  }

  judged(): JudgedPaper {
    const end = this.end ?? this.statement;
    const isEnd = (n: number) => this.end === null && this.statement?.n === n;
    const idle = this.lines.filter(
      ({ n, kind, verdict, joins }) =>
        kind === 'side' && verdict !== 'lawful' && joins === null && !isEnd(n),
    );
    return {
      asked: this.asked,
      lines: this.lines,
      complete: end !== null && owesNothing(end),
      right: end !== null && isRightEnd(end, this.asked),
      unused: idle.map(({ n }) => n),
      searched: { nodes: this.nodes, cut: this.cut },
      rewritings: this.rewritten,
      hops: this.hopLines,
      pairs: this.pairs,
      tables: this.tables,
      found: this.found,
      problem: this.problem.terms,
      statements: this.asideTerms,
      wrongStatements: this.wrongTerms,
    };
  }

  private judge(n: number, read: LineRead): Judgement {
    switch (read.kind) {
      case 'unread':
        return { kind: 'note', verdict: 'unread', unread: { at: read.at, reason: read.reason } };
      case 'note':
        return { kind: 'note', verdict: 'note', isSketch: read.isSketch ?? false };
      case 'compared': {
        const [left, right] = read.sides;
        return { kind: 'note', verdict: 'note', off: right.value.minus(left.value) };
      }
      case 'hops':
        return this.hops(n, read);
      case 'table':
        return this.table(n, read);
      case 'chain': {
        const ambiguous = read.sides.some(({ other }) => other !== null);
        return {
          ...this.chain(n, { ...read, sides: read.sides.map((side) => this.chosen(side)) }),
          ambiguous,
        };
      }
    }
  }

  /** Of two readings in common use the one that is worth what is due, where only the other one is. */
  private chosen(side: Side): Side {
    const isDue = (one: Side) => one.value.equals(this.last.value);
    return side.other && isDue(side.other) && !isDue(side) ? side.other : side;
  }

  private chain(n: number, { goesOn, sides, signs }: Chain): Judgement {
    const [first, ...rest] = sides;
    // What is looked for still stands open: nothing is said yet.
    if (sides.at(-1)!.expression.kind === 'box') return { kind: 'note', verdict: 'note' };
    if (goesOn) return this.rewritings(n, sides, this.last, signs);
    if (rest.length === 0) {
      const isTotal = this.sides.length > 0 && isLoneNumber(first!.terms);
      return isTotal ? this.total(n, first!) : this.rewritings(n, sides, this.last, signs);
    }
    if (first!.expression.kind === 'box') return this.rewritings(n, rest, this.problem, signs);
    const known = this.knownAs(first!);
    if (known) return this.rewritings(n, rest, known, signs);
    const adds = first!.terms.length > 1 && this.addsJoined(first!);
    return adds ? this.rewritings(n, sides, this.problem, signs) : this.aside(n, sides, signs);
  }

  /** The problem, or the line before, where a line begins with it again. */
  private knownAs({ terms }: Side): Last | null {
    const key = lineKey(terms);
    return [this.last, this.problem].find((known) => lineKey(known.terms) === key) ?? null;
  }

  private note(terms: readonly Term[]): void {
    for (const { value } of numbersIn(terms)) this.numbers.add(value.toString());
  }

  /** One rewriting or several in one line. */
  private rewritings(
    n: number,
    sides: readonly Side[],
    from: Last,
    at: readonly number[],
  ): Judgement {
    const runOn = this.runOnFromLine(sides[0]!);
    if (runOn) return this.afterRunOn(n, sides, runOn, at);
    let before = from;
    const made: Rewriting[] = [];
    const signs: JudgedSign[] = [];
    const statements: string[] = [];
    sides.forEach((side, index) => {
      const own = this.one(before, side);
      const first =
        index > 0 && own.verdict === 'unequal' ? firstPartWorth(side.terms, before.value) : null;
      if (first !== null) statements.push(`${sides[index - 1]!.text} = ${first}`, side.text);
      made.push(own);
      this.rewritten.push({
        n,
        from: before.terms,
        to: side.terms,
        between: own.between,
        off: own.off,
        rest: side.rest,
      });
      signs.push({
        at: at[index] ?? 0,
        verdict: first === null ? own.verdict : 'run-on',
        off: own.off,
      });
      before = { n, terms: side.terms, value: side.value };
    });
    const last = sides.at(-1)!;
    this.settle({ n, terms: last.terms, value: last.value }, last);
    const verdict = worst(signs.map((sign) => sign.verdict));
    const readings = made.flatMap((own) => own.readings);
    return {
      kind: 'rewrite',
      verdict,
      value: last.value,
      against: from.n,
      off: last.value.minus(from.value),
      totalOff: last.value.minus(this.asked.value),
      ...(made.length === 1 ? { law: made[0]!.law, move: made[0]!.move } : named(readings)),
      readings,
      signs: signs.length > 1 ? signs : [],
      statements,
      ...mistakesOf(made, signs),
      followed: isRight(verdict) && verdict !== 'equal' && !from.value.equals(this.asked.value),
    };
  }

  private one(before: Last, side: Side): Rewriting {
    const own = side.rest ? restToldOf(before, side) : judgeRewriting(before, side, this.page());
    this.nodes += own.nodes;
    this.cut ||= own.cut;
    this.note(side.terms);
    // What the page itself puts together goes before a move that fits any numbers.
    const isNamed =
      own.verdict === 'unequal' || (own.verdict === 'lawful' && !own.readings.every(fitsAny));
    return isNamed ? own : (this.addsJoined(side) ?? own);
  }

  /** An expression that adds what side lines gave. */
  private addsJoined(side: Side): Rewriting | null {
    if (!side.value.equals(this.asked.value) || !addedBy(this.sides, side.terms, this.asked))
      return null;
    const moves = [moveAt('find-part', this.problem.terms, side.terms)];
    const readings = [{ moves, between: [] }];
    return {
      verdict: 'lawful',
      off: Surd.ZERO,
      law: 'inverse',
      move: 'find-part',
      readings,
      between: [],
      ...NO_MISTAKE,
      nodes: 0,
      cut: false,
    };
  }

  private settle(last: Last, { rest }: Side): void {
    this.before = this.last;
    this.last = last;
    this.end = { terms: last.terms, value: last.value, rest };
    const found =
      addedBy(this.sides, last.terms, this.asked) ?? joined(this.sides, last.value, this.asked);
    for (const { n } of found ?? []) {
      const line = this.lines[n - 1]!;
      if (line.joins === null) this.lines[n - 1] = { ...line, joins: last.n };
    }
  }

  /** A total behind side lines is judged as a rewriting of the problem. */
  private total(n: number, side: Side): Judgement {
    const told = this.one(this.problem, side);
    const { between, off } = told;
    this.rewritten.push({
      n,
      from: this.problem.terms,
      to: side.terms,
      between,
      off,
      rest: side.rest,
    });
    this.settle({ n, terms: side.terms, value: side.value }, side);
    return { ...saidOf(told), kind: 'total', value: side.value, against: 0, totalOff: told.off };
  }

  /** A statement that stands by itself: `40 × 50 = 2000`, `387 + 255 = 642`, `387 + □ = 642`. */
  private aside(n: number, sides: readonly Side[], at: readonly number[]): Judgement {
    const told = judgeStatement(sides, at);
    sides.forEach(({ terms }) => this.note(terms));
    const [left, last] = [sides[0]!, sides.at(-1)!];
    const isFound = told.verdict === 'side' && findsPart(sides, this.asked);
    const isOpen = sides.some(({ expression }) => hasBox(expression));
    if (told.verdict !== 'unequal' && !isOpen) this.sides.push(sideLineOf(n, left, last));
    const isPair = sides.length === 2;
    if (isFound) this.found.push({ n, left: left.terms, right: last.terms });
    if (told.verdict === 'side' && isPair) this.asideTerms.set(n, [left.terms, last.terms]);
    if (told.verdict === 'unequal' && isPair && !isOpen)
      this.wrongTerms.set(n, [left.terms, last.terms]);
    this.statement = isOpen ? null : { n, ...(isFound ? this.answer() : { ...last }) };
    return {
      kind: 'side',
      value: last.value,
      ...told,
      ...(told.verdict === 'unequal' ? this.mistakeIn(sides) : {}),
      ...(isFound ? foundPart(left, last) : {}),
    };
  }

  /** What is told of the first sign of a statement that does not hold. */
  private mistakeIn(sides: readonly Side[]) {
    const at = sides.findIndex((side, k) => k > 0 && !side.value.equals(sides[k - 1]!.value));
    const [left, right] = [sides[at - 1]!, sides[at]!];
    const { falseRule, nearest } = judgeRewriting(left, right, this.page());
    // What is near is told as the whole statement.
    const near = nearest.map(({ text, off }) => ({ text: `${left.text} = ${text}`, off }));
    return { falseRule, nearest: near };
  }

  private page(): Page {
    return { base: this.asked.base, numbers: this.numbers };
  }

  private answer(): End {
    return { terms: [], value: this.asked.value, rest: null };
  }

  /** The line before was no rewriting but the first half of a statement that this line goes on from. */
  private runOnFromLine(side: Side): { readonly first: string; readonly from: Last } | null {
    const last = this.lines.at(-1);
    const isWrong =
      last?.kind === 'rewrite' && last.verdict === 'unequal' && last.n === this.last.n;
    if (!isWrong || !this.before || side.value.equals(this.last.value)) return null;
    const first = firstPartWorth(side.terms, this.last.value);
    return first === null ? null : { first, from: this.before };
  }

  private afterRunOn(
    n: number,
    sides: readonly Side[],
    { first, from }: { readonly first: string; readonly from: Last },
    at: readonly number[],
  ): Judgement {
    const old = this.lines.at(-1)!;
    this.lines[this.lines.length - 1] = {
      ...BLANK,
      n: old.n,
      text: old.text,
      units: old.units,
      value: old.value,
      kind: 'side',
      verdict: 'side',
    };
    // What the line before says is a statement now, and no rewriting.
    if (this.rewritten.at(-1)?.n === old.n) this.rewritten.pop();
    const statement = `${old.text.replace(/^\s*=\s*/, '')} = ${first}`;
    this.last = from;
    this.before = null;
    const made = this.rewritings(n, sides, from, at);
    return {
      ...made,
      verdict: worst([made.verdict, 'run-on']),
      statements: [statement, ...sides.map(({ text }) => text)],
    };
  }

  private hops(n: number, { start, hops }: Extract<LineRead, { kind: 'hops' }>): Judgement {
    const { off, value, isBetween } = judgeHops(start, hops, this.asked);
    for (const { size, landing } of hops) {
      this.note(landing.terms);
      if (size) this.note(size.terms);
    }
    const { landing } = hops.at(-1)!;
    this.statement = { n, terms: isBetween ? [] : landing.terms, value, rest: null };
    const isFound = isBetween || value.equals(this.asked.value);
    if (isFound && off.isZero) this.hopLines.push({ n, isBetween, hops: spansOf(start, hops) });
    if (isFound) this.end = this.statement;
    return {
      kind: 'hops',
      verdict: off.isZero ? 'side' : 'unequal',
      value,
      off,
      totalOff: value.minus(this.asked.value),
      ...(off.isZero && isFound ? foundPart(start, landing) : {}),
    };
  }

  private table(n: number, { rows }: Extract<LineRead, { kind: 'table' }>): Judgement {
    const { off, pairs, answer } = judgePairs(n, rows, { asked: this.asked, known: this.pairs });
    for (const [left, right] of rows) this.note([...left.terms, ...right.terms]);
    const [left, right] = rows.at(-1)!;
    this.statement = { n, ...(answer ? this.answer() : { ...right }) };
    if (answer) this.end = this.statement;
    if (answer && off === null) this.tables.push({ n, answer });
    this.pairs.push(...pairs);
    return {
      kind: 'table',
      verdict: off === null ? 'side' : 'unequal',
      value: answer ? this.asked.value : right.value,
      off,
      pairs: pairs.map((pair) => originSays(pair, this.pairs)),
      ...(answer ? foundPart(left, right) : {}),
    };
  }
}

function isLoneNumber(terms: readonly Term[]): boolean {
  const [only, ...more] = terms;
  return only !== undefined && more.length === 0 && isPlain(only.node);
}

function fitsAny({ moves }: Reading): boolean {
  return moves.length > 0 && moves.every(({ move }) => moveSpec(move).fitsAnyNumbers);
}
