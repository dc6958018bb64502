import { isBrief, measured } from './harness/bench.ts';
import { keep, type Laid } from './harness/keep.ts';
import { page, server } from './harness/scene.ts';

/** Longer than any page takes until all of it stands. */
const SETTLED = isBrief ? 1500 : 4000;
/** Milliseconds that a task of the page may take. */
const GOAL = 100;

beforeAll(() =>
  page.beforeEveryPage(`
    window.tasks = [];
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) window.tasks.push(Math.round(duration));
    }).observe({ type: 'longtask', buffered: true });
  `),
);

const TERMS = Array.from({ length: 245 }, (_, k) => 1 + (k % 9));

/** Lines of these many terms of one sum, each in another order. */
function turned(terms: number, lines: number): readonly string[] {
  return Array.from({ length: lines }, (_, k) => {
    const at = k % terms;
    return `= ${[...TERMS.slice(at, terms), ...TERMS.slice(0, at)].join(' + ')}`;
  });
}

type Hard = Laid & { readonly what: string };

const PRODUCTS = [
  'column-multiplication',
  'partial-products',
  'grid-multiplication',
  'lattice',
  'crosswise',
  'halving-doubling',
];

/** The comparisons that are hardest for the page of all that the server accepts. */
const HARDEST: readonly Hard[] = [
  { what: '46 × 58 by two', problem: '46 × 58', methods: PRODUCTS.slice(0, 2) },
  {
    what: '12 × 12 figures by six methods',
    problem: '987654321987 × 876543219876',
    methods: PRODUCTS,
  },
  {
    what: '40 addends by four methods',
    problem: Array.from({ length: 40 }, (_, k) => 100 + ((k * 37) % 899)).join(' + '),
    methods: ['column-addition', 'partial-sums', 'running-total', 'scratch-addition'],
  },
  {
    what: '60 lines of 40 terms',
    problem: TERMS.slice(0, 40).join(' + '),
    lines: [turned(40, 60)],
  },
  {
    what: '60 lines of 245 terms',
    problem: TERMS.slice(0, 40).join(' + '),
    lines: [turned(245, 60)],
  },
  {
    what: 'six papers of 60 lines of 40 terms',
    problem: TERMS.slice(0, 40).join(' + '),
    lines: Array.from({ length: 6 }, (_, k) => turned(40 - k, 60)),
  },
  {
    what: 'a thousand answers',
    problem: '46 × 58',
    methods: PRODUCTS.slice(0, 2),
    answers: Array.from({ length: 1000 }, (_, k) => String(1000 + 613 * k)),
  },
];

async function longest(address: string): Promise<readonly number[]> {
  await page.driver.get('about:blank');
  await page.driver.get(address);
  await page.driver.sleep(SETTLED);
  const tasks = await page.script<number[]>('return window.tasks');
  return tasks.sort((a, b) => b - a);
}

/** The longest task of the page while a comparison opens, for the hardest that the server accepts. */
describe('tasks of the page', () => {
  it.each(measured(HARDEST))('$what', async (hard) => {
    const id = await keep(server, hard);
    for (const view of hard.answers ? ['', '/slips'] : ['', '/why']) {
      const tasks = await longest(`${server.address}/c/${id}${view}`);
      const told = tasks.slice(0, 5).join(', ') || 'under 50';
      process.stdout.write(`${hard.what}${view}: longest tasks ${told} ms (goal ${GOAL})\n`);
    }
  });
});
