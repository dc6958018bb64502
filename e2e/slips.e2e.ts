import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { By } from 'selenium-webdriver';
import { findComparison, openComparison } from './harness/open.ts';
import { page, server } from './harness/scene.ts';

const NORTH = 'Sandbags on the north bank';

/** What is kept of a comparison on the server. */
async function kept(id: string): Promise<string> {
  return JSON.stringify(await server.json(`comparisons/${id}`));
}

describe('one slip', () => {
  it('lies beside the right paper, framed, with what it leaks and who would notice', async () => {
    await openComparison(server, page, NORTH);
    await page.press('Slips');
    await page.waitCount('.slip-paper', 2);
    await page.click('[data-slip="omit-placeholder@line-1"] button');
    await page.waitText('.slip-paper.slipped h2', /^Line not shifted$/);
    await page.waitText('.two-levels', /leaked 2070/);
    expect(await page.count('.slipped .frames.edge .point')).toBeGreaterThan(0);
    expect(await page.text('.noticed .caught')).toMatch(/noticed by estimate/);
    expect(await page.texts('.noticed .through strong')).toContain(
      '✗ let through by casting out the base minus one',
    );
    await page.press('from the start');
    await page.waitText('.slipped .caption', /step 0 of 7/);
    expect(await page.count('.slipped .frames.edge .point')).toBe(0);
    await page.waitText('.two-levels', /balanced so far/);
  });

  it('is made at every chance as a habit, and with a second slip', async () => {
    await page.press('as a habit');
    await page.click('[data-slip="forget-carry@line-0.1"] button');
    await page.press('as a habit');
    await page.press('to the end');
    await page.waitText('.two-levels', /leaked 340/);
    await page.press('+ a second slip');
    await page.waitText('.slip-mode', /Choose the second one/);
    await page.click('[data-slip="omit-placeholder@line-1"] button');
    await page.waitCount('.slip-list tr.second', 1);
    await page.press('to the end');
    await page.waitText('.two-levels', /leaked 2110/);
  });

  it('has a learner who does it on other numbers, and one answer to foretell', async () => {
    await page.press('once');
    await page.waitCount('.habit-items li', 7);
    expect(await page.count('.habit-items .hidden-habit')).toBe(2);
    const before = await page.text('.habit-items li');
    await page.press('? show');
    await page.waitText('.next-item', /= \d+$/);
    await page.press('other numbers');
    await page.driver.wait(async () => (await page.text('.habit-items li')) !== before, 4000);
  });

  it('is put on the bench, where the paper says so and is taken back', async () => {
    await page.press('put on the bench');
    await page.find('.bench .paper');
    await page.waitText('.paper[data-paper="0"]', /carry not added/i);
    await page.driver.navigate().refresh();
    await page.waitText('.paper[data-paper="0"]', /carry not added/i);
    await page.click('.paper[data-paper="0"] .slip');
    await page.driver.wait(
      async () => !/carry not added/i.test(await page.text('.paper[data-paper="0"]')),
      4000,
    );
  });

  it('is put on from the bench itself, chance by chance', async () => {
    await page.click('.paper[data-paper="1"] .put-slip');
    await page.waitText('[role="menu"]', /Cell left empty \(6×50\)\s+A cell/);
    const named = By.xpath('//*[@role="menuitem"][contains(., "Cell left empty (6×50)")]');
    await page.driver.findElement(named).click();
    await page.waitText('.paper[data-paper="1"]', /slip: cell left empty/i);
    await page.click('.paper[data-paper="1"] .slip');
    await page.waitCount('.paper[data-paper="1"] .slip', 0);
  });

  it('before the work is another answer, or the paper of another computation', async () => {
    await page.press('Slips');
    await page.press('before the work · 16');
    await page.click('[data-slip="neighbours-exchanged@operand-0.0"] button');
    await page.waitText('.slip-paper.slipped h2', /^64 × 58$/);
    expect(await page.texts('.noticed .caught strong')).toContain('✓ noticed by second method');
    await page.click('[data-slip="other-operation@answer-0=104"] button');
    await page.waitText('.handed-in', /^104$/);
  });

  it('is opened from a check that would not catch it', async () => {
    await openComparison(server, page, NORTH, '/checks');
    await page.script(`document.querySelector('[data-check="casting-out"] details').open = true`);
    await page.script(
      `[...document.querySelectorAll('[data-check="casting-out"] a')].find((a) => a.textContent === 'Line not shifted').click()`,
    );
    await page.waitText('.slip-paper.slipped h2', /^Line not shifted$/);
  });

  it('is covered when it is shown alone, and uncovered piece by piece', async () => {
    await page.press('present');
    await page.find('.slips.alone');
    expect(await page.text('.slips')).not.toMatch(/Line not shifted|leaked|noticed by/);
    expect(await page.count('.slipped .frames.edge .point')).toBe(0);
    await page.press('uncover marks');
    await page.driver.wait(
      async () => (await page.count('.slipped .frames.edge .point')) > 0,
      4000,
    );
    await page.press('uncover gauge');
    await page.waitText('.two-levels', /leaked 2070/);
    expect(await page.text('.slips')).not.toMatch(/Line not shifted/);
    await page.press('uncover name');
    await page.waitText('.slip-paper.slipped h2', /^Line not shifted$/);
    await page.press('leave');
    await page.find('.slips:not(.alone)');
  });
});

describe('a class', () => {
  it('thins out by every paper, with a table behind the chart, the same for the same seed', async () => {
    await openComparison(server, page, NORTH, '/slips?view=class');
    await page.waitCount('.class-ends tbody tr', 3);
    await page.find('.chart svg');
    const first = await page.texts('.class-ends tbody tr');
    await page.press('Work it');
    await page.find('.class-ends');
    await page.waitTexts('.class-ends tbody tr', first);
    await page.press('show the table');
    await page.waitCount('.loss-tables table', 3);
    expect(await page.text('.loss-tables')).toMatch(/carry added before multiplying, line 1, tens/);
  });

  it('is as it is assumed to be: nobody slips where no chance is given', async () => {
    await page.script(`
      for (const field of document.querySelectorAll('.rate-table input')) {
        Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set.call(field, '0');
        field.dispatchEvent(new Event('input', { bubbles: true }));
      }`);
    await page.press('Work it');
    await page.waitText('.class-main h2', /Of 30 learners 30\.0 are still right/);
    await page.press('take from 30 answers');
    await page.waitText('.rate-table', /Line not shifted\s+4 of 30/);
    await page.press('as assumed');
  });
});

describe('real answers', () => {
  it('are grouped, explained, and lead to the paper', async () => {
    await openComparison(server, page, NORTH, '/slips?view=answers');
    await page.waitText('.answer-groups', /598\s+4\s+Line not shifted/);
    await page.press('2368');
    await page.waitText('.answer-detail', /2 explanations give this answer/);
    expect(await page.texts('.explanations li strong')).toEqual([
      'Carry not added (line 2, tens)',
      'Product passed over (6×50)',
    ]);
    expect(await page.text('.answer-detail')).toMatch(/would tell both apart/);
    await page.press('see its paper');
    await page.waitText('.slip-paper.slipped h2', /^Carry not added$/);
  });

  it('are read from what is pasted; what cannot be read stays, and no name is kept', async () => {
    const { id } = await openComparison(server, page, 'Swapped factors', '/slips?view=answers');
    const field = await page.find('.answers-entry textarea');
    await field.sendKeys('Ann Reed, 2555\nT02, 2155\nT03, 7 ×, 12\nforty\n<b>9</b>\n=SUM(A1:A2)');
    await page.press('Read');
    await page.waitText('.answers-report', /Line 3: The problem/);
    await page.waitText('.renamed', /N1 Ann Reed/);
    expect(
      await page.script('return document.querySelector(".answers-entry textarea").value'),
    ).toBe('T03, 7 ×, 12\nforty\n<b>9</b>\n=SUM(A1:A2)');
    await page.waitText('.answer-groups', /2555\s+1\s+✓ right/);
    for (const fault of [/is not a number/, /marks of a web page/, /This is a formula/]) {
      await page.waitText('.answers-report', fault);
    }
    await page.driver.wait(async () => (await kept(id)).includes('2155'), 8000, 'it is kept');
    for (const never of ['Reed', 'forty', 'SUM']) expect(await kept(id)).not.toContain(never);
    await page.driver.navigate().refresh();
    await page.waitText('.answer-groups', /2155/);
    await page.press('clear 2');
    await page.waitCount('.answer-groups', 0);
  });

  it('are read from a file', async () => {
    const { id } = await openComparison(server, page, 'Swapped factors', '/slips?view=answers');
    const file = join(mkdtempSync(join(tmpdir(), 'levee-answers-')), 'answers.csv');
    writeFileSync(file, 'code,answer\r\nT01,"2555"\r\nT02,2155\r\n');
    await page.waitCount('.answers-entry input[type="file"]', 1);
    const input = await page.driver.findElement({ css: '.answers-entry input[type="file"]' });
    await input.sendKeys(file);
    await page.waitText('.answer-groups', /2555\s+1\s+✓ right/);
    await page.driver.wait(async () => (await kept(id)).includes('2155'), 8000, 'it is kept');
    await page.press('clear 2');
    await page.waitCount('.answer-groups', 0);
  });

  it('on a whole paper are read mark by mark: what is right, leaks, follows and is new', async () => {
    await openComparison(server, page, NORTH, '/slips?view=answers');
    await page.press('a whole paper');
    const paper: Readonly<Record<string, string>> = {
      'line 1': '328',
      'line 2': '2300',
      'answer 1': '3628',
    };
    for (const [row, figures] of Object.entries(paper)) {
      for (const [k, figure] of [...figures].reverse().entries()) {
        await (await page.find(`[aria-label="${row}, ${k + 1} from the right"]`)).sendKeys(figure);
      }
    }
    await page.press('Read it');
    await page.waitText('.paper-reading h2', /8 of 13 marks are right/);
    expect(await page.texts('.paper-reading .explanations strong')).toEqual([
      'Carry not added (line 1, tens)',
    ]);
    expect(await page.text('.paper-reading')).toMatch(/New: 3 where 2 was due/);
    expect(await page.count('.square.leak')).toBe(1);
    expect(await page.count('.square.followed')).toBe(1);
    await page.waitText('.credit h2', /Credit 1 of 3/);
    await page.script(`document.querySelector('[aria-label="Points for line 2"]').focus()`);
    await page.keys('\u0008', '4');
    await page.driver.wait(
      async () => /Credit (4|14|41) of/.test(await page.text('.credit h2')),
      4000,
    );
  });

  it('of one learner to several problems show the habit', async () => {
    await openComparison(server, page, 'Bags left after the night shift', '/slips?view=answers');
    await page.press('by learner');
    await page.waitText('.habits-found', /Lender not reduced: made at \d+ of \d+ chances, a habit/);
    expect(await page.text('.sheet-learner')).toMatch(/967 − 243\s+723\s+a difference one off/);
  });
});

it('says nothing to the console', async () => {
  expect(await page.complaints()).toEqual([]);
  expect((await findComparison(server, NORTH)).document.problem).toBe('46 × 58');
});
