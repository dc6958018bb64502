import { Key } from 'selenium-webdriver';
import { openComparison } from './harness/open.ts';
import { page, server } from './harness/scene.ts';

/** What has the focus: its name, else its words, else what it is. */
const focused = () =>
  page.script<string>(
    `const at = document.activeElement;
     return at.getAttribute('aria-label') ?? (at.tagName === 'MAIN' ? at.className : at.textContent);`,
  );

const clickRegion = (k: number) =>
  page.script(
    `document.querySelectorAll('.area .region')[${k}].dispatchEvent(new MouseEvent('click', { bubbles: true }))`,
  );

describe('framed amounts', () => {
  it('are numbered on every paper and on the picture, and taken away again', async () => {
    await openComparison(server, page, 'Sandbags on the north bank');
    await page.keys(Key.END);
    await page.waitCount('.area .region', 4);
    for (const k of [0, 3]) {
      await clickRegion(k);
      await page.keys('i');
    }
    await page.keys(Key.ESCAPE);
    await page.waitTexts('.framed-list .figures', ['2000', '48']);
    expect(await page.count('[data-paper="1"] .framed-edge')).toBe(2);
    expect(await page.count('[data-paper="2"] .framed-edge')).toBe(2);
    // The column gathers both within its lines.
    expect(await page.count('[data-paper="0"] .framed-edge')).toBe(0);
    await page.waitTexts('.area .framed-number', ['1', '2']);
    await page.press('Take frame 1 away');
    await page.waitTexts('.framed-list .figures', ['48']);
    await clickRegion(1);
    await page.keys('i');
    await page.waitTexts('.framed-name', ['2', '1']);
  });

  it('go along to print and to presenting, and stay behind when another comparison is opened', async () => {
    await page.chord(Key.ALT, 'p');
    await page.waitCount('.printed-sheet', 3);
    expect(await page.count('.printed-sheet .framed-edge')).toBe(4);
    await page.waitTexts('.print .framed-name', ['2', '1']);
    await page.press('Back to the bench');
    await page.find('.bench .paper');
    await page.keys('f');
    await page.waitTexts('.present .framed-name', ['2', '1']);
    await openComparison(server, page, 'Swapped factors');
    await page.waitText('.worth', /Point at any figure/);
    expect(await page.count('.framed-list')).toBe(0);
  });
});

describe('the focus', () => {
  it('goes to the screen that is gone to', async () => {
    await openComparison(server, page, 'Sandbags on the north bank');
    await page.keys('y');
    await page.find('main.why');
    await page.driver.wait(async () => (await focused()) === 'why', 4000, 'the focus is on Why');
    await page.keys('b');
    await page.find('main.bench');
    await page.driver.wait(async () => (await focused()) === 'bench', 4000, 'it is on the bench');
  });

  it('goes to the paper that takes the place of one that is put away', async () => {
    await page.waitCount('.paper', 3);
    await page.script(`document.querySelector('[aria-label="Put Grid away"]').focus()`);
    await page.keys(Key.ENTER);
    await page.waitCount('.paper', 2);
    expect(await page.script('return document.activeElement.className')).toBe('stage-wrap');
    expect(await focused()).toMatch(/Lattice/);
    await page.chord(Key.CONTROL, 'z');
    await page.waitCount('.paper', 3);
  });

  it('goes along the steps of a paper with the arrows, from one stop of Tab', async () => {
    await page.keys(Key.HOME);
    await page.find('.lane-blocks .block');
    await page.script(`document.querySelector('.lane-blocks .lane').focus()`);
    await page.keys(Key.ARROW_RIGHT, Key.ARROW_RIGHT);
    expect(await page.script('return document.activeElement.title')).toMatch(/^Column, step 2: /);
    expect(
      await page.script(`return document.querySelectorAll('.lane-blocks [tabindex="0"]').length`),
    ).toBe(3);
    await page.keys(Key.ENTER);
    await page.waitText('[data-paper="0"] .count', /^2 of 9$/);
  });
});

describe('what is typed', () => {
  it('into the estimate is asked for before it is thrown away', async () => {
    await page.keys('g');
    await page.find('[role="dialog"] input');
    await page.script(`document.querySelector('[role="dialog"] input').select()`);
    await page.keys('4', '5', Key.ESCAPE);
    await page.press('Go on typing');
    expect(await page.script(`return document.querySelector('[role="dialog"] input').value`)).toBe(
      '45',
    );
    await page.keys(Key.ESCAPE);
    await page.press('Throw it away');
    await page.waitCount('[role="dialog"]', 0);
    await page.waitText('.estimate', /50 × 60 ≈ 3000/);
  });
});

describe('the head', () => {
  it('opens the chips for which there is no room, and hides none of them for good', async () => {
    await page.resize(1024, 800);
    await page.press('more about these numbers');
    await page.waitText('.one-line-rest', /swap factors[\s\S]*base ten[\s\S]*read ten as/);
    await page.keys(Key.ESCAPE);
    await page.waitCount('.one-line-rest', 0);
    await page.resize(1280, 800);
  });
});

describe('a paper for those who listen', () => {
  it('is there row by row, with places', async () => {
    await page.keys(Key.END);
    await page.waitText(
      'ol[aria-label="Column, row by row"]',
      /4 in the tens, 6 in the ones[\s\S]*2 in the thousands, 6 in the hundreds, 6 in the tens, 8 in the ones/,
    );
  });
});
