import { isTaken } from '../../problem/problem.ts';
import { where } from '../../account/chance.ts';
import type { Entry, Mark } from '../../account/account.ts';
import type { Scribe } from '../../account/scribe.ts';
import { Exact } from '../../exact/exact.ts';
import type { Problem } from '../../problem/problem.ts';
import { termWriting } from './gather.ts';
import { polynomialPhrases } from './polynomial-words.ts';
import { FIRST_TERM_ONLY } from './schools.ts';
import { isNegative, listOf } from './term-list.ts';
import { termsCut } from '../../account/cut.ts';

const { phrase } = polynomialPhrases;

/** A term of the question, as it is written and as it counts. */
export interface AskedTerm {
  readonly operand: number;
  /** Where it stands in its operand, from the first on. */
  readonly index: number;
  readonly part: number;
  /** As it is written, before any minus in front of its bracket. */
  readonly written: Exact;
  readonly entry: Entry;
  /** Whether a minus stands before its bracket, so that its sign must be turned. */
  readonly turned: boolean;
}

/** Opens the account of a sum or difference of terms: all of them are owed, with the signs they count with. */
export function openTerms(scribe: Scribe, problem: Problem): readonly AskedTerm[] {
  scribe.openSum(problem.operands.map(termsCut));
  return problem.operands.flatMap((operand, k) => {
    const list = listOf(operand);
    const bare = list.length === 1 && !isNegative(list[0]!);
    return list.map((written, index): AskedTerm => {
      const part = list.length - 1 - index;
      return {
        operand: k,
        index,
        part,
        written,
        entry: scribe.owes(k, part),
        turned: isTaken(problem, k) && !bare,
      };
    });
  });
}

/** Turns the sign of a term behind a minus; the slip leaves it as it is, but for the first one. */
export function turnTerm(
  scribe: Scribe,
  { entry, written, index, operand, part }: AskedTerm,
  isFirst: boolean,
  spot: Mark['spot'],
): Mark {
  const kept = scribe.slip(FIRST_TERM_ONLY.id, index > 0, { at: where('term', operand, part) });
  const made = kept ? written : written.negate();
  const [mark] = scribe.step({
    law: 'sign',
    phase: { kind: 'signs' },
    about: { factors: [Exact.of(-1n), written] },
    takes: [entry],
    strikes: [entry],
    writes: [termWriting('turned term', made, isFirst, spot)],
    phrase: phrase('terms.turn', { term: written, made, slip: kept ? FIRST_TERM_ONLY.id : '' }),
  });
  return mark!;
}
