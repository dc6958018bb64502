import { Key } from 'selenium-webdriver';
import { openComparison } from './harness/open.ts';
import { page, server } from './harness/scene.ts';

const sentence = (paper: number) => `.paper[data-paper="${paper}"] .sentence`;
const shares = () => page.texts('.area .shares text');
const equation = '[aria-label="Quotient times divisor and what is left"]';

describe('division', () => {
  it('finds one side of a rectangle, and every step keeps the dividend', async () => {
    await openComparison(server, page, '952 ÷ 7');
    await page.keys(Key.HOME);
    await page.waitText(equation, /^0 × 7 \+ 952 = 952$/);
    expect(await shares()).toEqual([]);
    const seen: string[] = [];
    for (let step = 0; step < 11; step++) {
      await page.keys(Key.ARROW_RIGHT);
      seen.push(await page.text(equation));
      await page.waitText('.gauge .balance', /balanced ✓/);
    }
    expect(seen.every((line) => line.endsWith('= 952'))).toBe(true);
    await page.keys(Key.END);
    await page.waitText(equation, /^136 × 7 \+ 0 = 952$/);
    expect(await shares()).toEqual(['100', '30', '6']);
    await page.waitText('.agree', /checked ✓/);
  });

  it('tells what a share is worth and where it lives on the other papers', async () => {
    await page.click('.paper[data-paper="0"] [data-entry="g0.0"]');
    await page.waitText('.worth-figure', /^900 ÷ 7$/);
    expect(await page.text('.worth-line')).toMatch(/the dividend’s digit 9: 9 hundreds/);
    await page.keys(Key.ESCAPE);
    await page.click('.paper[data-paper="2"] [data-entry="m1"]');
    await page.waitText('.worth-figure', /^100$/);
    expect(await page.text('.worth')).toMatch(/the hundreds of the quotient, 1/);
    await page.find('.region.exact');
    await page.keys(Key.ESCAPE);
  });

  it('takes chunks of her own, judged while they are typed', async () => {
    await page.press('own chunks…');
    const field = await page.find('[aria-label="Next chunk"]');
    await field.sendKeys('200');
    await page.waitText('.hop-field', /200 × 7 is 1400, and only 952 is left/);
    await field.sendKeys(Key.chord(Key.CONTROL, 'a'), '0.5');
    await page.waitText('.hop-field', /0.5 is finer/);
    await field.sendKeys(Key.chord(Key.CONTROL, 'a'), '130', Key.ENTER);
    await page.waitText('.hops-strip .chip', /^\+130/);
    await page.press('done');
    await page.keys(Key.END);
    await page.waitText(sentence(2), /136 times/);
    await page.chord(Key.CONTROL, 'z');
  });

  it('says what is left over, in the right unit, and that counted things are not split', async () => {
    await openComparison(server, page, '1835 ÷ 24');
    const note = await page.find('.chip.warning');
    expect(await note.getAttribute('aria-label')).toMatch(/76 bundles can be made, and 11/);
    await page.keys(Key.END);
    await page.waitText(sentence(0), /Answer: 76 bundles, 11 left over/);
    await page.waitText(sentence(2), /same figures follow without end: 3/);
    await page.waitText('.gauge-total', /^76 r 11$/);
    await page.keys('y');
    await page.waitText('[aria-label="Back to the dividend"]', /76 × 24 \+ 11 = 1835 ✓ Long/);
    expect(await page.text('[role="status"]')).toMatch(/checked again/);
  });

  it('scales both numbers by a decimal divisor, and foresees a larger answer', async () => {
    await openComparison(server, page, '31.5 ÷ 0.7');
    const foreseen = await page.find('[aria-label^="0.7 is less than 1"]');
    expect(await foreseen.getText()).toBe('answer above 31.5');
    await page.keys(Key.HOME);
    expect(await page.text(sentence(0))).toMatch(/^Both numbers are scaled until the divisor/);
    await page.keys(Key.ARROW_RIGHT);
    await page.waitText(sentence(0), /315 ÷ 7 has the same quotient as 31.5 ÷ 0.7/);
    await page.waitText('.gauge-total', /^45$/);
  });

  it('names a zero divisor and keeps the computation', async () => {
    await page.compute('7 ÷ 0', '');
    await page.waitText('.problem-reading', /has no answer/);
    await page.keys(Key.ESCAPE);
    await page.waitText('.gauge-total', /^45$/);
    expect(await page.complaints()).toEqual([]);
  });
});

describe('decimals', () => {
  it('work on whole numbers with the scale in sight and every figure’s true worth', async () => {
    await openComparison(server, page, '3.6 × 20.5');
    await page.waitTexts('.stage .sign-caption', Array(3).fill('3.6 × 20.5 = 36 × 205 ÷ 100'));
    await page.keys(Key.END);
    await page.waitText(sentence(1), /hundredths: 73.80. By rounded factors about 80, so it fits/);
    await page.click('.paper[data-paper="0"] [data-entry="m2"]');
    await page.waitText('.worth-figure', /^0.3$/);
    expect(await page.text('.worth-line')).toMatch(/carry: 3 tenths/);
    await page.keys(Key.ESCAPE);
  });

  it('place the point by counting and by estimate, and say so when they part', async () => {
    await page.keys('k');
    await page.waitText('[data-check="point"]', /of 7.380, 73.80 and 738.0 it picks 73.80/);
    await page.waitText('[data-check="direction"]', /that fits/);
    await page.waitText('[data-check="totals"]', /Both ways make the answer 73.8/);
    await page.waitText('[data-check="casting-out"]', /the same/);
  });

  it('stand with their points under each other', async () => {
    await openComparison(server, page, '3.06 + 1.8 + 12.45');
    const points = await page.script<number[]>(
      `return [...document.querySelectorAll('.paper[data-paper="0"] .sign-point')]
        .map((sign) => Math.round(sign.getBoundingClientRect().left));`,
    );
    expect(points.length).toBe(4);
    expect(new Set(points).size).toBe(1);
    await page.keys(Key.END);
    await page.waitText('.gauge-total', /^17.31$/);
  });

  it('are hopped over in tenths and hundredths', async () => {
    await openComparison(server, page, '20 − 13.45');
    await page.press('own hops +0.05 +0.5 +6');
    await page.press('Take +0.5 and what follows away');
    const field = await page.find('[aria-label="Next hop"]');
    await field.sendKeys('0.55');
    await page.waitText('.hop-field', /lands on 14.05, 5.95 to go/);
    await field.sendKeys(Key.chord(Key.CONTROL, 'a'), '0.555');
    await page.waitText('.hop-field', /go down to 0.01/);
    await page.press('done');
    await page.chord(Key.CONTROL, 'z');
  });

  it('go stage by stage through three factors', async () => {
    await openComparison(server, page, '12 × 3.5 × 0.4');
    await page.keys(Key.END);
    await page.waitText('.gauge-total', /^16.8$/);
    await page.waitText('.area h2', /What the other factors make, by the last/);
    await page.waitText('.agree', /checked ✓/);
    const later = '.paper[data-paper="0"] .figure.given[data-state="absent"]';
    expect(await page.count(later)).toBe(0);
    await page.keys(Key.HOME);
    await page.driver.wait(async () => (await page.count(later)) > 0, 4000);
  });

  it('take and show the decimal comma by setting', async () => {
    await page.script(
      `localStorage.setItem('levee.settings', JSON.stringify({ state: { words: { point: ',' } }, version: 1 }));`,
    );
    await openComparison(server, page, '46 × 58');
    await page.compute('3,6 × 20,5');
    await page.waitText('.gauge-total', /^73,8$/);
    expect(await page.text('.sign-caption')).toBe('3,6 × 20,5 = 36 × 205 ÷ 100');
    await page.waitText('.agree', /0,3 \+ 1,5/);
    await page.compute('1.5 × 3', '');
    await page.find('.problem-reading');
    await page.keys(Key.ESCAPE);
    await page.chord(Key.CONTROL, 'z');
    await page.script(`localStorage.removeItem('levee.settings');`);
    expect(await page.complaints()).toEqual([]);
  });
});

describe('other bases', () => {
  it('divide and keep the computation when the base is switched', async () => {
    await openComparison(server, page, '1670_8');
    await page.keys(Key.END);
    await page.waitText('.gauge-total', /^210$/);
    await page.pressChip('base 8');
    await page.find('[role="menu"]');
    const ten = await page.control('base ten952 ÷ 7');
    await ten.click();
    await page.waitText('.gauge-total', /^136$/);
    await page.chord(Key.CONTROL, 'z');
    await page.waitText('.gauge-total', /^210$/);
  });
});
