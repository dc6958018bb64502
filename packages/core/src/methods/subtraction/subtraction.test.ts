import { groupWorths, marksOf, paperText, said, slipAnswers, worked } from '../../testing/work.ts';

describe('decomposition', () => {
  it('opens one of the next place where a figure is too small', () => {
    expect(said(worked('decomposition', '642 − 387'))).toEqual([
      '2 is less than 7: regroup 1 of the 4; 3 stays, and the 2 becomes 12.',
      '12 − 7 = 5.',
      '3 is less than 8: regroup 1 of the 6; 5 stays, and the 3 becomes 13.',
      '13 − 8 = 5.',
      '5 − 3 = 2.',
    ]);
  });

  it('chains through empty places, one neighbour at a time', () => {
    const trace = worked('decomposition', '1000 − 1');
    expect(said(trace, 'value').slice(0, 3)).toEqual([
      'There are no hundreds to open yet: regroup 1 thousand as 10 hundreds; no thousands stay.',
      'There are no tens to open yet: regroup 1 hundred as 10 tens; 9 hundreds stay.',
      '0 ones are fewer than 1 one: regroup 1 ten as 10 ones; 9 tens stay.',
    ]);
    expect(trace.answer.toString()).toBe('999');
  });

  it('may put a little one before a figure, which stays', () => {
    const trace = worked('decomposition', '305 − 127', { school: { filled: 'one-in-front' } });
    expect(said(trace).slice(0, 2)).toEqual([
      'There is only a 0 to open, so first its neighbour: regroup 1 of the 3; 2 stays, and a little 1 before the 0 makes it 10.',
      '5 is less than 7: regroup 1 of the 10; 9 stays, and a little 1 before the 5 makes it 15.',
    ]);
    const ones = marksOf(trace).filter(({ role }) => role === 'little one');
    expect(ones.map(({ worth }) => worth.toString())).toEqual(['100', '10']);
    expect(trace.steps[1]!.strikes).toEqual(['o0.1', ones[0]!.id]);
    expect(trace.answer.toString()).toBe('178');
  });

  it('scans all places first and looks again at one that has become short', () => {
    const trace = worked('decomposition', '534 − 137', { school: { regroup: 'scan-first' } });
    expect(said(trace).slice(0, 2)).toEqual([
      '4 is less than 7: regroup 1 of the 3; 2 stays, and the 4 becomes 14.',
      'Now 2 is less than 3: regroup 1 of the 5; 4 stays, and the 2 becomes 12.',
    ]);
    expect(trace.steps.map(({ phase }) => phase.kind)).toEqual([
      'regrouping',
      'regrouping',
      'difference',
      'difference',
      'difference',
    ]);
  });

  it('looks again at every place of a chain that lent', () => {
    const trace = worked('decomposition', '1800 − 801', { school: { regroup: 'scan-first' } });
    expect(said(trace)[1]).toMatch(/^Now 7 is less than 8/);
    expect([trace.balanced, trace.answer.toString()]).toEqual([true, '999']);
  });

  it('writes no zero in front, and 0 where nothing is left', () => {
    const answers = (text: string) =>
      marksOf(worked('decomposition', text))
        .filter(({ role }) => role === 'answer')
        .map(({ glyph }) => glyph)
        .reverse()
        .join('');
    expect(answers('402 − 398')).toBe('4');
    expect(answers('100 − 100')).toBe('0');
    expect(answers('507 − 300')).toBe('207');
  });

  it('keeps struck figures legible under the new ones', () => {
    expect(paperText(worked('decomposition', '7002 − 2586'))).toBe(
      [
        '       9  9',
        '    6  1̶0̶ 1̶0̶ 12',
        '    7̶  0̶  0̶  2̶',
        ' −  2  5  8  6',
        '----------------',
        '    4  4  1  6',
      ].join('\n'),
    );
  });

  it('is said with the user’s word for opening a place', () => {
    const spoken = (ungroup: 'borrow' | 'exchange' | 'ungroup' | 'trade') =>
      said(worked('decomposition', '52 − 8'), 'value', { ungroup })[0];
    expect(spoken('borrow')).toContain('borrow 1 ten as 10 ones');
    expect(spoken('exchange')).toContain('exchange 1 ten for 10 ones');
    expect(spoken('ungroup')).toContain('ungroup 1 ten into 10 ones');
    expect(spoken('trade')).toContain('trade 1 ten for 10 ones');
  });
});

describe('expanded subtraction', () => {
  it('moves a whole hundred among the tens', () => {
    const trace = worked('expanded-subtraction', '536 − 272');
    const moved = marksOf(trace).filter(({ role }) => role === 'regrouped digit');
    expect(moved.map(({ glyph }) => glyph)).toEqual(['400', '130']);
    expect(said(trace).at(-1)).toBe('200 + 60 + 4 = 264.');
    expect(groupWorths(trace, 'place total')).toEqual(['4', '60', '200']);
  });

  it('keeps plus signs between the parts', () => {
    expect(paperText(worked('expanded-subtraction', '86 − 42'))).toMatch(/80 +\+ +6\n.*40 +\+ +2/);
  });

  it('says so where only one part is left', () => {
    expect(said(worked('expanded-subtraction', '86 − 46')).at(-1)).toBe(
      'Only one part is left: 40.',
    );
  });
});

describe('counting up', () => {
  it('hops by place: to a round number, then the largest places', () => {
    const trace = worked('counting-up', '642 − 387');
    expect(groupWorths(trace, 'hop')).toEqual(['3', '200', '50', '2']);
    expect(trace.steps.at(-1)!.law).toBe('inverse');
  });

  it('hops as few times as round numbers allow', () => {
    const trace = worked('counting-up', '642 − 387', { school: { hops: 'fewest' } });
    expect(groupWorths(trace, 'hop')).toEqual(['3', '10', '242']);
    expect(said(trace).at(-1)).toBe('The rings: 3 + 10 + 242 = 255.');
  });

  it('hops back for a negative difference', () => {
    const trace = worked('counting-up', '38 − 52', { school: { hops: 'fewest' } });
    expect(groupWorths(trace, 'hop')).toEqual(['-12', '-2']);
    expect(said(trace, 'value').at(-1)).toBe(
      'From 52 it is 14 back to 38, so the difference is −14.',
    );
  });

  it('takes hops of her own past the end and back', () => {
    const trace = worked('counting-up', '642 − 387', { hops: [300, -50] });
    expect(said(trace, 'value')).toEqual([
      'A hop of 300 on from 387 goes past the end, to 687.',
      'A hop of 50 back from 687 goes past the end, to 637.',
      'A hop of 3 on from 637 lands on 640.',
      'A hop of 2 on from 640 reaches 642, the end.',
      'From 387 it is 255 on to 642, so the difference is 255.',
    ]);
    const held = marksOf(trace).filter(({ role }) => role === 'hop too far');
    expect(held.map(({ glyph }) => glyph)).toEqual(['−45', '+5', '+2']);
  });

  it('says that a hop away from the end only lands', () => {
    const trace = worked('counting-up', '642 − 387', { hops: [-7] });
    expect(said(trace, 'value')[0]).toBe('A hop of 7 back from 387 lands on 380.');
  });

  it('owes the stretch, cut at its stops', () => {
    const trace = worked('counting-up', '642 − 387', { school: { hops: 'fewest' } });
    expect(trace.start.map(({ text }) => text)).toEqual(['242', '10', '3', '387', '−387']);
  });

  it('needs no hop between equal numbers', () => {
    expect(said(worked('counting-up', '58 − 58'), 'value')).toEqual([
      'Both numbers are 58, so nothing lies between them: 0.',
    ]);
  });
});

describe('partial differences', () => {
  it('writes shortfalls with their sign and puts all together at full worth', () => {
    expect(said(worked('partial-differences', '523 − 287'))).toEqual([
      '3 − 7 = −4, a shortfall.',
      '2 − 8 = −6, a shortfall.',
      '5 − 2 = 3.',
      'At full worth: 300 − 60 − 4.',
      '300 − 60 = 240.',
      '240 − 4 = 236.',
    ]);
  });

  it('totals what is over and what is missing apart', () => {
    const trace = worked('partial-differences', '523 − 287', {
      school: { combine: 'signs-apart' },
    });
    expect(said(trace).slice(4)).toEqual(['−60 − 4 = −64.', '300 − 64 = 236.']);
  });

  it('has negative differences of its own', () => {
    expect(worked('partial-differences', '287 − 523').answer.toString()).toBe('-236');
    expect(said(worked('partial-differences', '523 − 523')).at(-1)).toBe('That is all: 0.');
  });
});

describe('equal additions', () => {
  it('writes two little ones at a time and strikes nothing', () => {
    const trace = worked('equal-additions', '7042 − 2586');
    const pairs = trace.steps.filter(({ law }) => law === 'same-change');
    expect(pairs.map(({ gives }) => gives.map(({ worth }) => worth.toString()))).toEqual([
      ['10', '-10'],
      ['100', '-100'],
      ['1000', '-1000'],
    ]);
    expect(trace.steps.flatMap(({ strikes }) => strikes)).toEqual([]);
    expect(said(trace).filter((sentence) => sentence.includes(' = '))).toEqual([
      '12 − 6 = 6.',
      '14 − 9 = 5.',
      '10 − 6 = 4.',
      '7 − 3 = 4.',
    ]);
  });

  it('thinks of what must be added, and marks with a dot', () => {
    const trace = worked('equal-additions', '42 − 27', {
      school: { mark: 'dot', think: 'what-must-be-added' },
    });
    expect(said(trace)).toEqual([
      '2 is less than 7: a dot before the 2, and a dot below, one place on.',
      '7 and 5 make 12.',
      '3 and 1 make 4.',
    ]);
    expect(marksOf(trace).filter(({ glyph }) => glyph === '•')).toHaveLength(2);
  });
});

describe('compensation', () => {
  it('slides both numbers so that an easy one is taken away', () => {
    expect(said(worked('compensation-subtraction', '642 − 387'))).toEqual([
      '+ 13 to both: 655 − 400.',
      '655 − 400 = 255.',
    ]);
    const far = worked('compensation-subtraction', '7042 − 2586', {
      school: { 'round-to': 'leading-place' },
    });
    expect(said(far)[0]).toBe('+ 414 to both: 7456 − 3000.');
  });

  it('takes several changes of her own, one after another', () => {
    const trace = worked('compensation-subtraction', '642 − 387', { hops: [3, 10] });
    expect(said(trace)).toEqual([
      '+ 3 to both: 645 − 390.',
      '+ 10 to both: 655 − 400.',
      '655 − 400 = 255.',
    ]);
  });

  it('leaves a round number alone', () => {
    expect(said(worked('compensation-subtraction', '642 − 400'))).toEqual(['642 − 400 = 242.']);
  });
});

describe('slips in differences', () => {
  it.each([
    [
      'decomposition',
      [
        'lender-not-reduced@1 265',
        'lender-not-reduced@2 355',
        'lender-reduced-twice@1 245',
        'lender-reduced-twice@2 155',
        'lends-from-leftmost@1 165',
        'one-column-added@1 855',
        'upper-and-lower-changed@1 245',
        'upper-and-lower-changed@2 155',
        'smaller-from-larger@1 265',
        'smaller-from-larger@2 355',
      ],
    ],
    [
      'counting-up',
      [
        'count-the-start@1 256',
        'count-the-start@2 256',
        'skip-ring@1 252',
        'skip-ring@2 55',
        'skip-ring@3 205',
        'skip-ring@4 253',
      ],
    ],
    [
      'partial-differences',
      [
        'lost-sign@1 265',
        'lost-sign@2 335',
        'second-shortfall-given-back@1 265',
        'signs-dropped@1 345',
      ],
    ],
    [
      'equal-additions',
      [
        'forget-lower@1 265',
        'forget-lower@2 355',
        'forget-upper@1 255',
        'forget-upper@2 255',
        'lower-in-wrong-place@1 264',
        'lower-taken-off@1 275',
        'lower-taken-off@2 455',
      ],
    ],
    ['compensation-subtraction', ['one-changed@1 242', 'opposite@1 229']],
  ])('%s answers', (id, answers) => {
    expect([...slipAnswers(id, '642 − 387')].sort()).toEqual([...answers].sort());
  });
});
