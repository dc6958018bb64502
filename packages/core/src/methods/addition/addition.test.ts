import { groupWorths, marksOf, paperText, said, slipAnswers, worked } from '../../testing/work.ts';

describe('column addition', () => {
  it('carries what is above a figure, strikes it as used, and writes the last total whole', () => {
    const trace = worked('column-addition', '386 + 478');
    expect(said(trace)).toEqual([
      '6 + 8 = 14: write 4, carry 1.',
      '8 + 7 + 1 carried = 16: write 6, carry 1.',
      '3 + 4 + 1 carried = 8: write 8.',
    ]);
    const carries = marksOf(trace).filter(({ role }) => role === 'carry');
    for (const carry of carries) {
      expect(trace.steps.find(({ strikes }) => strikes.includes(carry.id))!.takes).toContain(
        carry.id,
      );
    }
  });

  it('carries two figures in a long string', () => {
    const trace = worked('column-addition', Array(24).fill('99').join(' + '));
    const [carry] = marksOf(trace).filter(({ role }) => role === 'carry');
    expect([carry!.glyph, carry!.worth.toString()]).toEqual(['21', '210']);
    expect(said(trace, 'value')[0]).toBe(
      'The ones of all addends make 216 ones: write 6 ones, carry 21 tens.',
    );
    expect(trace.answer.toString()).toBe('2376');
  });

  it('takes unequal lengths and empty places', () => {
    const trace = worked('column-addition', '1088 + 9 + 900');
    expect(said(trace)).toEqual([
      '8 + 9 + 0 = 17: write 7, carry 1.',
      '8 + 0 + 1 carried = 9: write 9.',
      '0 + 9 = 9: write 9.',
      'Only 1 here: write 1.',
    ]);
  });

  it('names the columns and the totals so far', () => {
    const trace = worked('column-addition', '386 + 478');
    expect(groupWorths(trace, 'column')).toEqual(['14', '150', '700']);
    expect(groupWorths(trace, 'subtotal')).toEqual(['14', '164']);
  });

  it('says the carry in the user’s words', () => {
    const trace = worked('column-addition', '46 + 58');
    expect(said(trace, 'value', { carry: 'trade', ones: 'units' })[0]).toBe(
      'The units of all addends make 14 units: write 4 units, trade 10 units for 1 ten.',
    );
    expect(said(trace, 'digit', { carry: 'hold' })[1]).toBe('4 + 5 + 1 held = 10: write 10.');
  });
});

describe('partial sums', () => {
  it('writes each place whole in either order, and then adds the lines', () => {
    const first = worked('partial-sums', '386 + 478');
    const last = worked('partial-sums', '386 + 478', { school: { order: 'largest-first' } });
    expect(groupWorths(first, 'place total')).toEqual(['14', '150', '700']);
    expect(groupWorths(last, 'place total')).toEqual(['700', '150', '14']);
    expect(said(last)[0]).toBe('3 + 4 = 7, then 2 zeros: write 700.');
  });

  it('needs no second sum where one place has it all', () => {
    expect(said(worked('partial-sums', '40 + 50'))).toEqual([
      '4 + 5 = 9, then one zero: write 90.',
    ]);
    expect(said(worked('partial-sums', '0 + 0'))).toEqual(['0 + 0 = 0: write 0.']);
  });
});

describe('chains', () => {
  it('keep the first addend whole and add the others part by part, largest first', () => {
    expect(said(worked('left-to-right-addition', '386 + 478'))).toEqual([
      '386 + 400 = 786.',
      '786 + 70 = 856, over the next hundred.',
      '856 + 8 = 864, over the next ten.',
    ]);
    expect(said(worked('left-to-right-addition', '386 + 478'), 'value')[2]).toBe(
      '856 and 8 ones are 864, in which 10 ones have become 1 ten.',
    );
  });

  it('split a part only to land on a round number with it', () => {
    expect(said(worked('bridging-addition', '96 + 8'))).toEqual([
      '96 + 4 = 100, a round number.',
      '100 + 4 = 104, with what is left of the part.',
    ]);
    expect(said(worked('bridging-addition', '80 + 50'))).toEqual([
      '80 + 20 = 100, a round number.',
      '100 + 30 = 130, with what is left of the part.',
    ]);
    expect(said(worked('bridging-addition', '86 + 50'))).toEqual([
      '86 + 50 = 136, over the next hundred.',
    ]);
    expect(said(worked('bridging-addition', '92 + 8'))).toEqual(['92 + 8 = 100.']);
  });

  it('take pieces of her own first and go on by themselves', () => {
    const own = worked('bridging-addition', '386 + 478', { hops: [14, 400] });
    expect(said(own)).toEqual([
      '386 + 14 = 400.',
      '400 + 400 = 800.',
      '800 + 60 = 860.',
      '860 + 4 = 864.',
    ]);
    expect(own.start.map(({ text }) => text)).toEqual(['386', '4', '60', '400', '14']);
  });

  it('stand still when nothing is added', () => {
    expect(said(worked('left-to-right-addition', '46 + 0'))).toEqual([
      'Nothing is added: 46 stays.',
    ]);
  });

  it('draw a fork only for addends that are split', () => {
    expect(paperText(worked('left-to-right-addition', '47 + 9 + 58'))).toBe(
      [
        '                        47',
        '       +     9  =       56',
        '58     +    50  =      106',
        '       +     8  =      114',
      ].join('\n'),
    );
  });
});

describe('compensation', () => {
  it('rounds the addend that is nearer to a round number', () => {
    expect(said(worked('compensation-addition', '398 + 256'))[0]).toBe(
      'For 398 take 400, and mark −2 for the end.',
    );
    expect(said(worked('compensation-addition', '256 + 398'))[0]).toMatch(/^For 398 take 400/);
    expect(said(worked('compensation-addition', '46 + 61'))[0]).toBe(
      'For 61 take 60, and mark +1 for the end.',
    );
  });

  it('leaves round numbers alone', () => {
    expect(said(worked('compensation-addition', '40 + 500'))).toEqual(['40 + 500 = 540.']);
  });

  it('takes a change of her own to the addend that it makes rounder', () => {
    expect(said(worked('compensation-addition', '386 + 478', { hops: [22] }), 'value')).toEqual([
      '500 is 22 more than 478, so 22 must be taken away at the end.',
      '386 + 500 = 886.',
      '22 too much was added, so it is taken from 886: 864.',
    ]);
    expect(said(worked('compensation-addition', '386 + 478', { hops: [14] }))[0]).toMatch(
      /^For 386 take 400/,
    );
  });

  it('is a sum whose balance never moves', () => {
    const { steps } = worked('compensation-addition', '386 + 478');
    expect(steps.map(({ law, balance }) => `${law} ${balance}`)).toEqual([
      'same-change 864',
      'evaluate 864',
      'evaluate 864',
    ]);
  });
});

describe('running total', () => {
  it('holds the total beside each addend and writes only the last', () => {
    const trace = worked('running-total', '7 + 9 + 4');
    expect(marksOf(trace).map(({ glyph, medium }) => `${glyph} ${medium}`)).toEqual([
      '7 head',
      '16 head',
      '20 paper',
    ]);
    expect(paperText(trace, 2)).toContain('(16)');
  });

  it('makes tens where it can', () => {
    const trace = worked('running-total', '7 + 9 + 4 + 8 + 3 + 1', {
      school: { order: 'make-tens' },
    });
    expect(said(trace)).toEqual([
      'Begin with 7.',
      '7 + 3 = 10, a round number.',
      '10 + 9 = 19.',
      '19 + 1 = 20, a round number.',
      '20 + 4 = 24.',
      '24 + 8 = 32.',
    ]);
  });

  it('goes in an order of her own', () => {
    const trace = worked('running-total', '7 + 9 + 4', { order: ['2.0'] });
    expect(trace.steps.map(({ takes }) => takes.at(-1))).toEqual(['o2.0', 'o0.0', 'o1.0']);
  });
});

describe('scratch addition', () => {
  it('scratches whenever ten is reached and keeps what is over', () => {
    const trace = worked('scratch-addition', '7 + 9 + 4 + 8 + 6 + 5');
    const scratched = trace.steps.flatMap(({ strikes }) => strikes);
    expect(scratched).toEqual(['o1.0', 'o2.0', 'o4.0']);
    const kept = marksOf(trace).filter(({ role }) => role === 'kept figure');
    expect(kept.map(({ glyph }) => glyph)).toEqual(['6', '0', '8', '4', '9']);
    expect(said(trace).at(-1)).toBe('3 scratches and 9: write 39.');
  });

  it('counts scratches with the next column, also when they make tens themselves', () => {
    const trace = worked('scratch-addition', Array(12).fill('99').join('+'));
    expect(trace.answer.toString()).toBe('1188');
    expect(said(trace).some((sentence) => sentence.startsWith('10 came over'))).toBe(true);
  });

  it('never holds more than nineteen of a place', () => {
    const trace = worked('scratch-addition', Array(30).fill('97').join('+'));
    const kept = marksOf(trace).filter(({ role }) => role === 'kept figure');
    for (const { glyph } of kept) expect(Number(glyph)).toBeLessThan(10);
  });
});

describe('slips in sums', () => {
  it.each([
    [
      'column-addition',
      [
        'all-figures-added@1 36',
        'carries-as-eleven@1 1864',
        'carry-to-the-right@1 7515',
        'carry-the-ones@1 891',
        'carry-the-ones@2 1314',
        'whole-total-in-place@1 8514',
        'forget-carry@1 854',
        'whole-total-in-place@2 7164',
        'forget-carry@2 764',
      ],
    ],
    [
      'partial-sums',
      [
        'skip-place@1 850',
        'drop-zeros@1 729',
        'skip-place@2 714',
        'drop-zeros@2 171',
        'skip-place@3 164',
      ],
    ],
    [
      'left-to-right-addition',
      ['part-as-ones@1 468', 'skip-part@1 464', 'part-as-ones@2 801', 'skip-part@2 794'],
    ],
    ['compensation-addition', ['forget-adjustment@1 878', 'wrong-way@1 892']],
    ['running-total', ['skip-addend@1 478', 'skip-addend@2 386', 'add-twice@1 1342']],
    [
      'scratch-addition',
      [
        'miss-scratch@1 854',
        'keep-full-total@1 874',
        'keep-full-total@2 964',
        'forget-scratches@1 854',
        'miss-scratch@2 764',
        'forget-scratches@2 764',
      ],
    ],
  ])('%s answers', (id, answers) => {
    const found = slipAnswers(id, '386 + 478');
    expect([...found].sort()).toEqual([...answers].sort());
  });
});
