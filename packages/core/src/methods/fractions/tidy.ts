import type { Entry, Mark, School, Trace } from '../../account/account.ts';
import { where } from '../../account/chance.ts';
import type { Scribe } from '../../account/scribe.ts';
import { Exact } from '../../exact/exact.ts';
import { fracText, magnitude, mixedFracText, worthOf, type Frac } from './fraction.ts';
import { tidied, type TidyingSlip } from './fraction-slips.ts';
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
  const wrong = tidied(scribe, frac);
  if (wrong) {
    const { made, slip } = wrong;
    const words = { slip, from: fracText(frac), made: fracText(made) };
    const isLeft = slip === 'unreduced';
    const [, simplified] = scribe.step({
      law: 'scale-both',
      phase: { kind: 'simplify' },
      takes: isLeft ? [] : [last],
      writes: isLeft
        ? []
        : [
            { ...sideNumber(SIDE_WORDS[slip], [row, 1]), role: 'words' },
            writing('simplified', fracText(made), worthOf(made), [row, 0]),
          ],
      phrase: phrase('fraction.slipped-tidy', words),
    });
    if (simplified) [now, last, row] = [made, simplified, row + 1];
  } else if (frac.top !== 0n) {
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

/** What stands beside a fraction that is reduced wrongly. */
const SIDE_WORDS: Readonly<Record<TidyingSlip, string>> = {
  unreduced: '',
  'one-number-reduced': 'one only',
  'unlike-factors-reduced': 'unlike',
  'figures-struck': 'struck',
};

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
    return scribe.close([entry], name);
  }
  const minus = frac.top < 0n ? -1n : 1n;
  const rest: Frac = { top: frac.top - minus * wholes * frac.bottom, bottom: frac.bottom };
  const all = others * frac.bottom + frac.top;
  const turns = asMixed && whole === null;
  const slip = formSlip(scribe, { frac, rest, wholes, others, turns });
  const right = mixedFracText(all / frac.bottom, { top: all % frac.bottom, bottom: frac.bottom });
  const made = slippedForm(slip, { frac, rest, wholes });
  const text = made ? mixedFracText(made.whole, made.part) : right;
  // A fraction that is all wholes becomes a number; a whole and a part are put together.
  const isWholes = whole === null && rest.top === 0n && frac.bottom !== 1n && frac.top !== 0n;
  const [answer] = scribe.step({
    law: isWholes ? 'scale-both' : 'place-value',
    phase: { kind: 'answer' },
    takes,
    writes: [
      writing('answer', text, made ? Exact.of(made.whole).plus(worthOf(made.part)) : worth, [
        row,
        0,
      ]),
    ],
    phrase: asMixed
      ? phrase('fraction.form', {
          top: `${frac.top}`,
          bottom: `${frac.bottom}`,
          whole: `${minus * wholes}`,
          rest: `${rest.top}`,
          others: `${others}`,
          answer: text,
          slip,
        })
      : frac.top === 0n
        ? phrase('fraction.named', { name: `The answer is **${text}**.` })
        : phrase('fraction.together', {
            whole: `${others}`,
            part: fracText(frac),
            answer: text,
            forgotten: slip === 'whole-forgotten',
          }),
  });
  return scribe.close([answer!], name);
}

/** Slips in the form of a mixed answer. */
const FORM_IDS = [
  'whole-forgotten',
  'whole-lost-turning-back',
  'rest-and-quotient-exchanged',
] as const;
type FormSlip = (typeof FORM_IDS)[number] | '';

/** A result that is turned into a mixed number: its fraction, what is over, and the wholes of both sorts. */
interface Turning {
  readonly frac: Frac;
  readonly rest: Frac;
  readonly wholes: bigint;
}

function formSlip(
  scribe: Scribe,
  of: Turning & { readonly others: bigint; readonly turns: boolean },
): FormSlip {
  const { frac, rest, wholes, others, turns: isTurned } = of;
  const turns = isTurned && frac.top > 0n && rest.top > 0n;
  const may: Readonly<Record<(typeof FORM_IDS)[number], boolean>> = {
    'whole-forgotten': others > 0n && frac.top > 0n,
    'whole-lost-turning-back': turns,
    'rest-and-quotient-exchanged': turns && wholes !== rest.top,
  };
  return FORM_IDS.filter((id) => scribe.slip(id, may[id], { at: where('answer', 0) }))[0] ?? '';
}

/** The whole and the part that are written; null where they are written as they should be. */
function slippedForm(slip: FormSlip, { frac, rest, wholes }: Turning) {
  switch (slip) {
    case 'whole-forgotten':
      return { whole: 0n, part: frac };
    case 'whole-lost-turning-back':
      return { whole: 0n, part: rest };
    case 'rest-and-quotient-exchanged':
      return { whole: rest.top, part: { top: wholes, bottom: frac.bottom } };
    case '':
      return null;
  }
}
