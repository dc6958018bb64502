import { Exact } from '../../exact/exact.ts';
import { isFarUp, NAMED_RULES, namedRule } from './named-rules.ts';
import { readRule, ruleSays, valueOfRule } from './rule-text.ts';

function exact(text: string): Exact {
  return Exact.parse(text);
}

function worth(id: string, ...given: readonly string[]): string | null {
  return (
    namedRule(id)!
      .of(...given.map(exact))
      ?.toString() ?? null
  );
}

describe('named rules', () => {
  it.each([
    ['up-to-ten', ['58'], '60'],
    ['up-to-ten', ['60'], '60'],
    ['up-to-hundred', ['387'], '400'],
    ['up-to-thousand', ['1001'], '2000'],
    ['up-to-one', ['249/50'], '5'],
    ['up-to-tenth', ['249/50'], '5'],
    ['down-to-ten', ['58'], '50'],
    ['down-to-hundred', ['387'], '300'],
    ['nearest-ten', ['54'], '50'],
    ['nearest-ten', ['55'], '60'],
    ['nearest-hundred', ['387'], '400'],
    ['to-ten', ['58'], '2'],
    ['to-ten', ['60'], '0'],
    ['to-hundred', ['387'], '13'],
    ['over-ten', ['58'], '8'],
    ['over-hundred', ['387'], '87'],
    ['ones-of', ['387'], '7'],
    ['tens-of', ['387'], '80'],
    ['hundreds-of', ['387'], '300'],
    ['thousands-of', ['387'], '0'],
    ['tenths-of', ['23/5'], '3/5'],
    ['largest-place', ['387'], '300'],
    ['largest-place', ['3/50'], '3/50'],
    ['up-to-round', ['387'], '400'],
    ['up-to-round', ['58'], '60'],
    ['up-to-round', ['249/50'], '5'],
    ['nines-below', ['1003'], '999'],
    ['nines-below', ['1000'], '999'],
    ['nines-below', ['999'], '99'],
    ['nines-below', ['9'], null],
    ['half', ['46'], '23'],
    ['half', ['47'], '47/2'],
    ['double', ['58'], '116'],
    ['middle', ['19', '21'], '20'],
    ['least-common-multiple', ['4', '6'], '12'],
    ['least-common-multiple', ['1/2', '6'], null],
    ['greatest-common-factor', ['22', '24'], '2'],
    ['lowest-top', ['22', '24'], '11'],
    ['lowest-bottom', ['22', '24'], '12'],
    ['whole-part', ['955', '7'], '136'],
    ['rest', ['955', '7'], '3'],
    ['rest', ['955', '0'], null],
  ])('%s of %j is %s', (id, given, due) => {
    expect(worth(id, ...given)).toBe(due);
  });

  it('have ids of their own, and words with every number in them', () => {
    const ids = NAMED_RULES.map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
    for (const { takes, says } of NAMED_RULES) {
      const told = takes === 1 ? says('p') : says('p', 'q');
      expect(told).toContain('p');
      if (takes === 2) expect(told).toContain('q');
    }
  });

  it('round up to what is near alone', () => {
    expect(isFarUp(namedRule('up-to-hundred')!, exact('34'), exact('100'))).toBe(true);
    expect(isFarUp(namedRule('up-to-hundred')!, exact('87'), exact('100'))).toBe(false);
    expect(isFarUp(namedRule('double')!, exact('3'), exact('100'))).toBe(false);
  });
});

describe('rules as they are written', () => {
  const values = new Map([
    ['a', exact('46')],
    ['b', exact('58')],
    ['c', exact('60')],
    ['z', exact('0')],
  ]);
  const value = (text: string) => {
    const rule = readRule(text);
    return rule ? (valueOfRule(rule, values)?.toString() ?? null) : undefined;
  };

  it.each([
    ['up-to-ten(b)', '60'],
    ['least-common-multiple(a, b)', '1334'],
    ['c − b', '2'],
    ['a × (c ÷ b)', '1380/29'],
    ['60', '60'],
    ['2 × a', '92'],
    ['a ÷ z', null],
    ['d + 1', null],
    ['rest(a, z)', null],
    ['up-to-dozen(b)', undefined],
    ['up-to-ten(a, b)', undefined],
    ['rest(a)', undefined],
    ['c −', undefined],
    ['', undefined],
  ])('%s is %s', (text, due) => {
    expect(value(text)).toBe(due);
  });

  it('are said in words', () => {
    expect(ruleSays(readRule('up-to-ten(b)')!)).toBe('b up to the next ten');
    expect(ruleSays(readRule('c − b')!)).toBe('c − b');
    expect(ruleSays(readRule('least-common-multiple(b, d)')!)).toBe(
      'the least common multiple of b and d',
    );
  });
});
