import { isBrief, measured } from './harness/bench.ts';
import { keep, type Laid } from './harness/keep.ts';
import { page, server } from './harness/scene.ts';

/** Longer than any part takes to come. */
const SETTLED = 3000;
const ROUNDS = isBrief ? 1 : 3;
/** Milliseconds until the first part of what was asked for stands. */
const GOAL = 300;

/** Something that is asked for by a press: when its first part stands, and when all of it does. */
interface Felt {
  readonly what: string;
  readonly laid: Laid;
  readonly press: string;
  readonly first: string;
  readonly all: string;
}

const OWN = ['= 46 × 60 − 46 × 2', '= 2760 − 92', '= 2668'];

const FELT: readonly Felt[] = [
  {
    what: 'slips of 40 addends',
    laid: {
      problem: Array.from({ length: 40 }, (_, k) => 100 + ((k * 37) % 899)).join(' + '),
      methods: ['column-addition', 'partial-sums', 'running-total', 'scratch-addition'],
    },
    press: '.rail a[href$="/slips"]',
    first: '.slip-list tbody tr',
    all: '.habit-items li, .habit-panel:not(:has([role=status]))',
  },
  {
    what: 'the menu of ways',
    laid: { problem: '46 × 58', lines: [OWN] },
    press: '[aria-label^="Ways others take"]',
    first: '[role=menuitem]:not([aria-disabled])',
    all: '[role=menuitem] .MuiListItemText-secondary',
  },
  {
    what: 'the dialog of a way',
    laid: { problem: '46 × 58', lines: [OWN] },
    press: '[aria-label="This way on other numbers"]',
    first: '.way-lines tbody tr',
    all: '.way-suggested button',
  },
];

/** Presses, and notes when two things stand on the page, in milliseconds from then on; null for one that never does. */
async function times({ press, first, all }: Felt): Promise<readonly (number | null)[]> {
  await page.script(
    `const [press, ...parts] = arguments;
     const began = performance.now();
     window.stood = parts.map(() => null);
     const look = () => {
       parts.forEach((css, k) => {
         if (window.stood[k] === null && document.querySelector(css)) window.stood[k] = performance.now() - began;
       });
       requestAnimationFrame(look);
     };
     document.querySelector(press).click();
     look();`,
    press,
    first,
    all,
  );
  await page.driver.sleep(SETTLED);
  return page.script<readonly (number | null)[]>('return window.stood');
}

/** What is felt when something large is asked for: its first part, then the rest. */
describe('asked for by a press', () => {
  it.each(measured(FELT))('$what', async (felt) => {
    const id = await keep(server, felt.laid);
    const rounds: (readonly (number | null)[])[] = [];
    for (let round = 0; round < ROUNDS; round++) {
      await page.driver.get('about:blank');
      await page.driver.get(`${server.address}/c/${id}`);
      await page.driver.sleep(SETTLED);
      rounds.push(await times(felt));
    }
    const told = [0, 1].map((part) =>
      rounds.map((round) => (round[part] === null ? 'never' : Math.round(round[part]!))).join(', '),
    );
    process.stdout.write(
      `${felt.what}: first part after ${told[0]} ms (goal ${GOAL}), all after ${told[1]} ms\n`,
    );
    expect(rounds.flat()).not.toContain(null);
  });
});
