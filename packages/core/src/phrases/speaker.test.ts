import { Exact } from '../exact/exact.ts';
import {
  definePhrases,
  fixed,
  phrasePieces,
  plain,
  sayMarked,
  sayPlain,
  type Wording,
} from './phrasebook.ts';
import { Speaker } from './speaker.ts';
import { decodeVocabulary, DEFAULT_VOCABULARY, type Vocabulary } from './vocabulary.ts';

function speaker(words: Partial<Vocabulary> = {}, base = 10): Speaker {
  return new Speaker({ ...DEFAULT_VOCABULARY, ...words }, base);
}

describe('places', () => {
  it.each([
    [0, 'ones'],
    [1, 'tens'],
    [2, 'hundreds'],
    [3, 'thousands'],
    [4, 'ten thousands'],
    [5, 'hundred thousands'],
    [6, 'millions'],
    [7, 'ten millions'],
    [9, 'billions'],
    [23, 'hundred sextillions'],
    [24, 'places of 10²⁴'],
  ])('of ten to the %i are %s', (place, name) => {
    expect(speaker().places(place)).toBe(name);
  });

  it('are powers outside base ten, and ones are as they are called', () => {
    expect(speaker({ ones: 'units' }).places(0)).toBe('units');
    expect(speaker({}, 2).places(3)).toBe('eights');
    expect(speaker({}, 16).places(2)).toBe('places of 16²');
    expect(speaker({}, 2).places(40)).toBe('places of 2⁴⁰');
  });
});

describe('counts', () => {
  it.each([
    [1, 0, '1 one'],
    [0, 0, '0 ones'],
    [3, 1, '3 tens'],
    [1, 2, '1 hundred'],
    [48, 0, '48 ones'],
    [1, 4, '1 ten thousand'],
  ])('%i of place %i is “%s”', (count, place, text) => {
    expect(speaker().count(count, place)).toBe(text);
  });

  it('are said in the figures of their base', () => {
    expect(speaker({}, 8).count(9, 0)).toBe('11 ones');
    expect(speaker({}, 2).count(2, 5)).toBe('10 thirty-twos');
    expect(speaker({}, 16).placeFact(11, 0, 12, 1)).toBe('B × C sixteens make **84 sixteens**');
    expect(speaker({ times: '·' }, 8).count(3, 2)).toBe('3 sixty-fours');
    expect(speaker({}, 16).number(171)).toBe('AB');
  });
});

describe('amounts', () => {
  it('are in figures of the base; long ones keep both ends', () => {
    expect(speaker().amount(Exact.of(2668))).toBe('2668');
    expect(speaker({}, 2).amount(Exact.of(10))).toBe('1010');
    expect(speaker().amount(Exact.of(3, 4))).toBe('0.75');
    expect(speaker({ point: ',' }).amount(Exact.of(3, 4))).toBe('0,75');
    expect(speaker().amount(Exact.of(22, 7))).toBe('22/7');
    expect(speaker().amount(Exact.of(10n ** 40n + 7n))).toBe('100000000000…000007');
  });
});

describe('facts', () => {
  it('are said as the user says them', () => {
    expect(speaker().fact(8, 6, 48)).toBe('8 × 6 = 48');
    expect(speaker({ times: '·' }).fact(8, 6, 48)).toBe('8 · 6 = 48');
    expect(speaker({ facts: 'lots of' }).fact(8, 6, 48)).toBe('8 lots of 6 are 48');
    expect(speaker({ facts: 'lots of' }).fact(1, 6, 6)).toBe('1 lot of 6 is 6');
    expect(speaker({ facts: 'without a verb' }).fact(8, 6, 48)).toBe('8 6s, 48');
  });

  it('tell the places in value voice', () => {
    expect(speaker().placeFact(5, 1, 4, 1)).toBe('5 tens × 4 tens make **20 hundreds**');
    expect(speaker().placeFact(1, 0, 1, 0)).toBe('1 × 1 one makes **1 one**');
    expect(speaker({ facts: 'lots of' }).placeFact(8, 0, 6, 0)).toBe(
      '8 lots of 6 ones make **48 ones**',
    );
  });
});

describe('what goes on to the next place', () => {
  it.each<[Vocabulary['carry'], string, string, string]>([
    ['carry', 'carry **4**', 'carry **4 tens**', 'carried'],
    ['regroup', 'regroup **4**', 'regroup 40 ones as **4 tens**', 'regrouped'],
    ['trade', 'trade **4**', 'trade 40 ones for **4 tens**', 'traded'],
    ['hold', 'hold **4**', 'hold **4 tens**', 'held'],
  ])('is said with “%s”', (carry, figures, worth, past) => {
    const say = speaker({ carry });
    expect(say.passOnFigures(4)).toBe(figures);
    expect(say.passOn(4, 1)).toBe(worth);
    expect(say.carried).toBe(past);
  });
});

describe('opening a place', () => {
  it.each<[Vocabulary['ungroup'], string]>([
    ['regroup', 'regroup 1 hundred as **10 tens**'],
    ['borrow', 'borrow 1 hundred as **10 tens**'],
    ['exchange', 'exchange 1 hundred for **10 tens**'],
    ['trade', 'trade 1 hundred for **10 tens**'],
    ['ungroup', 'ungroup 1 hundred into **10 tens**'],
  ])('is said with “%s”', (ungroup, sentence) => {
    expect(speaker({ ungroup }).open(2)).toBe(sentence);
    expect(speaker({ ungroup }).ungroup).toBe(ungroup);
  });

  it('tells ten of the base', () => {
    expect(speaker({}, 8).open(1)).toBe('regroup 1 eight as **10 ones**');
  });
});

describe('subtraction', () => {
  it.each<[Vocabulary['minus'], string]>([
    ['minus', '13 tens minus 7 tens'],
    ['take away', '13 tens take away 7 tens'],
    ['less', '13 tens less 7 tens'],
  ])('is said with “%s”', (minus, sentence) => {
    expect(speaker({ minus }).minus('13 tens', '7 tens')).toBe(sentence);
  });

  it('has a sign of its own for what is below zero', () => {
    expect(speaker().count(-4, 1)).toBe('−4 tens');
    expect(speaker().count(-1, 0)).toBe('−1 one');
    expect(speaker().number(-7)).toBe('−7');
    expect(speaker().amount(Exact.of(-255))).toBe('−255');
    expect(speaker({}, 2).count(-3, 2)).toBe('−11 fours');
    expect(speaker({}, 2).count(3, -3)).toBe('11 eighths');
    expect(speaker({}, 2).count(0, -3)).toBe('0 eighths');
    expect([speaker().is(1), speaker().is(2), speaker().is(-1)]).toEqual(['is', 'are', 'is']);
  });
});

describe('lists', () => {
  it('have commas and a last “and”', () => {
    const say = speaker();
    expect(say.list([])).toBe('');
    expect(say.list(['a'])).toBe('a');
    expect(say.list(['a', 'b'])).toBe('a and b');
    expect(say.list(['a', 'b', 'c'])).toBe('a, b and c');
  });
});

describe('a phrasebook', () => {
  const greeting: Wording<{ readonly count: number }> = {
    digit: ({ count }, say) => `write **${say.number(count)}**`,
    value: ({ count }, say) => `write **${say.count(count, 1)}** now`,
  };
  const { book, phrase } = definePhrases({
    greeting,
    both: plain(({ name }: { name: string }) => `for ${name}`),
    always: fixed('the end'),
  });

  it('says a phrase in both voices, marked or plain', () => {
    const three = phrase('greeting', { count: 3 });
    expect(sayMarked(book, three, 'digit', speaker())).toBe('write **3**');
    expect(sayPlain(book, three, 'value', speaker())).toBe('write 3 tens now');
    expect(sayPlain(book, phrase('both', { name: 'all' }), 'digit', speaker())).toBe('for all');
    expect(sayPlain(book, phrase('always', {}), 'value', speaker())).toBe('the end');
  });

  it('refuses a key that it does not have', () => {
    expect(() => sayPlain(book, { key: 'none', values: {} }, 'digit', speaker())).toThrow(
      /no wording for "none"/,
    );
  });

  it('splits marked text into pieces', () => {
    expect(phrasePieces('write **3 tens** now')).toEqual([
      { text: 'write ', stressed: false },
      { text: '3 tens', stressed: true },
      { text: ' now', stressed: false },
    ]);
    expect(phrasePieces('**all**')).toEqual([{ text: 'all', stressed: true }]);
  });
});

describe('the vocabulary', () => {
  it('takes known words out of anything', () => {
    expect(decodeVocabulary({ ones: 'units', carry: 'magic', other: 1 })).toEqual({
      ...DEFAULT_VOCABULARY,
      ones: 'units',
    });
    for (const input of [null, 5, 'text', []]) {
      expect(decodeVocabulary(input)).toEqual(DEFAULT_VOCABULARY);
    }
  });
});
