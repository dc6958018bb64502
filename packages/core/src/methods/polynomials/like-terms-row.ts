import { isTaken } from '../../problem/problem.ts';
import type { Entry, Mark, Trace } from '../../account/account.ts';
import type { Scribe } from '../../account/scribe.ts';
import { signedTermText } from '../../exact/terms-text.ts';
import type { Problem } from '../../problem/problem.ts';
import { draftSheet } from '../../sheet/draft-sheet.ts';
import type { Sheet, SheetSign } from '../../sheet/sheet.ts';
import { slipOf } from '../../slips/catalogue.ts';
import { defineMethod } from '../method.ts';
import { marksIn } from '../shared/place-columns.ts';
import { asOneTerm, combineKind, groupKinds, nothing, termWriting } from './gather.ts';
import { openTerms, turnTerm, type AskedTerm } from './like-work.ts';
import { BRACKET, edgesOf, heightOf, inLine, termWidth } from './line-layout.ts';
import { KIND_SLIPS } from './letter-slips.ts';
import { polynomialPhrases } from './polynomial-words.ts';
import { FIRST_TERM_ONLY, MISSED_TERM, UNLIKE_GATHERED } from './schools.ts';
import { acceptsTerms, inRow, likeTerms, listOf, type LikeTerms } from './term-list.ts';

const { phrase } = polynomialPhrases;

export const likeTermsRow = defineMethod({
  id: 'like-terms-row',
  family: 'polynomials',
  name: 'Like terms in a row',
  shortName: 'In a row',
  alsoCalled: ['collecting like terms', 'simplifying an expression'],
  mind: 'Some people call this simplifying too; with fractions that word means lowest terms.',
  summary:
    'Brackets are opened, like terms are underlined alike, crossed off as they are copied side by side, and put together.',
  why: 'A sum may be put in any order, and so many of a thing and so many more of it are that many together.',
  leadsTo: 'Equations: what is alike is brought together before anything is solved.',
  medium: 'on paper',
  direction: 'along the line; then from the highest power down',
  freeOrder: false,
  schools: [],
  slips: [
    FIRST_TERM_ONLY,
    MISSED_TERM,
    UNLIKE_GATHERED,
    ...KIND_SLIPS,
    slipOf('sum-joined-to-one-term'),
  ],
  linesLike: { rank: 11, moves: ['like-terms'] },
  phrases: polynomialPhrases.book,
  accepts: acceptsTerms('sum', 'difference'),
  work,
  sheet,
});

function work(scribe: Scribe, problem: Problem): Trace {
  const asked = openTerms(scribe, problem);
  asked.forEach((term, column) => {
    const { operand, part } = term;
    const spot = { area: 'asked', row: operand, column };
    scribe.give(operand, part, 'operand part', spot, looksOf(term, problem));
  });
  const line = opened(scribe, asked);
  const kinds = likeTerms(line);
  groupKinds(scribe, kinds);
  const copies = copied(scribe, kinds);
  const answer: Mark[] = [];
  copies.forEach(({ letters, members }, k) => {
    if (members.length === 0) return;
    const next = copies[k + 1]?.members;
    const wrong = scribe.slip(UNLIKE_GATHERED.id, next !== undefined && next.length > 0, {
      at: scribe.kindWhere(letters),
    });
    if (wrong) members.push(next!.shift()!);
    const spot = { area: 'answer', row: 0, column: k };
    const slip = wrong ? UNLIKE_GATHERED.id : '';
    const isFirst = answer.length === 0;
    answer.push(...combineKind(scribe, letters, members, { isFirst, spot, slip, strikes: false }));
  });
  const made = answer.length > 0 ? asOneTerm(scribe, answer) : [nothing(scribe)];
  return scribe.close(made, phrase('terms.answer', {}));
}

/**
 * A term in the given line: behind the bracket or the sign that is printed before its operand without a plus of
 * its own, everywhere else with its sign.
 */
function looksOf({ written, index, operand }: AskedTerm, problem: Problem): string {
  const { list } = problem.operands[operand]!.terms!;
  const isPrinted = isTaken(problem, operand) || list.length > 1 || operand === 0;
  return inRow(written, index === 0 && isPrinted);
}

/** The line without brackets: terms behind a minus turn their signs, all others are copied. */
function opened(scribe: Scribe, asked: readonly AskedTerm[]): readonly Entry[] {
  if (asked.every(({ turned }) => !turned)) return asked.map(({ entry }) => entry);
  const plain = asked.filter(({ turned }) => !turned);
  const spot = (term: AskedTerm) => ({ area: 'line', row: 0, column: asked.indexOf(term) });
  const written = new Map<AskedTerm, Mark>();
  if (plain.length > 0) {
    const marks = scribe.step({
      law: 'reorder',
      phase: { kind: 'signs' },
      takes: plain.map(({ entry }) => entry),
      writes: plain.map((term) => ({
        ...termWriting('copied term', term.entry.worth, spot(term).column === 0, spot(term)),
        from: [term.entry],
      })),
      phrase: phrase('terms.unbracket', { terms: plain.map(({ entry }) => entry.worth) }),
    });
    plain.forEach((term, k) => written.set(term, marks[k]!));
  }
  for (const term of asked.filter(({ turned }) => turned)) {
    const at = spot(term);
    written.set(term, turnTerm(scribe, term, at.column === 0, at));
  }
  return asked.map((term) => written.get(term)!);
}

/** Kind by kind, terms are crossed and copied side by side. */
function copied(
  scribe: Scribe,
  kinds: readonly LikeTerms<Entry>[],
): readonly { readonly letters: string; readonly members: Entry[] }[] {
  let column = 0;
  return kinds.map(({ letters, members }) => {
    const missed = scribe.slip(MISSED_TERM.id, members.length > 1, {
      at: scribe.kindWhere(letters),
    });
    const shown = missed ? members.slice(0, -1) : members;
    const marks = scribe.step({
      law: 'reorder',
      phase: { kind: 'copy' },
      takes: members,
      strikes: shown,
      writes: shown.map((entry) => ({
        ...termWriting('copied term', entry.worth, column === 0, {
          area: 'copy',
          row: 0,
          column: column++,
        }),
        from: [entry],
      })),
      phrase: phrase('terms.copy', { terms: shown.map(({ worth }) => worth), letters, missed }),
    });
    return { letters, members: [...marks] };
  });
}

const GAP = 0.5;

function sheet(trace: Trace): Sheet {
  const { givens } = trace;
  const [line, copies, answers] = ['line', 'copy', 'answer'].map((area) => marksIn(trace, area));
  const heights = [givens, line!, copies!, answers!].map((row) =>
    row.length > 0 ? heightOf(row) : 0,
  );
  const tops = edgesOf(heights.map((height) => (height > 0 ? height + GAP : 0)));
  const asked = askedEdges(trace);
  const edges = [line!, copies!, answers!].map((row) => {
    const most = Math.max(0, ...row.map(({ spot }) => spot.column + 1));
    const widths = Array.from({ length: most }, (_, column) => {
      const mark = row.find(({ spot }) => spot.column === column);
      return mark ? termWidth(mark.glyph) + 0.3 : 0;
    });
    return edgesOf(widths, 1);
  });
  const kinds = kindNumbers(trace);
  const alike = (worth: Mark['worth']) => {
    const kind = kinds.get(worth.letters);
    return kind === undefined ? {} : { alike: kind };
  };
  const marked = heights[1]! > 0 ? 'line' : 'asked';
  return draftSheet(trace, {
    areas: {
      asked: ({ column }, { worth }) => ({
        ...inLine(asked.edges, 2 * column, 0, heights[0]!),
        ...(marked === 'asked' ? alike(worth) : {}),
      }),
      line: ({ column }, { worth }) => ({
        ...inLine(edges[0]!, column, tops[1]!, heights[1]!),
        ...alike(worth),
      }),
      copy: ({ column }) => inLine(edges[1]!, column, tops[2]!, heights[2]!),
      answer: ({ column }) => ({
        ...inLine(edges[2]!, column, tops[3]!, heights[3]!),
        ringed: true,
      }),
    },
    rulings: [],
    signs: [
      ...asked.signs,
      ...[line!, copies!, answers!].flatMap((row, k): SheetSign[] => {
        const box = { x: 0, y: tops[k + 1]!, width: 1, height: heights[k + 1]! };
        return row[0] ? [{ sign: 'equals', ...box, with: row[0].id }] : [];
      }),
    ],
  });
}

/** Columns of the given line in turn with the gaps before the next, and the signs that stand in them. */
function askedEdges({ givens, problem }: Trace) {
  const signs: SheetSign[] = [];
  let x = 1;
  const spans: number[] = [];
  const height = heightOf(givens);
  problem.operands.forEach((operand, k) => {
    const own = givens.filter((given) => given.operand === k);
    const list = listOf(operand);
    const taken = isTaken(problem, k);
    const closed = own.length > 1 || (taken && !signedTermText(list[0]!).startsWith('+'));
    const sign = taken ? 'minus' : k > 0 && own.length > 1 ? 'plus' : null;
    if (sign) {
      signs.push({ sign, x, y: 0, width: 0.8, height });
      x += 0.8;
    } else if (k > 0) x += 0.15;
    if (closed) {
      signs.push({ sign: 'open', x, y: 0, width: BRACKET, height });
      x += BRACKET;
    }
    for (const { glyph } of own) {
      spans.push(x, x + termWidth(glyph));
      x += termWidth(glyph);
    }
    if (closed) {
      signs.push({ sign: 'close', x, y: 0, width: BRACKET, height });
      x += BRACKET;
    }
  });
  return { edges: spans, signs };
}

/** Kinds with more than one term, numbered; the number tells how they are underlined. */
function kindNumbers(trace: Trace): ReadonlyMap<string, number> {
  const { start, steps, groups } = trace;
  const entries = [...start, ...steps.flatMap(({ gives }) => gives)];
  const worths = new Map(entries.map(({ id, worth }) => [id, worth]));
  const many = groups.filter(({ role, marks }) => role === 'like terms' && marks.length > 1);
  return new Map(many.map(({ marks }, kind) => [worths.get(marks[0]!)!.letters, kind]));
}
