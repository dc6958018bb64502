/** @jest-environment jsdom */
import { Exact } from '@levee/core';
import { giveRoom, Rendered } from '../../testing/render.tsx';
import { SlipsPage } from './slips-page.tsx';
import { slipRows, type BeforeRow, type Chance } from './one/slip-rows.ts';

const page = new Rendered();
beforeAll(() => giveRoom(400, 300));

const caption = () => page.text('.slip-list > .caption');

/** Lets the work that goes on beside the page come to its end. */
async function worked(): Promise<void> {
  const end = performance.now() + 20_000;
  while (page.texts('.slip-list tbody td.number').includes('…')) {
    if (performance.now() > end) throw new Error(`still: ${caption()}`);
    await page.settle();
  }
}

describe('slips on a paper', () => {
  it('are listed at once, and what they give comes as they are worked', async () => {
    page.open('987654321 × 876543219', ['partial-products']);
    page.show(<SlipsPage />, '/c/x/slips');
    page.press(page.texts('.slip-kinds button').find((name) => name.startsWith('facts'))!);
    const listed = page.all('.slip-list tbody tr').length;
    expect(listed).toBeGreaterThan(50);
    expect(page.texts('.slip-list tbody td.number')).toContain('…');
    expect(caption()).toMatch(/facts taken for another number/);
    await worked();
    expect(page.all('.slip-list tbody tr')).toHaveLength(listed);
    page.press(page.texts('.slip-kinds button')[0]!);
    expect(caption()).toMatch(/chances of .* slips/);
    expect(page.all('.slip-list tr[aria-current="true"]')).toHaveLength(1);
    expect(page.text('.slip-list tr[aria-current="true"]')).not.toMatch(/none$/);
  });

  it('are none where nothing can go wrong, and own lines have none of a method', async () => {
    page.open('0 × 0', ['halving-doubling']);
    page.show(<SlipsPage />, '/c/x/slips');
    await page.settle();
    expect(page.all('.slip-list tbody tr').length + page.all('.empty').length).toBeGreaterThan(0);
  });
});

describe('the rows of chances', () => {
  const chance = (address: string): Chance => ({
    address,
    slip: 'forget-carry',
    label: address,
    where: '',
    step: 1,
    kind: 'slip',
  });
  const before: BeforeRow = {
    ...chance('before'),
    kind: 'before',
    answer: '10',
    off: Exact.of(1),
    before: { answer: Exact.of(10), copied: null },
  };

  it('count how many of those worked so far give an answer', () => {
    const known = new Map([
      ['a', { answer: '10', off: Exact.of(1) }],
      ['b', { answer: '11', off: Exact.of(2) }],
    ]);
    const rows = slipRows(['a', 'b', 'c'].map(chance), known, [before]);
    expect(rows.map(({ outcome, ways }) => [outcome?.answer ?? null, ways])).toEqual([
      ['10', 2],
      ['11', 1],
      [null, 0],
      ['10', 2],
    ]);
  });
});
