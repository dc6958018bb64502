import type { Aim, Page } from '../../../laws/move-spec.ts';
import { MOVES, moveSpec } from '../../../laws/moves.ts';
import { factorsOf } from '../../../line/factors.ts';
import { isPlain } from '../../../line/kinds.ts';
import {
  factorKey,
  flat,
  productNode,
  sumNode,
  type Term,
  termKey,
  termValue,
} from '../../../line/node.ts';
import { paired } from '../../../line/paired.ts';
import { arePlacesOf } from '../../../line/places.ts';
import { MOST_TERMS, termsIn } from '../../../line/terms.ts';
import { type Found, kindOf, type Move, moveAt } from '../move.ts';
import { aimFor, type Expanded, expandLine } from './expand.ts';
import { groupedWays, groupSteps, steps, withoutCommonTerms } from './recognise.ts';

/** A way from one group of terms to another: stages of moves of one kind each, and what stands there between them. */
export interface Path {
  readonly stages: readonly Found[];
  /** One less than stages. */
  readonly between: readonly (readonly Term[])[];
}

/** A whole line explained. */
export interface Explained extends Path {
  /** Whether one kind of move is all there is. */
  readonly isLawful: boolean;
}

/** How much may be looked at for one line, in lines that are held against the new one. */
const MOST_NODES = 500;
/** How many terms may stand in all lines that are written for one line. */
const MOST_WRITTEN = 40_000;
/** How many stages a line may leap over. */
const MOST_STAGES = 3;
const MOST_READINGS = 3;

export interface SearchedLaws {
  readonly explained: readonly Explained[];
  readonly nodes: number;
  /** Whether the bound was met before everything was looked at. */
  readonly cut: boolean;
}

/** How a line comes from the one before that is worth the same. Nothing is found where no law is known for it. */
export function explain(old: readonly Term[], made: readonly Term[], page: Page): SearchedLaws {
  const search = new Search(page);
  const explained = search.line(old, made);
  return { explained, nodes: search.nodes, cut: search.isCut };
}

class Search {
  nodes = 0;
  isCut = false;
  private written = 0;

  constructor(private readonly page: Page) {}

  line(old: readonly Term[], made: readonly Term[]): readonly Explained[] {
    const first = [...this.placesFirst(old, made), ...this.oneMove(old, made)];
    if (first.length > 0) return first.slice(0, MOST_READINGS);
    const ways = groupedWays(old, made).filter((way) => way.length > 1);
    const apart = ways.flatMap((way) => this.byGroups(old, way));
    const all = apart.length > 0 ? apart : this.asOne(old, made);
    if (all.length === 0) return this.insideProduct(old, made);
    const shortest = Math.min(...all.map(({ stages }) => stages.length));
    return distinct(shortestFirst(all.filter(({ stages }) => stages.length === shortest))).slice(
      0,
      MOST_READINGS,
    );
  }

  /** Factors that stay are left out: (x+1)(x+2)(x+3) as (x² + 3x + 2)(x+3). */
  private insideProduct(old: readonly Term[], made: readonly Term[]): readonly Explained[] {
    const [from, to] = withoutCommonTerms(flat(old), flat(made));
    const [a, b] = [from[0], to[0]];
    if (from.length !== 1 || to.length !== 1 || !a || !b || a.minus !== b.minus) return [];
    const { pairs, left, rest } = paired(factorsOf(a.node), factorsOf(b.node), factorKey);
    const kept = pairs.map(([, factor]) => factor);
    if (kept.length === 0 || left.length === 0 || rest.length === 0) return [];
    const inner = this.line(termsIn(productNode(left)), termsIn(productNode(rest)));
    return inner.map((own) => ({
      ...own,
      between: own.between.map((terms) => {
        const node = productNode([{ under: false, node: sumNode(terms) }, ...kept]);
        return replaced(old, [{ from, to: [{ minus: a.minus, node }] }]);
      }),
    }));
  }

  private placesFirst(old: readonly Term[], made: readonly Term[]): readonly Explained[] {
    const [from, to] = withoutCommonTerms(flat(old), flat(made));
    return this.led(from, to).map(({ stages, between }) => ({
      stages,
      between: between.map((terms) => replaced(old, [{ from, to: terms }])),
      isLawful: false,
    }));
  }

  /** Two numbers by a move that says what stands between, as all places do, and then worked out. */
  private led(old: readonly Term[], made: readonly Term[]): readonly Path[] {
    if (made.length !== 2) return [];
    return MOVES.flatMap(({ id, between }) => {
      const terms = between?.(old, made, this.page);
      const end = MOVES.find(({ isEnd }) => isEnd);
      if (!terms || !end) return [];
      return [
        { stages: [[moveAt(id, old, terms)], [moveAt(end.id, terms, made)]], between: [terms] },
      ];
    });
  }

  private oneMove(old: readonly Term[], made: readonly Term[]): readonly Explained[] {
    this.nodes++;
    return steps(old, made, this.page).map((found) => ({
      stages: [found],
      between: [],
      isLawful: true,
    }));
  }

  private asOne(old: readonly Term[], made: readonly Term[]): readonly Explained[] {
    const [from, to] = withoutCommonTerms(flat(old), flat(made));
    return this.group(from, to, MOST_STAGES).map(({ stages, between }) => ({
      stages,
      between: between.map((terms) => replaced(old, [{ from, to: terms }])),
      isLawful: stages.length === 1,
    }));
  }

  /** Each group by itself, then their stages side by side: those of one kind at once. */
  private byGroups(
    old: readonly Term[],
    way: readonly (readonly [readonly Term[], readonly Term[]])[],
  ): readonly Explained[] {
    const paths = way.map(([from, to]) => this.group(from, to, MOST_STAGES)[0]);
    if (paths.includes(undefined)) return [];
    const merged = merge(
      old,
      way.map(([from], k) => ({ from, to: way[k]![1], path: paths[k]! })),
    );
    return merged.stages.length > MOST_STAGES ? [] : [merged];
  }

  /** Ways from a group to another by a few stages, shortest first. */
  private group(old: readonly Term[], made: readonly Term[], most: number): readonly Path[] {
    const led = most > 1 ? this.led(old, made) : [];
    if (led.length > 0) return led;
    this.nodes++;
    const direct = groupSteps(old, made, this.page);
    if (direct.length > 0) return direct.map((found) => ({ stages: [found], between: [] }));
    return most < 2 ? [] : this.through(old, made, most);
  }

  private through(old: readonly Term[], made: readonly Term[], most: number): readonly Path[] {
    const aim = aimFor(old, made, this.page.base);
    const lines = this.expand(old, aim).filter(({ terms }) => this.mayPass(old, terms, made));
    const found: Path[] = [];
    for (const { terms, moves, split } of lines) {
      if (!this.goesOn()) return found;
      if (!keepsPlaces(split, terms, made) || mixes(old, terms, made)) continue;
      for (const last of steps(terms, made, this.page)) {
        if (!isUndone(moves, last) && !this.fitsAnything(last))
          found.push({ stages: [moves, last], between: [terms] });
      }
      if (found.length >= MOST_READINGS) return found;
    }
    if (found.length > 0 || most < 3) return found;
    for (const { terms, moves, split } of lines) {
      if (!this.goesOn()) return found;
      const isKept = keepsPlaces(split, terms, made) && !mixes(old, terms, made);
      const rest = isKept ? this.twoKinds(terms, made) : null;
      if (rest) return [{ stages: [moves, ...rest.stages], between: [terms, ...rest.between] }];
    }
    for (const { terms, moves, split } of lines) {
      if (split.length > 0) continue;
      for (const next of this.expand(terms, aim)) {
        if (!this.goesOn()) return found;
        if (!this.mayPass(old, next.terms, made)) continue;
        // Places put together behind two other moves fit too many numbers, and so do places of a total of two steps.
        if (next.split.length > 0 || mixes(old, next.terms, made)) continue;
        if (made.length > 1 && isNumberAlone(next.terms)) continue;
        const [last] = steps(next.terms, made, this.page);
        if (last && !this.fitsAnything(last))
          return [{ stages: [moves, next.moves, last], between: [terms, next.terms] }];
      }
    }
    return found;
  }

  /** The lines that come from one by a move, as far as there is room for them. */
  private expand(line: readonly Term[], aim: Aim): readonly Expanded[] {
    if (line.length > MOST_TERMS || this.written > MOST_WRITTEN) {
      this.isCut = true;
      return [];
    }
    const all = expandLine(line, aim);
    const lines = all.filter(({ terms }) => terms.length <= MOST_TERMS);
    this.isCut ||= lines.length < all.length;
    for (const { terms } of lines) this.written += terms.length;
    return lines;
  }

  /** Groups side by side that each follow by one move, of two kinds in all: 46 × 50 + 46 × 8 as 2300 + 320 + 48. */
  private twoKinds(old: readonly Term[], made: readonly Term[]): Path | null {
    for (const way of groupedWays(old, made)) {
      if (way.length < 2) continue;
      const paths = way.map(([from, to]) => groupSteps(from, to, this.page)[0]);
      if (paths.some((own) => own === undefined || this.fitsAnything(own))) continue;
      const groups = way.map(([from, to], k) => ({
        from,
        to,
        path: { stages: [paths[k]!], between: [] },
      }));
      const merged = merge(old, groups);
      if (merged.stages.length === 2) return merged;
    }
    return null;
  }

  /** Behind another move, a cut into parts that are not on the page fits any numbers, and explains nothing. */
  private fitsAnything(last: Found): boolean {
    return last.some(({ move }) => moveSpec(move).fitsAnyNumbers);
  }

  private goesOn(): boolean {
    this.nodes++;
    if (this.nodes > MOST_NODES) this.isCut = true;
    return this.nodes <= MOST_NODES;
  }

  /**
   * There is no way through the total: what is worked out to one number is not taken apart again, but into its places
   * or into parts that stand there already.
   */
  private mayPass(old: readonly Term[], through: readonly Term[], made: readonly Term[]): boolean {
    const [only, ...more] = through;
    const isTotal = more.length === 0 && (!only || isPlain(only.node));
    const isNumber = old.length === 1 && isPlain(old[0]!.node);
    const isMade = made.length === 1 && isPlain(made[0]!.node);
    if (!isTotal || isNumber || made.length === 0 || isMade) return true;
    if (!only || !made.every(({ node }) => isPlain(node))) return false;
    const parts = made.map((term) => termValue(term).rational!);
    const whole = termValue(only).rational!;
    if (!whole.isNegative && arePlacesOf(whole, parts, this.page.base)) return true;
    return parts.every((part) => this.page.numbers.has(part.absolute().toString()));
  }
}

/** Whether a cut is only made to be closed again, so that nothing is explained by it. */
function isUndone([first]: Found, [next]: Found): boolean {
  return first !== undefined && next !== undefined && moveSpec(next.move).undoes === first.move;
}

/** Of ways with as many stages the one that touches less, and then the one that ends in working out. */
function shortestFirst(all: readonly Explained[]): readonly Explained[] {
  const size = ({ stages }: Explained) => stages.flat().length;
  const isEnd = ({ stages }: Explained) => stages.at(-1)?.some(({ move }) => moveSpec(move).isEnd);
  const ending = (own: Explained) => (isEnd(own) ? 0 : 1);
  return [...all].sort((a, b) => size(a) - size(b) || ending(a) - ending(b));
}

/** Ways that differ in their laws, not only in what they pass. */
function distinct(all: readonly Explained[]): readonly Explained[] {
  const seen = new Set<string>();
  return all.filter(({ stages }) => {
    const key = stages.map((stage) => stage.map(({ move: id }) => id).join()).join('|');
    return seen.has(key) ? false : seen.add(key);
  });
}

/**
 * Whether what was taken apart by places is put together by places: of each number neighbouring pieces go into each
 * new one. By any other choice of pieces any two sums go together.
 */
function keepsPlaces(
  split: readonly (readonly Term[])[],
  terms: readonly Term[],
  made: readonly Term[],
): boolean {
  if (split.length === 0) return true;
  return groupedWays(terms, made).some((way) =>
    way.every(([from]) =>
      split.every((pieces) => areNeighbours(pieces.map((own) => from.includes(own)))),
    ),
  );
}

/**
 * Whether what was taken apart is put together in part only, and with something that stood beside it, while products are
 * worked out: by that, some product and its neighbour go into almost any two numbers. Numbers alone may be so put
 * together, as 38 + 20 + 7 is; letters are told apart by their powers.
 */
function mixes(old: readonly Term[], terms: readonly Term[], made: readonly Term[]): boolean {
  const known = new Set(flat(old).map(termKey));
  const isNew = (term: Term) => !known.has(termKey(term));
  const count = flat(terms).filter(isNew).length;
  return groupedWays(terms, made).every((way) =>
    way.some(([from]) => {
      const own = from.filter(isNew).length;
      const isPart = own > 0 && own < count && own < from.length;
      return isPart && from.some(({ node }) => !isPlain(node)) && from.every(isConstant);
    }),
  );
}

function isConstant(term: Term): boolean {
  return termValue(term).rational?.isConstant ?? false;
}

function isNumberAlone(terms: readonly Term[]): boolean {
  const [only, ...more] = terms;
  return more.length === 0 && only !== undefined && isPlain(only.node);
}

/** Whether what is true stands in one row. */
function areNeighbours(marks: readonly boolean[]): boolean {
  const first = marks.indexOf(true);
  return first < 0 || !marks.slice(first, marks.lastIndexOf(true)).includes(false);
}

interface Replaced {
  readonly from: readonly Term[];
  readonly to: readonly Term[];
}

/** A line with groups of its terms replaced, each where its first term stood. */
function replaced(line: readonly Term[], groups: readonly Replaced[]): readonly Term[] {
  const made: Term[] = [];
  const open = groups.map(({ from, to }) => ({ keys: from.map(termKey), to, isPut: false }));
  for (const term of flat(line)) {
    const own = open.find(({ keys }) => keys.includes(termKey(term)));
    if (!own) {
      made.push(term);
      continue;
    }
    own.keys.splice(own.keys.indexOf(termKey(term)), 1);
    if (!own.isPut) made.push(...own.to);
    own.isPut = true;
  }
  for (const { isPut, to } of open) if (!isPut) made.push(...to);
  return made;
}

interface Routed extends Replaced {
  readonly path: Path;
}

/** Stages of several groups in one row: at each, all groups whose next moves are of one kind take them together. */
function merge(old: readonly Term[], groups: readonly Routed[]): Explained {
  const done = groups.map(() => 0);
  const stages: Found[] = [];
  const between: (readonly Term[])[] = [];
  for (;;) {
    const next = groups.findIndex(({ path }, k) => done[k]! < path.stages.length);
    if (next < 0) break;
    const kind = kindOf(groups[next]!.path.stages[done[next]!]![0]!);
    const taken: Move[] = [];
    groups.forEach(({ path }, k) => {
      const stage = path.stages[done[k]!];
      if (!stage || kindOf(stage[0]!) !== kind) return;
      taken.push(...stage);
      done[k]!++;
    });
    stages.push(taken);
    between.push(
      replaced(
        old,
        groups.map(({ from, to, path }, k) => ({
          from,
          to:
            done[k] === 0
              ? from
              : done[k] === path.stages.length
                ? to
                : path.between[done[k]! - 1]!,
        })),
      ),
    );
  }
  return { stages, between: between.slice(0, -1), isLawful: stages.length === 1 };
}
