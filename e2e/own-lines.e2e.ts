import { By, Key } from 'selenium-webdriver';
import { openComparison } from './harness/open.ts';
import { page, server } from './harness/scene.ts';
import { type, typed, waitTyped, waitWords, words } from './harness/typing.ts';

const WAYS = 'Two ways of a class';

describe('own lines', () => {
  it('are laid with a key and typed line by line, each with its law', async () => {
    await openComparison(server, page, WAYS);
    await page.waitCount('.paper', 3);
    await page.press('Put T07’s lines away');
    await page.press('Put T11’s lines away');
    await page.keys('e');
    await page.waitCount('.paper', 2);
    await page.find('.paper[data-paper="1"] .line-editor');
    await type('=34*100 - 34*2');
    await waitTyped('= 34×100 − 34×2');
    await page.waitText('.line-said', /98 = 100 − 2: distributive law/);
    await page.keys(Key.ENTER);
    await waitTyped('');
    await waitWords(['✓ distributive law']);
  });

  it('take an offer with the right arrow, and Tab leaves them', async () => {
    await page.waitText('.offers .chosen', /= 3400 − 68/);
    await page.keys(Key.ARROW_RIGHT);
    await waitTyped('= 3400 − 68');
    await page.keys(Key.ENTER);
    await page.waitText('.offers .chosen', /= 3332/);
    await page.keys(Key.ARROW_RIGHT, Key.TAB);
    await page.waitCount('.line-editor', 0);
    await waitWords(['✓ distributive law', '✓ worked out', '✓ worked out']);
    await page.waitText('.gauge', /balanced ✓/);
    await page.waitText('.agree h2', /checked ✓/);
    await page.waitText('.agree', /34 × 100 − 34 × 2|34×100 − 34×2/);
  });

  it('show the strip that is laid too far, and tell it where it is pointed at', async () => {
    await page.waitText('.beyond-note', /68 laid too far and taken back/);
    const taken = By.xpath('//*[@data-paper="1"]//*[@data-entry][contains(., "68")]');
    await page.driver.findElement(taken).click();
    await page.waitText('.worth', /34 × 2, taken back: in no other method/);
    await page.waitCount('.beyond .lit', 1);
    await page.keys(Key.ESCAPE);
  });

  it('are undone line by line and done again', async () => {
    await page.chord(Key.CONTROL, 'z');
    await waitWords(['✓ distributive law', '✓ worked out']);
    await page.chord(Key.CONTROL, 'y');
    await waitWords(['✓ distributive law', '✓ worked out', '✓ worked out']);
  });

  it('are split by Enter, joined by Backspace, and moved in by arrows', async () => {
    await page.keys('e');
    await waitTyped('');
    await page.keys(Key.ARROW_UP);
    await waitTyped('= 3332');
    await page.keys(Key.ARROW_UP);
    await waitTyped('= 3400 − 68');
    await page.keys(Key.HOME, Key.ARROW_RIGHT, Key.ARROW_RIGHT);
    await page.keys(Key.ENTER);
    await waitTyped('3400 − 68');
    await page.keys(Key.BACK_SPACE);
    await waitTyped('= 3400 − 68');
    await page.keys(Key.ESCAPE);
    await waitWords(['✓ distributive law', '✓ worked out', '✓ worked out']);
  });

  it('leak where a line is wrong, by how much, and are mended by the nearest true line', async () => {
    await page.keys('e');
    await page.keys(Key.ARROW_UP, Key.ARROW_UP);
    await waitTyped('= 3400 − 68');
    await page.chord(Key.CONTROL, 'a');
    await type('= 3400 − 86');
    await page.waitText('.line-said', /18 too little/);
    await page.keys(Key.ESCAPE);
    await waitWords(['✓ distributive law', '✗ 18 too little', '✗ 18 too much']);
    await page.waitText('.paper[data-paper="1"] .line-count', /3 lines: 2 not equal/);
    await page.chord(Key.CONTROL, 'z');
    await page.waitText('.paper[data-paper="1"] .line-count', /3 lines ✓/);
  });

  it('keep a struck line legible and do not judge it', async () => {
    await page.keys('e');
    await type('= 34 × 98 × 2');
    await page.chord(Key.ALT, 'x');
    await page.keys(Key.ESCAPE);
    await page.waitText('.paper[data-paper="1"] .line-count', /3 lines ✓/);
    await page.waitText('.paper[data-paper="1"] .sheet', /34 × 98 × 2/);
    await page.waitCount('.paper[data-paper="1"] .printed line.thin', 1);
  });

  it('have a code or a name, and no person’s name for a code', async () => {
    await page.click('.paper[data-paper="1"] .own-head .school');
    const code = await page.find('.naming input');
    await code.sendKeys('Maria');
    await page.waitText('.naming [role="alert"]', /up to three letters and one to four figures/);
    await code.sendKeys(Key.chord(Key.CONTROL, 'a'), 'K21', Key.ENTER);
    await page.waitText('.paper[data-paper="1"] .method-name', /^K21’s lines$/);
  });

  it('lie as they were after a reload, with every view of them', async () => {
    await page.driver.sleep(900);
    await page.driver.navigate().refresh();
    await page.waitText('.paper[data-paper="1"] .method-name', /^K21’s lines$/);
    await page.waitText('.paper[data-paper="1"] .line-count', /3 lines ✓/);
    await page.press('Why');
    await page.waitText('.why-methods', /K21’s lines, as typed/);
    await page.waitText('.why-methods', /98 = 100 − 2: distributive law/);
    await page.press('Bench');
    await page.keys('f');
    await page.waitText('.present-papers', /K21’s lines/);
    await page.keys(Key.ESCAPE);
    await page.find('.bench .paper');
  });
});

describe('ways others take', () => {
  it('are offered with why and cost, and laid by one press', async () => {
    await page.keys('e');
    await page.waitCount('.line-editor', 1);
    await page.keys(Key.ESCAPE);
    await page.press('Ways others take with these numbers');
    await page.waitText('[role="menu"]', /17 × 196/);
    const way = By.xpath('//*[@role="menuitem"][contains(., "17 × 196")]');
    await page.driver.findElement(way).click();
    await page.waitCount('.paper', 3);
    await page.waitText('.paper[data-paper="2"] .line-count', /lines ✓/);
  });

  it('are laid from the menu of methods, and offered on the empty line', async () => {
    await page.click('.paper[data-paper="0"] .method-name');
    const own = By.xpath('//*[@role="menuitem"][contains(., "Own lines")]');
    await page.driver.wait(async () => (await page.driver.findElements(own)).length > 0, 4000);
    await page.driver.findElement(own).click();
    await page.waitText('.paper[data-paper="0"] .line-count', /empty/);
    await page.waitText('.paper[data-paper="0"] .blank-hint', /type how it is worked/);
    await page.click('.paper[data-paper="0"] .stage');
    await page.waitText('.line-said .offers', /98 is 2 short of 100/);
    await page.chord(Key.ALT, Key.ARROW_DOWN);
    await page.keys(Key.ARROW_RIGHT);
    await page.driver.wait(async () => /^= .*34|^= .*17/.test(await typed()), 4000);
    await page.keys(Key.ESCAPE);
    await page.press('Put Own lines away');
  });
});

describe('run-on lines', () => {
  it('say “and then”, leak nothing, and are broken into statements', async () => {
    await openComparison(server, page, 'An equals sign that says');
    await page.waitText('.paper[data-paper="1"] .notes text', /says “and then”/);
    await page.waitText('.paper[data-paper="1"] .line-count', /1 line: 1 run-on/);
    await page.keys('e', Key.ARROW_UP);
    await page.waitText('.line-said', /6 \+ 8 = 14; 14 \+ 5 = 19; 19 \+ 9 = 28/);
    await page.waitText('.line-said .offers', /arrows: 6 \+8→ 14 \+5→ 19 \+9→ 28/);
    await page.keys(Key.END, Key.ARROW_RIGHT, Key.ESCAPE);
    await page.waitText('.paper[data-paper="1"] .line-count', /^3 lines/);
    await page.chord(Key.CONTROL, 'z');
    await page.waitText('.paper[data-paper="1"] .line-count', /1 line: 1 run-on/);
  });
});

describe('the nearest method', () => {
  it('is laid beside the lines, with their hops', async () => {
    await openComparison(server, page, 'What was too much');
    await page.click('[data-paper="2"] [aria-label="Ways others take with these numbers"]');
    const near = By.xpath('//*[@role="menuitem"][contains(., "Lay as")]');
    await page.driver.wait(async () => (await page.driver.findElements(near)).length > 0, 5000);
    await page.driver.findElement(near).click();
    await page.waitCount('.paper', 4);
    await page.waitText('.paper[data-paper="3"]', /own hops \+32 \+203/);
    await page.chord(Key.CONTROL, 'z');
    await page.waitCount('.paper', 3);
  });

  it('is none for a learner’s paper that fits none, which is typed instead', async () => {
    await openComparison(server, page, 'Sandbags on the north bank', '/slips');
    await page.press('Real answers · 30');
    await page.press('a whole paper');
    await page.press('it fits no method: type its lines…');
    await page.find('.bench .line-editor');
    await page.keys(Key.ESCAPE);
    await page.press('Put Own lines away');
  });
});

describe('a way on other numbers', () => {
  it('shows letters for its numbers, and says which condition fails', async () => {
    await openComparison(server, page, WAYS);
    await page.find('.paper[data-paper="1"] .sheet');
    await page.press('This way on other numbers');
    await page.waitTexts('.way-lines td:nth-child(2)', ['= a × c − a × d', '= e − f', '= g']);
    await page.waitText('.way-holds', /c is more than b/);
    await page.waitText('.way-says', /Every line holds/);
    const numbers = await page.find('.way-numbers input');
    await numbers.sendKeys(Key.chord(Key.CONTROL, 'a'), '46 × 100');
    await page.waitText('.way-says', /c is more than b, which is 100; here c is 100/);
    await numbers.sendKeys(Key.chord(Key.CONTROL, 'a'), '27 × 89');
    await page.waitText('.way-says', /Every line holds/);
    const there = '.way-lines td:nth-child(3)';
    await page.waitTexts(there, ['= 27 × 100 − 27 × 11', '= 2700 − 297', '= 2403']);
    await page.click('.way-rules select option:nth-child(2)');
    await page.waitTexts(there, ['= 27 × 90 − 27 × 1', '= 2430 − 27', '= 2403']);
  });

  it('takes a rule of one’s own, key by key', async () => {
    await page.click('.way-rules select option:last-child');
    const rule = await page.find('.way-rules input');
    await rule.sendKeys(Key.chord(Key.CONTROL, 'a'), 'b');
    await page.settles('return document.querySelector(".way-rules input").value', 'b');
    await rule.sendKeys(' + 2');
    const there = '.way-lines td:nth-child(3)';
    await page.waitTexts(there, ['= 27 × 91 − 27 × 2', '= 2457 − 54', '= 2403']);
    expect(await rule.getAttribute('value')).toBe('b + 2');
    await page.click('.way-rules select option:nth-child(3)');
    await page.waitTexts(there, ['= 27 × 90 − 27 × 1', '= 2430 − 27', '= 2403']);
  });

  it('goes to the bench with everything else, and back by undo', async () => {
    await page.press('Lay on 27 × 89');
    await page.waitText('.line-count', /3 lines ✓/);
    await page.settles('return document.querySelector("[data-problem-field]").value', '27 × 89');
    await page.chord(Key.CONTROL, 'z');
    await page.settles('return document.querySelector("[data-problem-field]").value', '34 × 98');
  });

  it('follows when the numbers of the bench are changed', async () => {
    await openComparison(server, page, 'What was too much');
    const paper = '.paper[data-paper="1"]';
    await page.find(`${paper} .sheet`);
    await page.compute('724 − 458');
    await page.waitText(`${paper} .sentence`, /These lines were right for 503 − 268/);
    await page.click(`${paper} .sentence button`);
    await page.waitText(`${paper} .line-count`, /2 lines ✓/);
    await page.chord(Key.CONTROL, 'z');
    await page.chord(Key.CONTROL, 'z');
    await page.settles('return document.querySelector("[data-problem-field]").value', '503 − 268');
  });
});

describe('whatever is typed', () => {
  it('is kept, with one sentence each', async () => {
    await openComparison(server, page, 'Twelfths without being told');
    await page.press('Put T13’s lines away');
    await page.press('Put T04’s lines away');
    await page.keys('e');
    const paper = '.paper[data-paper="1"]';
    const lines: readonly (readonly [string, RegExp])[] = [
      ['((((', /end|bracket|closed/i],
      ['<b>bold</b>', /./],
      ['first I made them twelfths', /A note/],
      ['= 2/3 + 1/0', /0/],
      ['= y + 1', /letter y does not stand in/],
      ['= 642 − 387', /too much/],
    ];
    for (const [text, said] of lines) {
      await type(text);
      await page.waitText('.line-said', said);
      await page.keys(Key.ENTER);
      await waitTyped('');
    }
    await page.keys(Key.ESCAPE);
    const sheet = await page.text(`${paper} .sheet`);
    for (const text of ['((((', '<b>bold</b>', 'first I made them twelfths']) {
      expect(sheet).toContain(text);
    }
    expect(await page.count(`${paper} .sheet b`)).toBe(0);
    await page.waitText('.agree h2', /checked/);
    await page.driver.sleep(900);
    await page.driver.navigate().refresh();
    await page.waitText(`${paper} .line-count`, /6 lines/);
  });

  it('may be sixty lines at once, and no more', async () => {
    await page.keys('e');
    const lines = Array.from({ length: 70 }, (_, k) => `${k} + 1 = ${k + 1}`).join('\n');
    await page.script(
      `const field = document.querySelector('.line-editor input');
       const data = new DataTransfer(); data.setData('text/plain', arguments[0]);
       field.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));`,
      lines,
    );
    await page.keys(Key.ESCAPE);
    await page.waitText('.paper[data-paper="1"] .line-count', /60 lines/);
    // Two of the sixty are notes, of which nothing is said.
    expect(await words()).toHaveLength(58);
  });
});
