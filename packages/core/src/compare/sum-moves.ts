import type { Entry, EntryId, Mark, Step } from '../account/account.ts';
import { Exact } from '../exact/exact.ts';
import { scriptOf } from '../problem/script.ts';
import { leavesOf, sameExpression, sumOf, type Expression, type Move } from './expressions.ts';
import type { Lane } from './compare.ts';

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
    .sort((a, b) => operandOf(a.id) - operandOf(b.id) || partOf(b.id) - partOf(a.id))
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
    if (!sameExpression(after, brackets)) moves.push({ law: run[0]!.law, expression: after });
  }
  return finished(moves, lane);
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

function operandOf(id: EntryId): number {
  return Number(id.slice(1).split('.')[0]);
}

function partOf(id: EntryId): number {
  return Number(id.slice(1).split('.')[1]);
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
      first.phase === step.phase &&
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

/** Marks as one amount. */
function itemOf(marks: readonly Mark[], lane: Lane): Item {
  const of = [...new Set(marks.flatMap(({ id }) => lane.termsOf(id).ids()))];
  const worth = Exact.sum(marks.map((mark) => mark.worth)).toString();
  const scaled = marks.length === 1 ? writtenFraction(marks[0]!, lane) : null;
  const expression = { kind: 'amount', worth, of, ...(scaled ? { scaled } : {}) } as const;
  return { ids: marks.map(({ id }) => id), expression };
}

/** A mark of a sum of fractions as it stands on the paper, where that is not how its amount is told. */
function writtenFraction({ glyph, worth }: Mark, { trace }: Lane): string | null {
  if (scriptOf(trace.problem) !== 'fractions') return null;
  const size = glyph.replace('−', '');
  const text = /^\d+\/\d+$/.test(size) ? size : commonText(worth, trace, glyph);
  if (text === null || text === absolute(worth)) return null;
  return worth.numerator < 0n ? `−${text}` : text;
}

/** A product of crossing is a numerator alone; its denominator is that of its worth, as both make it. */
function commonText(worth: Exact, { steps }: Lane['trace'], glyph: string): string | null {
  const mark = steps
    .flatMap(({ gives }) => gives)
    .find((one) => one.glyph === glyph && one.worth.equals(worth));
  if (mark?.role !== 'fraction product') return null;
  const top = Exact.of(BigInt(glyph.replace('−', '-')));
  const bottom = top.isZero ? null : top.dividedBy(worth);
  if (!bottom) return null;
  const size = bottom.numerator < 0n ? bottom.negate() : bottom;
  return `${glyph.replace('−', '')}/${size}`;
}

function absolute(worth: Exact): string {
  return (worth.numerator < 0n ? worth.negate() : worth).toString();
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
  if (step.law === 'sign') return gives.map((mark) => itemOf([mark], lane));
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
  if (step.law === 'evaluate' && gives.length > 0) return [itemOf(gives, lane)];
  return gives.map((mark) => itemOf([mark], lane));
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
