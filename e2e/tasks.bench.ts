import { Page } from './harness/page.ts';
import { TestServer } from './harness/server.ts';

/** Longer than any page takes until all of it stands. */
const SETTLED = 6000;
/** Milliseconds that a task of the page may take. */
const GOAL = 100;

const server = new TestServer();
let page: Page;

beforeAll(async () => {
  await server.start();
  page = await Page.open();
  await page.beforeEveryPage(`
    window.tasks = [];
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) window.tasks.push(Math.round(duration));
    }).observe({ type: 'longtask', buffered: true });
  `);
});

afterAll(async () => {
  await page?.close();
  await server.remove();
});

const TERMS = Array.from({ length: 245 }, (_, k) => 1 + (k % 9));

/** Lines of these many terms of one sum, each in another order. */
function turned(terms: number, lines: number): readonly string[] {
  return Array.from({ length: lines }, (_, k) => {
    const at = k % terms;
    return `= ${[...TERMS.slice(at, terms), ...TERMS.slice(0, at)].join(' + ')}`;
  });
}

interface Hard {
  readonly what: string;
  readonly problem: string;
  readonly methods?: readonly string[];
  readonly lines?: readonly (readonly string[])[];
  readonly answers?: readonly string[];
}

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

function document({ problem, methods = [], lines = [], answers = [] }: Hard) {
  const common = { school: {}, order: [], hops: [], slips: [] };
  const papers = [
    ...methods.map((method) => ({ ...common, method, own: null })),
    ...lines.map((texts) => {
      const own = { lines: texts.map((text) => ({ text, struck: false })), code: '', name: '' };
      return { ...common, method: 'own-lines', own };
    }),
  ].map((paper, k) => ({ id: `p${k + 1}`, ...paper }));
  return {
    format: 'levee-comparison',
    version: 8,
    title: 'hard',
    story: '',
    unit: '',
    units: [],
    tags: [],
    counted: false,
    problem,
    estimate: null,
    earlier: [],
    papers,
    steps: Object.fromEntries(papers.map(({ id }) => [id, 0])),
    pace: 'amount',
    checks: [],
    answers: answers.map((answer) => ({ code: '', problem: '', answer })),
  };
}

async function longest(address: string): Promise<readonly number[]> {
  await page.driver.get('about:blank');
  await page.driver.get(address);
  await page.driver.sleep(SETTLED);
  const tasks = await page.script<number[]>('return window.tasks');
  return tasks.sort((a, b) => b - a);
}

/** The longest task of the page while a comparison opens, for the hardest that the server accepts. */
describe('tasks of the page', () => {
  it.each(HARDEST)('$what', async (hard) => {
    const { id } = await server.json<{ id: string }>('comparisons', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ document: document(hard) }),
    });
    for (const view of hard.answers ? ['', '/slips'] : ['', '/why']) {
      const tasks = await longest(`${server.address}/c/${id}${view}`);
      const told = tasks.slice(0, 5).join(', ') || 'under 50';
      process.stdout.write(`${hard.what}${view}: longest tasks ${told} ms (goal ${GOAL})\n`);
    }
  });
});
