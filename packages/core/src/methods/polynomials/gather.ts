import type { Entry, Mark } from '../../account/account.ts';
import type { Scribe, Writing } from '../../account/scribe.ts';
import { Exact } from '../../exact/exact.ts';
import { joinedToOne, slippedKind } from './letter-slips.ts';
import { polynomialPhrases } from './polynomial-words.ts';
import { UNLIKE_GATHERED } from './schools.ts';
import { inRow, likeTerms, type LikeTerms } from './term-list.ts';

const { phrase } = polynomialPhrases;

/** A term written whole. */
export function termWriting(
  role: Writing['role'],
  worth: Exact,
  isFirst: boolean,
  spot: Writing['spot'],
): Writing {
  return { role, count: 0, place: 0, glyph: inRow(worth, isFirst), worth, spot };
}

/** Names every kind of terms as a group; kinds of one term too, so that together they are the whole. */
export function groupKinds(scribe: Scribe, kinds: readonly LikeTerms<Entry>[]): void {
  kinds.forEach(({ letters, members }) => {
    scribe.group(
      `kind-${letters || 'one'}`,
      'like terms',
      members,
      phrase('terms.kind', { letters }),
    );
  });
}

/**
 * Gathers terms kind by kind into one line, highest power first. Terms that cancel are crossed out and
 * write nothing. Returns the marks of the line, `0` alone when nothing is left.
 */
export function gatherTerms(scribe: Scribe, terms: readonly Entry[]): readonly Mark[] {
  const kinds = likeTerms(terms);
  groupKinds(scribe, kinds);
  const left = kinds.map(({ letters, members }) => ({ letters, members: [...members] }));
  const line: Mark[] = [];
  left.forEach((kind, k) => {
    const next = left[k + 1]?.members;
    const wrong =
      kind.members.length > 0 &&
      scribe.slip(UNLIKE_GATHERED.id, next !== undefined && next.length > 0, {
        at: scribe.kindWhere(kind.letters),
      });
    if (wrong) kind.members.push(next!.shift()!);
    if (kind.members.length === 0) return;
    const spot = { area: 'answer', row: 0, column: k };
    const slip = wrong ? UNLIKE_GATHERED.id : '';
    line.push(
      ...combineKind(scribe, kind.letters, kind.members, {
        isFirst: line.length === 0,
        spot,
        slip,
        strikes: true,
      }),
    );
  });
  return line.length > 0 ? asOneTerm(scribe, line) : [nothing(scribe)];
}

/** The line as it is, or as the one term to which a learner joins it. */
export function asOneTerm(scribe: Scribe, line: readonly Mark[]): readonly Mark[] {
  const made = joinedToOne(
    scribe,
    line.map(({ worth }) => worth),
  );
  if (!made) return line;
  return scribe.step({
    law: 'like-terms',
    phase: { kind: 'gather' },
    takes: line,
    strikes: line,
    writes: [
      termWriting('answer', made, true, { area: 'answer', row: 0, column: line.length + 4 }),
    ],
    phrase: phrase('terms.joined', { terms: line.map(({ worth }) => worth), made }),
  });
}

interface Combining {
  readonly isFirst: boolean;
  readonly spot: Writing['spot'];
  readonly slip: string;
  /** Whether terms are crossed out as they are gathered; those that cancel always are. */
  readonly strikes: boolean;
}

/** Puts the terms of one kind together; a single one is copied, those that cancel write nothing. */
export function combineKind(
  scribe: Scribe,
  letters: string,
  members: readonly Entry[],
  { isFirst, spot, slip, strikes }: Combining,
): readonly Mark[] {
  const terms = members.map(({ worth }) => worth);
  const count = Exact.sum(terms.map(({ coefficient }) => coefficient));
  // The first is of the kind, whatever a learner puts to it.
  const due = count.times(terms[0]?.lettersOnly ?? Exact.ONE);
  const wrong = slippedKind(scribe, letters, terms, slip === '');
  const made = wrong?.made ?? due;
  const many = members.length > 1;
  return scribe.step({
    law: 'like-terms',
    phase: { kind: 'gather' },
    takes: members,
    strikes: strikes || made.isZero ? members : [],
    writes: made.isZero ? [] : [termWriting('answer', made, isFirst, spot)],
    phrase: many
      ? phrase('terms.gather', { terms, made, letters, slip: wrong?.slip ?? slip })
      : phrase('terms.alone', { term: made, letters }),
  });
}

/** Everything has come to nothing, which is written as a zero. */
export function nothing(scribe: Scribe): Mark {
  const [mark] = scribe.step({
    law: 'like-terms',
    phase: { kind: 'gather' },
    takes: [],
    writes: [
      {
        role: 'answer',
        count: 0,
        place: 0,
        worth: Exact.ZERO,
        spot: { area: 'answer', row: 0, column: 0 },
      },
    ],
    phrase: phrase('terms.nothing', {}),
  });
  return mark!;
}
