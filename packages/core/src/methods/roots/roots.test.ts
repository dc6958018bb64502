import fc from 'fast-check';
import { answerText } from '../../account/answer-text.ts';
import { rootOf } from '../../account/root.ts';
import { certainties } from '../../compare/looked-at.ts';
import { compare } from '../../compare/compare.ts';
import { cost } from '../../compare/counted/cost.ts';
import { foresee } from '../../compare/looked-at.ts';
import { levels } from '../../compare/counted/levels.ts';
import { stepLabels } from '../../compare/looked-at.ts';
import { numeral } from '../../exact/numeral.ts';
import { wholeRoot } from '../../exact/whole-root.ts';
import { squareGround } from '../../ground/square.ts';
import { speakerFor } from '../../phrases/speaker.ts';
import { DEFAULT_VOCABULARY } from '../../phrases/vocabulary.ts';
import { marksOf, problemFrom, slipAnswers, worked } from '../../testing/work.ts';
import { registry } from '../index.ts';
import { refusalText } from '../method.ts';
import { planRoot } from './root-plan.ts';

describe('the whole root', () => {
  it('is the greatest whole number whose square is not above', () => {
    fc.assert(
      fc.property(fc.bigInt({ min: 0n, max: 10n ** 60n }), (of) => {
        const root = wholeRoot(of);
        expect(root * root <= of && of < (root + 1n) * (root + 1n)).toBe(true);
      }),
    );
    expect(() => wholeRoot(-1n)).toThrow(RangeError);
  });
});

describe('digit pairs', () => {
  const tried = (text: string, trials: string) =>
    planRoot(numeral(text), { stop: 'whole-number', trials }).digits.map(({ trials: all }) =>
      all.map(({ digit, fits }) => `${digit}${fits ? '' : '!'}`).join(' '),
    );

  it('pair from the point and try digits until one fits', () => {
    const { digits } = planRoot(numeral('7396'), { stop: 'whole-number' });
    expect(digits.map(({ pair, there, product, left }) => [pair, there, product, left])).toEqual([
      [73n, 73n, 64n, 9n],
      [96n, 996n, 996n, 0n],
    ]);
    expect(tried('7396', 'from-a-guess')).toEqual(['8 9!', '7! 6']);
    expect(tried('7396', 'one-by-one')).toEqual(['8 9!', '1 2 3 4 5 6 7!']);
    // A guess of ten and more is no digit, and nine can be the greatest that there is.
    expect(tried('399', 'from-a-guess')).toEqual(['1 2!', '9']);
    expect(tried('10609', 'from-a-guess')).toEqual(['1 2!', '1!', '4! 3']);
  });

  it.each([
    ['√7396', 'two-places', '86'],
    ['√72', 'whole-number', '8 r 8'],
    ['√72', 'one-place', '8.4 r 1.44'],
    ['√72', 'three-places', '8.485 r 0.004775'],
    ['√0.0049', 'two-places', '0.07'],
    ['√20.25', 'whole-number', '4 r 4.25'],
    ['√20.25', 'one-place', '4.5'],
    ['√95.3', 'whole-number', '9 r 14.3'],
    ['√50', 'one-place', '7.0 r 1'],
    ['√640000', 'whole-number', '800'],
    ['√0', 'two-places', '0'],
    ['√2', 'two-places', '1.41 r 0.0119'],
    ['√1100100_2', 'two-places', '1010'],
    ['√51_8', 'one-place', '6.3 r 0.27'],
  ])('%s to %s is %s', (text, stop, answer) => {
    const trace = worked('digit-pairs', text, { school: { stop } });
    expect(answerText(trace)).toBe(answer);
    const { root, left, under } = rootOf(trace);
    expect(root.times(root).times(under).plus(left).equals(trace.total)).toBe(true);
  });

  it('give a digit the worth of what it lays', () => {
    const trace = worked('digit-pairs', '√7396');
    const root = marksOf(trace).filter(({ spot }) => spot.area === 'root');
    expect(root.map(({ glyph, worth, place }) => [glyph, worth.toString(), place])).toEqual([
      ['8', '6400', 1],
      ['6', '996', 0],
    ]);
    const all = levels(trace);
    expect(
      all
        .map(({ written, owed }) => `${written}+${owed}`)
        .filter((one, k, list) => one !== list[k - 1]),
    ).toEqual(['0+7396', '6400+996', '7396+0']);
    const sure = certainties(trace).map(({ figures }) => figures);
    expect([sure[0], sure[1], sure.at(-1)]).toEqual(['', '8', '86']);
    expect(foresee(trace)).toEqual([{ kind: 'root digits', places: [], times: 2 }]);
  });

  it('slip as learners do: the root not doubled, the corner forgotten', () => {
    const [smaller, short, undoubled, oneBox] = slipAnswers('digit-pairs', '√7396');
    expect([smaller, short]).toEqual(['smaller-square-taken@1 7396', 'one-figure-down@1 6499']);
    expect(undoubled).toMatch(/^not-doubled@1 /);
    expect(oneBox).toMatch(/^one-box@1 /);
    const slipped = worked('digit-pairs', '√7396', {
      slips: [{ slip: 'one-box', occurrence: 1 }],
      school: { stop: 'whole-number' },
    });
    // The corner of 6 by 6 is not taken away, though the digit lays it.
    expect(slipped.answer.minus(slipped.total).toString()).toBe('36');
    expect(answerText(slipped)).toBe('86 r 36');
  });

  it('are labelled in a word or two', () => {
    const labels = (id: string, text: string) => {
      const trace = worked(id, text);
      return stepLabels(trace, speakerFor(trace.problem, DEFAULT_VOCABULARY));
    };
    expect(labels('digit-pairs', '√7396')).toEqual([
      '= 8',
      '900 left',
      '↓ 96',
      '16▢',
      '7?',
      '6?',
      '= 6',
      '0 left',
    ]);
    expect(labels('prime-pairs', '√12')).toEqual(['÷ 2', '÷ 2', '÷ 3', 'out 2', '= 2√3']);
    expect(labels('digit-pairs', '√72').at(-1)).toBe('left over');
  });
});

describe('prime pairs', () => {
  it.each([
    ['√7396', '86'],
    ['√72', '6√2'],
    ['√15', '√15'],
    ['√360', '6√10'],
    ['√1', '1'],
    ['√0', '0'],
    ['√999999999989', '√999999999989'],
  ])('%s is %s', (text, answer) => {
    expect(answerText(worked('prime-pairs', text))).toBe(answer);
  });

  it('say what comes out and what does not, before and while they work', () => {
    expect(foresee(worked('prime-pairs', '√72'))).toEqual([
      { kind: 'prime pairs', places: [], times: 2 },
      { kind: 'prime alone', places: [], times: 1 },
    ]);
    expect(cost(worked('prime-pairs', '√72'))).toMatchObject({
      facts: 5,
      additions: 0,
      carries: 0,
    });
    expect(slipAnswers('prime-pairs', '√72')).toEqual([
      'both-out@1 288',
      'both-out@2 648',
      'unpaired-lost@1 36',
      'pairs-added@1 50',
    ]);
  });

  it('refuse what has no primes here', () => {
    const reason = (text: string) => {
      const accepted = registry.get('prime-pairs').accepts(problemFrom(text));
      return accepted.ok ? '' : refusalText(accepted.reason);
    };
    expect(reason('√20.25')).toMatch(/whole numbers apart/);
    expect(reason(`√${10n ** 13n}`)).toMatch(/not looked for/);
    expect(reason('46 × 58')).toMatch(/does not work a product/);
  });
});

describe('the square of a root', () => {
  const ground = (text: string, ...ids: string[]) =>
    squareGround(
      compare(
        problemFrom(text),
        ids.map((id) => ({ method: registry.get(id) })),
      ),
    );

  it('is tiled by its square and its strips', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 99999 }), (n) => {
        const square = ground(`√${n}`, 'digit-pairs', 'prime-pairs')!;
        const area = square.parts
          .flatMap(({ boxes }) => boxes)
          .reduce((sum, { width, height }) => sum + width * height, 0);
        expect(area).toBeCloseTo(1, 9);
        const laid = square.parts.reduce(
          (sum, { worth }) => sum + Number(worth.numerator) / Number(worth.denominator),
          0,
        );
        const left = square.left
          ? Number(square.left.worth.numerator) / Number(square.left.worth.denominator)
          : 0;
        expect(laid + left).toBeCloseTo(n, 6);
      }),
      { numRuns: 60 },
    );
  });

  it('names its strips, and draws equal squares where no digits are looked for', () => {
    const both = ground('√7396', 'prime-pairs', 'digit-pairs')!;
    expect(both.parts.map(({ text }) => text)).toEqual(['80 × 80', '2 × 80 × 6 + 6 × 6']);
    expect(both.widths.map(({ text }) => text)).toEqual(['80', '6']);
    const alone = ground('√72', 'prime-pairs')!;
    expect(alone.parts.map(({ text, boxes }) => [text, boxes.length])).toEqual([['2 × 6 × 6', 2]]);
    expect(ground('√26', 'prime-pairs')).toBeNull();
    expect(ground('√0', 'digit-pairs')).toBeNull();
  });
});
