import { keep } from './harness/keep.ts';
import { page, server } from './harness/scene.ts';

/** The hardest papers of every sort, and the plainest. */
const HARDEST: readonly (readonly [problem: string, ...methods: string[]])[] = [
  ['46 × 58', 'column-multiplication', 'grid-multiplication', 'lattice', 'partial-products'],
  ['342 × 276', 'grid-multiplication', 'halving-doubling', 'crosswise'],
  ['987654321987 × 876543219876', 'column-multiplication', 'lattice'],
  ['3.6 × 20.5', 'column-multiplication', 'grid-multiplication'],
  ['12 × 25 × 8', 'halving-doubling', 'partial-products'],
  ['9000 − 4567', 'decomposition', 'equal-additions', 'counting-up'],
  ['12.50 + 3.75 + 108.99', 'column-addition', 'partial-sums'],
  [
    Array.from({ length: 40 }, (_, k) => 100 + ((k * 37) % 899)).join(' + '),
    'column-addition',
    'scratch-addition',
    'running-total',
  ],
  ['1835 ÷ 24', 'long-division', 'short-division', 'partial-quotients'],
  ['987654321 ÷ 98765', 'short-division', 'long-division'],
  ['1/2 + 1/3 + 1/4 + 1/5', 'least-common-denominator', 'cross-products'],
  ['5 1/6 − 2 5/6', 'mixed-separate', 'mixed-improper'],
  ['1 1/2 × 2 1/3', 'fraction-product', 'fraction-area'],
  ['5 1/3 ÷ 1 1/6', 'fraction-common-denominator', 'fraction-reciprocal'],
  ['(x−2)(x+5)(x−4)', 'expand-arcs', 'expand-grid'],
  ['(x^2+2x−3)(2x^2−x+5)', 'expand-arcs', 'expand-grid'],
  ['√72', 'digit-pairs', 'prime-pairs'],
];

/** One paper as the browser has it. */
interface Seen {
  readonly name: string;
  readonly followed: boolean;
  /** Pixels by which something that is drawn lies outside of what is shown. */
  readonly outside: number;
  /** Heights of the figures and of the smallest letters, in pixels. */
  readonly figures: number;
  readonly smallest: number;
  /** Pixels by which the sentence is cut. */
  readonly cut: number;
}

const SEEN = `
  return [...document.querySelectorAll('.stage')].map((stage) => {
    const svg = stage.querySelector('svg.sheet');
    const room = stage.getBoundingClientRect();
    const followed = stage.classList.contains('followed');
    const page = svg.getBoundingClientRect();
    const within = followed ? page : room;
    const drawn = [...svg.querySelectorAll('text, line, path, rect:not(.touch)')].filter(
      (part) => getComputedStyle(part).visibility !== 'hidden' && part.getClientRects().length > 0,
    );
    const outside = Math.max(0, ...drawn.map((part) => {
      const box = part.getBoundingClientRect();
      if (box.width === 0 && box.height === 0) return 0;
      return Math.max(within.left - box.left, within.top - box.top, box.right - within.right, box.bottom - within.bottom);
    }));
    const square = page.width / svg.viewBox.baseVal.width;
    const high = (of) => Math.min(...of.map((text) => Number(text.getAttribute('font-size')) * square));
    const texts = drawn.filter((part) => part.tagName === 'text');
    const figures = texts.filter((text) => text.closest('.figure:not(.small, .held)') && !text.closest('.sign'));
    const card = stage.closest('.paper, .present-paper');
    const sentence = card.querySelector('.sentence');
    return {
      name: card.getAttribute('aria-label'),
      followed,
      outside,
      figures: high(figures),
      smallest: high(texts),
      cut: sentence.scrollHeight - sentence.clientHeight,
    };
  });`;

async function seen(width: number, height: number): Promise<readonly Seen[]> {
  await page.resize(width, height);
  await page.driver.sleep(400);
  return page.script<Seen[]>(SEEN);
}

/** Least heights on the bench, and in a room on a view 1280 pixels wide. */
const BENCH = { figures: 14, smallest: 9 };
const ROOM = { figures: 28, smallest: 14 };

describe('papers', () => {
  it.each(HARDEST)('of %s are whole, or followed, and can be read', async (problem, ...methods) => {
    const id = await keep(server, { problem, methods, steps: 10_000 });
    const faults: string[] = [];
    for (const [view, least] of [
      ['', BENCH],
      ['/present', ROOM],
    ] as const) {
      await page.driver.get(`${server.address}/c/${id}${view}`);
      await page.find('.stage svg.sheet');
      for (const [width, height] of [
        [1280, 800],
        [1920, 1080],
      ] as const) {
        const by = view === '' ? 1 : width / 1280;
        for (const one of await seen(width, height)) {
          const { name, outside, figures, smallest, cut } = one;
          const where = `${name}${view} at ${width}`;
          if (outside > 1) faults.push(`${where}: ${outside.toFixed(1)} pixels outside`);
          if (figures < least.figures * by - 0.5)
            faults.push(`${where}: figures of ${figures.toFixed(1)}`);
          if (smallest < least.smallest * by - 0.5)
            faults.push(`${where}: letters of ${smallest.toFixed(1)}`);
          if (cut > 1) faults.push(`${where}: the sentence is cut by ${cut}`);
        }
      }
    }
    expect(faults).toEqual([]);
  });
});
