import { Exact } from '../../../exact/exact.ts';
import { decimalsNeeded } from '../../../exact/numeral.ts';
import type { Surd } from '../../../exact/surd.ts';
import { explain } from '../search/search.ts';
import type { Page } from '../../../laws/move-spec.ts';
import {
  fractionNode,
  mixedNode,
  numberOf,
  oppositeNode,
  powerNode,
  productNode,
  rootNode,
  sumNode,
  termValue,
  valueOfTerms,
  type Node,
  type Term,
} from '../../../line/node.ts';
import { termsText } from '../../../line/node-text.ts';

/** A true line that differs from a wrong one by as little as can be. */
export interface Nearest {
  readonly text: string;
  /** By how much the wrong line is off, all of which it explains. */
  readonly off: Surd;
}

/** How many true lines are told. */
const MOST = 2;
/** How many are looked at for a law. */
const MOST_LOOKED = 6;

interface Candidate {
  readonly terms: readonly Term[];
  /** Figures that are changed, put in, left out or exchanged with a neighbour. */
  readonly figures: number;
  readonly isOnPage: boolean;
}

/**
 * The nearest true lines: fewest changed signs and numbers, then fewest figures, then those that follow by a law, then
 * numbers that are on the page already. None where more than two places would have to change.
 */
export function nearest(
  before: readonly Term[],
  line: readonly Term[],
  page: Page,
): readonly Nearest[] {
  const due = valueOfTerms(before);
  const off = valueOfTerms(line).minus(due);
  const single = [...turns(line, due), ...solved(line, due, page)];
  const all =
    single.length > 0 || isLong(line)
      ? single
      : turnedLines(line).flatMap((turned) => solved(turned, due, page));
  const sorted = [...all].sort(byNearness).slice(0, MOST_LOOKED);
  const told = sorted.map((own) => ({
    ...own,
    isLawful: explain(before, own.terms, page).explained[0]?.isLawful ?? false,
  }));
  told.sort((a, b) => byNearness(a, b, (x) => Number(!(x as typeof a).isLawful)));
  const texts = [...new Set(told.map(({ terms }) => termsText(terms)))];
  return texts.slice(0, MOST).map((text) => ({ text, off }));
}

/** In lines of more terms only one change is looked for. */
const MOST_TERMS = 40;

/** Whether a line is too long for two changes to be looked for. */
export function isLong(line: readonly Term[]): boolean {
  return line.length > MOST_TERMS;
}

function byNearness(
  a: Candidate,
  b: Candidate,
  between: (own: Candidate) => number = () => 0,
): number {
  return (
    a.figures - b.figures || between(a) - between(b) || Number(b.isOnPage) - Number(a.isOnPage)
  );
}

/** The line with one sign turned, where that makes it true. */
function turns(line: readonly Term[], due: Surd): readonly Candidate[] {
  return turnedLines(line)
    .filter((terms) => valueOfTerms(terms).equals(due))
    .map((terms) => ({ terms, figures: 1, isOnPage: true }));
}

/** The line with each of its signs turned, one at a time; that of its first term stays. */
function turnedLines(line: readonly Term[]): readonly (readonly Term[])[] {
  return line
    .slice(1)
    .map((_, k) =>
      line.map((term, index) => (index === k + 1 ? { minus: !term.minus, node: term.node } : term)),
    );
}

/** The line with one number replaced so that it is true, for each number in it where there is such a one. */
function solved(line: readonly Term[], due: Surd, page: Page): readonly Candidate[] {
  return leavesOf(line).flatMap((leaf): readonly Candidate[] => {
    const amount = solution(leaf, due);
    if (!amount || amount.equals(leaf.amount) || !isAsSimple(amount, leaf.amount)) return [];
    const terms = leaf.put(amount);
    if (!terms || !valueOfTerms(terms).equals(due)) return [];
    const node = numberOf(amount, page.base);
    const text = node.kind === 'number' ? node.text : '';
    return [
      {
        terms,
        figures: figuresBetween(leaf.text, text),
        isOnPage: page.numbers.has(amount.toString()),
      },
    ];
  });
}

function isAsSimple(amount: Exact, old: Exact): boolean {
  if (!amount.isConstant || amount.isNegative || amount.isZero) return false;
  if (old.isWhole) return amount.isWhole;
  const decimals = decimalsNeeded(amount, 10);
  return decimals !== null && decimals <= decimalsNeeded(old, 10)! + 1;
}

/** The number that must stand at a leaf: the line is linear in it, or in one over it. */
function solution({ worth }: Leaf, due: Surd): Exact | null {
  const isTrue = (amount: Exact) => worth(amount)?.equals(due) ?? false;
  const [a, b] = [Exact.ONE, Exact.of(2)].map((amount) => worth(amount));
  if (!a || !b) return null;
  const slope = b.minus(a);
  if (slope.isZero) return null;
  const linear = due.minus(a).dividedBy(slope)?.rational?.plus(Exact.ONE);
  if (linear?.isConstant && isTrue(linear)) return linear;
  // c + k ÷ x: with x = 1 and x = 2 it is c + k and c + k/2.
  const k = slope.plus(slope).negate();
  const rest = due.minus(a.minus(k));
  const inverse = rest.isZero ? null : k.dividedBy(rest)?.rational;
  return inverse?.isConstant && isTrue(inverse) ? inverse : null;
}

/** A number of a line, and the line with another in its place; null where it would have no value. */
interface Leaf {
  readonly amount: Exact;
  readonly text: string;
  readonly put: (amount: Exact) => readonly Term[] | null;
  /** What the line is worth with another there. */
  readonly worth: (amount: Exact) => Surd | null;
}

function leavesOf(line: readonly Term[]): readonly Leaf[] {
  const whole = valueOfTerms(line);
  return line.flatMap(({ minus, node }, index) =>
    leavesIn(node).map(({ amount, text, put }) => ({
      amount,
      text,
      worth: (other: Exact) => {
        const made = put(other);
        return (
          made && whole.minus(termValue({ minus, node })).plus(termValue({ minus, node: made }))
        );
      },
      put: (other: Exact) => {
        const made = put(other);
        return made && line.map((term, k) => (k === index ? { minus, node: made } : term));
      },
    })),
  );
}

interface NodeLeaf {
  readonly amount: Exact;
  readonly text: string;
  readonly put: (amount: Exact) => Node | null;
}

function leavesIn(node: Node): readonly NodeLeaf[] {
  const within = (inner: Node, wrap: (made: Node) => Node | null): readonly NodeLeaf[] =>
    leavesIn(inner).map(({ amount, text, put }) => ({
      amount,
      text,
      put: (other) => {
        const made = put(other);
        return made && wrap(made);
      },
    }));
  switch (node.kind) {
    case 'number':
      return node.isPercent
        ? []
        : [{ amount: node.amount, text: node.text, put: (other) => plain(other) }];
    case 'fraction':
      return [
        ...within(node.top, (made) => asFraction(made, node.bottom)),
        ...within(node.bottom, (made) => asFraction(node.top, made)),
      ];
    case 'mixed':
      return [
        ...within(node.whole, (made) =>
          made.kind === 'number' ? mixedNode(made, node.part) : null,
        ),
        ...within(node.part, (made) =>
          made.kind === 'fraction' ? mixedNode(node.whole, made) : null,
        ),
      ];
    case 'letter':
      return [];
    case 'sum':
      return node.terms.flatMap((term, index) =>
        within(term.node, (made) =>
          sumNode(
            node.terms.map((own, k) => (k === index ? { minus: own.minus, node: made } : own)),
          ),
        ),
      );
    case 'product':
      return node.factors.flatMap((factor, index) =>
        within(factor.node, (made) =>
          factor.under && made.value.isZero
            ? null
            : productNode(
                node.factors.map((own, k) =>
                  k === index ? { under: own.under, node: made } : own,
                ),
              ),
        ),
      );
    case 'power':
      return within(node.of, (made) => powerNode(made, node.exponent));
    case 'root':
      return within(node.of, (made) => rootNode(made));
    case 'opposite':
      return within(node.of, oppositeNode);
  }
}

function plain(amount: Exact): Node | null {
  return amount.isConstant ? numberOf(amount, 10) : null;
}

function asFraction(top: Node, bottom: Node): Node | null {
  const isBoth = top.kind === 'number' && bottom.kind === 'number' && !bottom.value.isZero;
  return isBoth ? fractionNode(top, bottom) : null;
}

/**
 * The fewest figures that are changed, put in, left out, or exchanged with a neighbour, from one number to another
 * (optimal string alignment, Damerau 1964).
 */
export function figuresBetween(a: string, b: string): number {
  const rows: number[][] = Array.from({ length: a.length + 1 }, (_, i) =>
    Array.from({ length: b.length + 1 }, (__, k) => (i === 0 ? k : k === 0 ? i : 0)),
  );
  for (let i = 1; i <= a.length; i++) {
    for (let k = 1; k <= b.length; k++) {
      const change = a[i - 1] === b[k - 1] ? 0 : 1;
      const best = Math.min(
        rows[i - 1]![k]! + 1,
        rows[i]![k - 1]! + 1,
        rows[i - 1]![k - 1]! + change,
      );
      const isTurned = i > 1 && k > 1 && a[i - 1] === b[k - 2] && a[i - 2] === b[k - 1];
      rows[i]![k] = isTurned ? Math.min(best, rows[i - 2]![k - 2]! + 1) : best;
    }
  }
  return rows[a.length]![b.length]!;
}
