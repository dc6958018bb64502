import type { Entry, Mark, School, Trace } from '../../account/account.ts';
import type { Scribe } from '../../account/scribe.ts';
import { Exact } from '../../exact/exact.ts';
import { fracText, magnitude, mixedFracText, type Frac } from './fraction.ts';
import { divisionsOf, sideNumber, writing, type Place } from './fraction-work.ts';
import { fractionPhrases } from './fraction-words.ts';

const { phrase } = fractionPhrases;

/** What is to be brought into the form of an answer. */
export interface Untidy {
  readonly entry: Entry;
  readonly frac: Frac;
  /** Wholes that stand beside the fraction, with their mark; null where there are none. */
  readonly whole: { readonly entry: Mark; readonly count: bigint } | null;
}

/**
 * Brings a result to its asked form: simplified, always with a line of its own, improper fractions turned
 * back where a mixed number is asked, wholes and part put together. Lines follow each other from a row on.
 */
export function tidyUp(
  scribe: Scribe,
  { entry, frac, whole }: Untidy,
  school: School,
  from: number,
): Trace {
  let row = from;
  let [now, last] = [frac, entry];
  if (frac.top !== 0n) {
    for (const { by, how } of divisionsOf(frac, school)) {
      if (by === 1n) {
        saySimplest(scribe, now, how, row);
        row += 1;
        continue;
      }
      const at: Place = [row, 0];
      const small: Frac = { top: now.top / by, bottom: now.bottom / by };
      const [, made] = scribe.step({
        law: 'scale-both',
        phase: { kind: 'simplify' },
        about: { by: Exact.of(by) },
        takes: [last],
        writes: [
          sideNumber(`÷${by}`, [row, 1]),
          writing('simplified', fracText(small), last.worth, at),
        ],
        phrase: phrase('fraction.tidy', {
          top: `${now.top}`,
          bottom: `${now.bottom}`,
          by: `${by}`,
          how,
        }),
      });
      [now, last] = [small, made!];
      row += 1;
    }
  }
  return closed(scribe, { entry: last, frac: now, whole }, school, row);
}

/** Looking for a factor is a step also where there is none: it is said in words, and the fraction stays as it is. */
function saySimplest(scribe: Scribe, { top, bottom }: Frac, how: string, row: number): void {
  scribe.step({
    law: 'scale-both',
    phase: { kind: 'simplify' },
    about: { by: Exact.ONE },
    takes: [],
    writes: [{ ...sideNumber('already simplest', [row, 0]), role: 'words' }],
    phrase: phrase('fraction.tidy', { top: `${top}`, bottom: `${bottom}`, by: '1', how }),
  });
}

function closed(
  scribe: Scribe,
  { entry, frac, whole }: Untidy,
  school: School,
  row: number,
): Trace {
  const name = phrase('fraction.answer', {});
  const wholes = magnitude(frac.top) / frac.bottom;
  const others = whole?.count ?? 0n;
  const asMixed = school['answer'] !== 'fraction' && wholes > 0n;
  const takes = whole ? [whole.entry, entry] : [entry];
  const worth = Exact.sum(takes.map((one) => one.worth));
  if (!asMixed && !whole && frac.top !== 0n) {
    return scribe.close([entry as Mark], name);
  }
  const minus = frac.top < 0n ? -1n : 1n;
  const rest: Frac = { top: frac.top - minus * wholes * frac.bottom, bottom: frac.bottom };
  const all = others * frac.bottom + frac.top;
  const text = mixedFracText(all / frac.bottom, { top: all % frac.bottom, bottom: frac.bottom });
  const [answer] = scribe.step({
    law: 'place-value',
    phase: { kind: 'answer' },
    takes,
    writes: [writing('answer', text, worth, [row, 0])],
    phrase: asMixed
      ? phrase('fraction.form', {
          top: `${frac.top}`,
          bottom: `${frac.bottom}`,
          whole: `${minus * wholes}`,
          rest: `${rest.top}`,
          others: `${others}`,
          answer: text,
        })
      : frac.top === 0n
        ? phrase('fraction.named', { name: `The answer is **${text}**.` })
        : phrase('fraction.together', {
            whole: `${others}`,
            part: fracText(frac),
            answer: text,
          }),
  });
  return scribe.close([answer!], name);
}
