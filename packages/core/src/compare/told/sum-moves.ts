import { owedTerm, termParts } from '../../account/ids.ts';
import { OWN_LINES } from '../../account/own-lines.ts';
import type { Entry, EntryId, Mark, Step } from '../../account/account.ts';
import { samePhase } from '../../account/phase.ts';
import type { TermSpace } from '../../account/terms.ts';
import { Exact } from '../../exact/exact.ts';
import { figuresText, fractionFigures } from '../../exact/fraction-figures.ts';
import { valueOfText } from '../../account/glyphs.ts';
import type { Amount } from '../../laws/law.ts';
import { regroups, termsByPlaces } from '../../laws/regrouping.ts';
import { scriptOf } from '../../problem/script.ts';
import { leavesOf, sameExpression, sumOf, type Expression, type Move } from '../expressions.ts';
import type { Lane } from '../comparison.ts';

/** What stands on a line of the account: an entry, or the figures of a number that was worked out whole. */
interface Item {
  readonly ids: readonly EntryId[];
  readonly expression: Expression;
}

/**
 * The agreement of a sum or difference, read off the steps themselves: the line after a step is
 * everything that is live after it. Steps of one law that touch different amounts share a line; before
 * each, the amounts it puts together are bracketed. Amounts worth nothing are not written.
 */
export function sumMoves(lane: Lane): readonly Move[] {
  const { space } = lane.termsOf(lane.trace.start[0]!.id);
  let items: Item[] = lane.trace.start
    .filter(({ worth }) => !worth.isZero)
    .sort(inQuestion)
    .map(({ id }) => {
      const terms = [...lane.termsOf(id).indices()].reverse();
      return {
        ids: [id],
        expression: sumOf(terms.map((t) => ({ kind: 'product', term: space.id(t) }))),
      };
    });
  const moves: Move[] = [{ law: 'place-value', expression: flat(line(items)) }];
  for (const run of runsOf(lane.trace.steps)) {
    const split = withSplits(items, run, lane);
    if (split !== items) {
      items = split;
      moves.push({ law: 'place-value', expression: line(items) });
    }
    const before = moves.at(-1)!.expression;
    if (items.length === 0) break;
    const { bracketed, made } = applied(items, run, lane);
    items = made;
    if (run[0]!.law === 'reorder') {
      const moved = line(items);
      if (!sameExpression(moved, before)) moves.push({ law: 'reorder', expression: moved });
      continue;
    }
    const brackets = line(bracketed);
    if (!sameExpression(brackets, before)) moves.push({ law: 'reorder', expression: brackets });
    const after = items.length > 0 ? line(items) : nothing(lane);
    if (!sameExpression(after, brackets)) moves.push(moveTo(after, brackets, run[0]!, lane));
  }
  return finished(moves, lane);
}

/** The line after steps of one law; where they only wrote amounts elsewhere it is another order. */
function moveTo(after: Expression, before: Expression, step: Step, lane: Lane): Move {
  const keys = (expression: Expression) => leavesOf(expression).map((leaf) => JSON.stringify(leaf));
  const isMoved = keys(after).sort().join() === keys(before).sort().join();
  if (isMoved) return { law: 'reorder', expression: after };
  const { law } = step;
  return law === 'same-change'
    ? { law, expression: after, by: changeOf(step, lane).toString() }
    : { law, expression: after };
}

/** By how much a same change changes a number, or the little one that it puts beside it. */
function changeOf({ takes, gives }: Step, lane: Lane): Exact {
  const [first] = takes;
  const before = first === undefined ? null : lane.termsOf(first);
  const made = gives.find(({ id }) => before === null || lane.termsOf(id).equals(before));
  const old = takes.map((id) => lane.find(id) as Entry);
  const own = old.filter(({ id }) => before !== null && lane.termsOf(id).equals(before));
  const by = (made?.worth ?? Exact.ZERO).minus(Exact.sum(own.map(({ worth }) => worth)));
  return by.absolute();
}

/** Everything has come to nothing: both numbers were the same. */
function nothing({ amounts }: Lane): Expression {
  return { kind: 'amount', worth: '0', of: amounts.at(-1)!.terms.ids() };
}

/** The figures of an answer in its places are read as one number. */
function finished(moves: readonly Move[], { trace, amounts }: Lane): readonly Move[] {
  const last = moves.at(-1)!.expression;
  if (last.kind !== 'sum' || scriptOf(trace.problem) === 'terms') return moves;
  const of = amounts.at(-1)!.terms.ids();
  return [
    ...moves,
    { law: 'place-value', expression: { kind: 'amount', worth: trace.answer.toString(), of } },
  ];
}

/** Operand by operand, the largest part first. */
function inQuestion(a: Entry, b: Entry): number {
  const [[operand = 0, part = 0], [other = 0, second = 0]] = [a, b].map(({ id }) =>
    termParts(owedTerm(id) ?? ''),
  ) as [readonly number[], readonly number[]];
  return operand - other || second - part;
}

/** Runs of steps that follow each other, have one law and phase, and take nothing that the run gave. */
function runsOf(steps: readonly Step[]): readonly (readonly Step[])[] {
  const runs: Step[][] = [];
  let given = new Set<EntryId>();
  for (const step of steps) {
    const run = runs.at(-1);
    const [first] = run ?? [];
    const joins =
      first?.law === step.law &&
      samePhase(first.phase, step.phase) &&
      !step.takes.some((id) => given.has(id));
    if (joins) run!.push(step);
    else {
      runs.push([step]);
      given = new Set();
    }
    for (const mark of step.gives) given.add(mark.id);
  }
  return runs;
}

/** Whole numbers of which a step takes only some figures fall apart into all their figures. */
function withSplits(items: Item[], run: readonly Step[], lane: Lane): Item[] {
  const parted = items.filter(({ ids }) =>
    run.some(
      ({ takes }) => ids.some((id) => takes.includes(id)) && !ids.every((id) => takes.includes(id)),
    ),
  );
  if (parted.length === 0) return items;
  return items.flatMap((item) =>
    parted.includes(item) ? item.ids.map((id) => itemOf([lane.find(id) as Mark], lane)) : [item],
  );
}

/**
 * Marks as one amount, of those of their terms that stand in the line: a figure of nothing that went into them
 * is not written there.
 */
function itemOf(marks: readonly Mark[], lane: Lane, taken: readonly Item[] = []): Item {
  const there = new Set(
    taken.flatMap(({ expression }) => leavesOf(expression).flatMap(termsOfLeaf)),
  );
  const all = [...new Set<string>(marks.flatMap(({ id }) => lane.termsOf(id).ids()))];
  const of = taken.length === 0 ? all : all.filter((term) => there.has(term));
  const worth = Exact.sum(marks.map((mark) => mark.worth)).toString();
  const scaled = marks.length === 1 ? writtenFraction(marks[0]!, lane) : null;
  const expression = { kind: 'amount', worth, of, ...(scaled ? { scaled } : {}) } as const;
  return { ids: marks.map(({ id }) => id), expression };
}

/** A mark of a sum of fractions as it stands on the paper, where that is not how its amount is told. */
function writtenFraction({ glyph, worth }: Mark, { trace }: Lane): string | null {
  if (scriptOf(trace.problem) !== 'fractions') return null;
  const figures = fractionFigures(glyph);
  // A mixed number is told by its amount, except where its part is not in lowest terms.
  const stands =
    figures !== null && (figures.whole === null || figures.bottom !== worth.denominator);
  const text = stands ? figuresText(figures) : commonText(worth, trace, glyph);
  if (text === null || text === absolute(worth)) return null;
  return worth.isNegative ? `−${text}` : text;
}

/** A product of crossing is a numerator alone; its denominator is that of its worth, as both make it. */
function commonText(worth: Exact, { steps, problem }: Lane['trace'], glyph: string): string | null {
  const mark = steps
    .flatMap(({ gives }) => gives)
    .find((one) => one.glyph === glyph && one.worth.equals(worth));
  if (mark?.role !== 'fraction product') return null;
  const top = valueOfText(glyph, problem.base);
  if (!top || top.isZero) return null;
  return `${absolute(top)}/${absolute(top.dividedBy(worth))}`;
}

function termsOfLeaf(leaf: Expression): readonly string[] {
  if (leaf.kind === 'product') return [leaf.term];
  return leaf.kind === 'amount' ? leaf.of : [];
}

function absolute(worth: Exact): string {
  return worth.absolute().toString();
}

function applied(
  items: readonly Item[],
  run: readonly Step[],
  lane: Lane,
): { bracketed: Item[]; made: Item[] } {
  const bracketed: Item[] = [...items];
  const made: Item[] = [...items];
  for (const step of run) {
    const taken = bracketed.filter(({ ids }) => ids.some((id) => step.takes.includes(id)));
    const gives = step.gives.filter(({ worth }) => !worth.isZero);
    const given = givenItems(step, gives, taken, lane);
    const bracket = sumOf(taken.map(({ expression }) => expression));
    const ids = taken.flatMap((item) => item.ids);
    replace(bracketed, taken, taken.length === 0 ? [] : [{ ids, expression: bracket }]);
    replace(made, taken, given);
  }
  return { bracketed, made };
}

/** What a step writes: as it was, one number worked out whole, or amounts of their own. */
function givenItems(
  step: Step,
  gives: readonly Mark[],
  taken: readonly Item[],
  lane: Lane,
): readonly Item[] {
  if (step.law === 'reorder' && step.takes.length === gives.length) {
    return step.takes.map((id, k) => ({
      ids: [gives[k]!.id],
      expression: taken.find(({ ids }) => ids.includes(id))!.expression,
    }));
  }
  const moved =
    unchanged(gives, taken, lane) ?? (step.law === 'reorder' ? inParts(gives, taken, lane) : null);
  if (moved) return moved;
  if (step.law === 'sign') return gives.map((mark) => itemOf([mark], lane, taken));
  const [stays] = taken;
  const one = taken.length === 1 && gives.length === 1 && writtenFraction(gives[0]!, lane) === null;
  const renamed = stays?.expression.kind === 'amount' && stays.expression.scaled !== undefined;
  if (
    stays &&
    one &&
    !renamed &&
    stays.expression.kind !== 'sum' &&
    isAsLarge(step, gives[0]!, lane)
  ) {
    return [{ ids: [gives[0]!.id], expression: stays.expression }];
  }
  const isApart = lane.trace.method === OWN_LINES && gives.length > 1;
  if (step.law === 'evaluate' && gives.length > 0 && !isApart) {
    return [itemOf(gives, lane, taken)];
  }
  const made = gives.map((mark) => itemOf([mark], lane, taken));
  // In one's own lines every place holds its own piece of the number.
  const isShared = step.law === 'place-value' && lane.trace.method !== OWN_LINES;
  return isShared ? byPlaces(made, taken, lane) : made;
}

/** Amounts by places; where a figure of nothing went into them, of the terms of what does go into each. */
function byPlaces(
  made: readonly Item[],
  taken: readonly Item[],
  { trace, amounts }: Lane,
): readonly Item[] {
  const { base } = trace.problem;
  const { space } = amounts.at(-1)!.terms;
  const amount = ({ expression }: Item): Amount => ({
    worth: worthOfExpression(expression, space),
    terms: new Set(leavesOf(expression).flatMap(termsOfLeaf)),
    owed: false,
    written: null,
  });
  const change = { takes: taken.map(amount), gives: made.map(amount) };
  const isOne = scriptOf(trace.problem) !== 'figures' || made.length < 2;
  if (
    isOne ||
    regroups(change, { base, spent: new Set(), isStage: false, mayOppose: false }) === null
  )
    return made;
  const terms = termsByPlaces(change, base);
  return made.map((item, k) => ({
    ...item,
    expression: { ...item.expression, of: [...terms[k]!] } as Expression,
  }));
}

/** What a step only writes elsewhere, several amounts each as it was; null where it does more. */
function unchanged(
  gives: readonly Mark[],
  taken: readonly Item[],
  lane: Lane,
): readonly Item[] | null {
  if (gives.length < 2 || gives.length !== taken.length) return null;
  if (scriptOf(lane.trace.problem) !== 'figures') return null;
  const { space } = lane.amounts.at(-1)!.terms;
  const rest = [...taken];
  const items: Item[] = [];
  for (const mark of gives) {
    const at = rest.findIndex(({ expression }) =>
      worthOfExpression(expression, space).equals(mark.worth),
    );
    if (at < 0) return null;
    items.push({ ids: [mark.id], expression: rest.splice(at, 1)[0]!.expression });
  }
  return items;
}

/** What a step only writes elsewhere, where a number stood there in parts: each with its parts in brackets. */
function inParts(
  gives: readonly Mark[],
  taken: readonly Item[],
  lane: Lane,
): readonly Item[] | null {
  const items = gives.map((mark): Item => {
    const own = new Set<string>(lane.termsOf(mark.id).ids());
    const parts = taken.filter(({ expression }) =>
      leavesOf(expression).every((leaf) => termsOfLeaf(leaf).every((term) => own.has(term))),
    );
    return { ids: [mark.id], expression: sumOf(parts.map(({ expression }) => expression)) };
  });
  const leaves = (all: readonly Item[]) => all.flatMap(({ expression }) => leavesOf(expression));
  return leaves(items).length === leaves(taken).length ? items : null;
}

function worthOfExpression(expression: Expression, space: TermSpace): Exact {
  if (expression.kind === 'amount') return Exact.parse(expression.worth);
  if (expression.kind === 'product') return space.worth(space.find(expression.term)!);
  return Exact.sum(expression.parts.map((part) => worthOfExpression(part, space)));
}

/** Whether a mark is worth what the step took, so that only its writing is new. */
function isAsLarge({ takes }: Step, { worth }: Mark, lane: Lane): boolean {
  return Exact.sum(takes.map((id) => (lane.find(id) as Entry).worth)).equals(worth);
}

/** Puts new items where the first of the old ones stood, or in front when there is none. */
function replace(items: Item[], old: readonly Item[], now: readonly Item[]): void {
  const at = Math.max(
    0,
    items.findIndex((item) => old.includes(item)),
  );
  const rest = items.filter((item) => !old.includes(item));
  rest.splice(at, 0, ...now);
  items.splice(0, items.length, ...rest);
}

function line(items: readonly Item[]): Expression {
  return sumOf(items.map(({ expression }) => expression));
}

function flat(expression: Expression): Expression {
  if (expression.kind !== 'sum') return expression;
  return sumOf(expression.parts.flatMap((part) => leavesOf(part)));
}
