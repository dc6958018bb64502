import fc from 'fast-check';
import type { Mark, Step, Trace } from '../account/account.ts';
import { sayPlain } from '../phrases/phrasebook.ts';
import { speakerFor } from '../phrases/speaker.ts';
import { DEFAULT_VOCABULARY } from '../phrases/vocabulary.ts';
import { choiceName, everySchool, problemsFor } from '../testing/arbitraries.ts';
import { worked } from '../testing/work.ts';
import { registry } from './index.ts';

/** What a sentence says is written, and whether it is. */
interface Claim {
  readonly pattern: RegExp;
  readonly holds: (said: readonly string[], step: Step, trace: Trace) => boolean;
}

/** What stands beside the number that a step writes. */
const BESIDE: ReadonlySet<Mark['role']> = new Set(['carry', 'remainder']);

/** The figures that a step writes as one number, largest place first. */
function numberWritten({ gives }: Step): string {
  return gives
    .filter(({ role, medium }) => !BESIDE.has(role) && medium === 'paper')
    .filter(({ spot }) => spot.area !== 'dividend')
    .sort((a, b) => (b.place ?? 0) - (a.place ?? 0))
    .map(({ glyph }) => glyph)
    .join('');
}

const gives = ({ gives: marks }: Step, holds: (mark: Mark) => boolean) => marks.some(holds);

/** Every way in which the methods say where something is written. */
const CLAIMS: readonly Claim[] = [
  {
    pattern: /\bwrite (\d+)\b(?! first| times)/,
    holds: ([figures], step) => numberWritten(step).endsWith(figures!),
  },
  {
    pattern: /\bcarry (\d+)\b/,
    holds: ([figures], step) =>
      gives(step, ({ role, glyph }) => role === 'carry' && glyph === figures),
  },
  {
    pattern: /: (\d) above the diagonal, (\d) below\b/,
    holds: ([upper, lower], step) =>
      gives(step, ({ spot, glyph }) => spot.area.endsWith('upper') && glyph === upper) &&
      gives(step, ({ spot, glyph }) => spot.area.endsWith('lower') && glyph === lower),
  },
  {
    pattern: /\bscratch the (\d+), go on with (\d+)/,
    holds: ([struck, kept], step, trace) => {
      const figures = trace.givens.filter(({ owed }) => owed && step.strikes.includes(owed));
      return (
        figures.some(({ glyph }) => glyph === struck) &&
        gives(step, ({ role, glyph }) => role === 'kept figure' && glyph === kept) &&
        gives(step, ({ role }) => role === 'scratch')
      );
    },
  },
  {
    pattern: /a small one before the \d, and a small one below/,
    holds: (_, step) =>
      step.gives.length === 2 &&
      step.gives.every(({ role, glyph }) => role === 'little one' && glyph === '1'),
  },
  {
    pattern: /: write (\d+), (\d+) goes to the next figure/,
    holds: ([figure, rest], step) =>
      gives(step, ({ spot, glyph }) => spot.area === 'quotient' && glyph === figure) &&
      gives(step, ({ role, glyph }) => role === 'remainder' && glyph === rest),
  },
];

const named = everySchool
  .filter(
    ({ method }) =>
      !['polynomials', 'fractions', 'fraction-products', 'roots'].includes(method.family),
  )
  .map((choice) => [choiceName(choice), choice] as const);

describe.each(named)('the words of %s', (_, { method, school }) => {
  it('say only that something is written which is', () => {
    fc.assert(
      fc.property(problemsFor(method), (problem) => {
        if (problem.base !== 10) return;
        const trace = method.trace(problem, { school });
        const say = speakerFor(problem, DEFAULT_VOCABULARY);
        for (const step of trace.steps) {
          const sentence = sayPlain(method.phrases, step.phrase, 'digit', say);
          for (const { pattern, holds } of CLAIMS) {
            const [, ...said] = pattern.exec(sentence) ?? [];
            if (!pattern.test(sentence)) continue;
            expect([sentence, holds(said, step, trace)]).toEqual([sentence, true]);
          }
        }
      }),
      { numRuns: 25 },
    );
  });
});

it('each way of saying it is said somewhere', () => {
  const examples: readonly (readonly [string, string])[] = [
    ['column-multiplication', '46 × 58'],
    ['lattice', '46 × 58'],
    ['scratch-addition', '7+9+4+8'],
    ['equal-additions', '642 − 387'],
    ['short-division', '952 ÷ 7'],
  ];
  const sentences = examples.flatMap(([id, text]) => {
    const trace = worked(id, text);
    const say = speakerFor(trace.problem, DEFAULT_VOCABULARY);
    return trace.steps.map(({ phrase }) =>
      sayPlain(registry.get(id).phrases, phrase, 'digit', say),
    );
  });
  const silent = CLAIMS.filter(({ pattern }) => !sentences.some((one) => pattern.test(one)));
  expect(silent.map(({ pattern }) => pattern.source)).toEqual([]);
});
