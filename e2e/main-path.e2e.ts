import { Key } from 'selenium-webdriver';
import { Page } from './harness/page.ts';
import { TestServer } from './harness/server.ts';

const server = new TestServer();
let page: Page;

beforeAll(async () => {
  await server.start({ demo: false });
  page = await Page.open();
});

afterAll(async () => {
  await page?.close();
  await server.remove();
});

const counts = () => page.texts('.paper .count');

describe('the main path', () => {
  let address = '';

  it('begins with an empty field, three suggestions and examples, and keeps nothing yet', async () => {
    await page.driver.get(server.address);
    await page.waitText('h1', /Nothing is kept here yet/);
    await page.waitCount('[aria-labelledby="suggested"] button', 3);
    await page.find('[aria-labelledby="examples"] button');
    expect(await page.count('[aria-labelledby="examples"] button')).toBeGreaterThan(10);
    expect(await server.json<{ total: number }>('comparisons')).toMatchObject({ total: 0 });
    expect(await page.complaints()).toEqual([]);
  });

  it('takes a product as people type it, and reads it back while typing', async () => {
    await page.compute('73 x 64', '');
    expect(await page.text('.problem-math')).toContain('73');
    expect(await page.text('.problem-reading .hint')).toMatch(/Enter works it/);
    await page.keys(Key.ENTER);
    await page.waitText('.gauge-total', /^4672$/);
    address = await page.driver.getCurrentUrl();
    expect(address).toMatch(/\/c\/[0-9a-f-]{36}$/);
    expect(await (await page.find('[data-problem-field]')).getAttribute('value')).toBe('73 × 64');
  });

  it('offers an estimate first and keeps her judgement', async () => {
    expect(await page.text('.estimate')).toMatch(/estimate first\?\s+70 × 60 ≈ 4200/);
    await page.press('other…');
    await page.press('73 · as it is');
    await page.press('close');
    await page.press('Record');
    await page.waitText('.estimate', /estimate, before working\s*73 × 60 ≈ 4380\s+“close”/);
  });

  it('lets methods and schools be chosen, with reasons', async () => {
    await page.press('Lay another paper');
    await page.waitCount('.paper', 4);
    await page.press('Put Grid away');
    await page.waitCount('.paper', 3);
    await page.press('Carries: carries above');
    expect(await page.text('[role="menu"]')).toMatch(/each must be remembered for a step/);
    await page.keys(Key.ESCAPE);
    await page.waitCount('[role="menu"]', 0);
    await page.press('Carries: carries above');
    await (await page.find('[role="menuitem"]:nth-child(3)')).click();
    await page.waitText('.paper[data-paper="0"] .schools', /carries in the head/);
  });

  it('gives the keys back to the papers after a click', async () => {
    await page.driver.wait(
      () => page.script<boolean>('return document.activeElement === document.body'),
      2000,
    );
  });

  it('steps by amount, by step and apart, forward and back, and holds carries in the tray', async () => {
    await page.keys(' ');
    expect(await counts()).toEqual(['1 of 9', '1 of 8', '1 of 8']);
    expect(await page.text('.held-tray .held')).toBe('1');
    expect(await page.text('.paper[data-paper="0"] .sentence')).toMatch(/4 × 3 ones make 12 ones/);
    await page.keys(Key.ARROW_RIGHT);
    expect(await counts()).toEqual(['2 of 9', '2 of 8', '2 of 8']);
    await page.keys('2');
    expect(await counts()).toEqual(['2 of 9', '3 of 8', '2 of 8']);
    await page.chord(Key.SHIFT, '2');
    await page.keys(Key.ARROW_LEFT, Key.END);
    expect(await counts()).toEqual(['9 of 9', '8 of 8', '8 of 8']);
    await page.chord(Key.SHIFT, ' ');
    await page.keys(Key.HOME);
    expect(await counts()).toEqual(['0 of 9', '0 of 8', '0 of 8']);
  });

  it('says every step in digit voice and in value voice', async () => {
    await page.keys(' ');
    await page.keys('v');
    await page.waitText('.paper[data-paper="0"] .sentence', /4 × 3 = 12: write 2, carry 1/);
    await page.press('values');
    await page.waitText('.paper[data-paper="0"] .sentence', /carry 1 ten/);
    await page.driver.sleep(100);
  });

  it('shows what a mark is worth and where the same amount lives', async () => {
    await page.keys(Key.END);
    await page.click('.paper[data-paper="0"] [data-entry="m3"]');
    const worth = await page.text('.worth');
    expect(worth).toMatch(/held fast/);
    expect(worth).toMatch(/\b90\b/);
    expect(worth).toMatch(/in 292, line 1, 73 × 4/);
    expect(await page.count('.paper[data-paper="1"] .frames.edge .terms')).toBeGreaterThan(0);
    expect(await page.count('.paper[data-paper="0"] .frames.edge .point')).toBe(1);
    expect(await page.count('.region.near, .region.exact')).toBe(2);
    expect(await page.count('.level .pointed')).toBe(3);
    await page.keys(Key.ESCAPE);
    await page.waitText('.worth', /Point at any figure/);
  });

  it('points from the shared picture and from the keyboard as well', async () => {
    await page.click('.region:nth-of-type(2)');
    await page.waitText('.worth', /on the shared picture/);
    expect(await page.count('.frames.edge .same')).toBeGreaterThan(0);
    await page.keys(Key.ESCAPE);
    await page.script('document.querySelector(\'[data-paper="0"] .stage-wrap\').focus()');
    await page.keys(Key.ARROW_DOWN, Key.ARROW_DOWN);
    await page.waitText('.worth', /held fast/);
    expect(await counts()).toEqual(['9 of 9', '8 of 8', '8 of 8']);
    await page.script('document.activeElement.blur()');
    await page.keys(Key.ESCAPE);
  });

  it('lets an owed amount be worked out of turn where the order is free', async () => {
    await page.keys(Key.HOME);
    await page.click('.paper[data-paper="1"] .slots [data-entry="o1.1"]');
    await page.press('work this next · w');
    await page.waitText('.paper[data-paper="1"] .schools', /own order/);
    expect(await counts()).toEqual(['0 of 9', '1 of 8', '0 of 8']);
    await page.waitText('.gauge .balance', /balanced/);
  });

  it('undoes and redoes what was changed, but not the steps', async () => {
    await page.press('Undo');
    await page.waitText('.paper[data-paper="1"] .schools', /^(?!.*own order)/s);
    await page.chord(Key.CONTROL, Key.SHIFT, 'z');
    await page.waitText('.paper[data-paper="1"] .schools', /own order/);
  });

  it('shows why the methods agree, law by law', async () => {
    await page.press('law by law');
    await page.waitText('.why-head', /Why 73 × 64 = 4672 by every method/);
    expect(await page.text('.why-head')).toMatch(/checked again/);
    expect(await page.count('.why-method')).toBe(3);
    expect(await page.text('.why-same')).toMatch(/292/);
    await page.keys('b');
    await page.waitCount('.paper', 3);
  });

  it('is found again after the server was restarted', async () => {
    await page.keys(Key.END);
    await page.press('what do the numbers stand for?');
    const title = await page.find('[role="dialog"] input');
    await title.sendKeys('Hay bales <b>by</b> the cart', Key.ENTER);
    expect(await page.count('[role="dialog"]')).toBe(1);
    await page.press('Keep');
    await page.waitText('[data-keeping]', /^kept \d/);
    await page.driver.wait(async () => {
      const { document } = await server.json<{ document: { title: string } }>(
        `comparisons/${address.split('/').pop()}`,
      );
      return document.title !== '';
    }, 5000);
    expect(await server.stop()).toBe(0);
    await server.start({ demo: false });
    await page.driver.get(`${server.address}/comparisons`);
    const find = await page.find('input[type="search"]');
    await find.sendKeys('73x64');
    await page.waitCount('.list tbody tr', 1);
    await page.press('Hay bales <b>by</b> the cart');
    await page.waitText('.gauge-total', /^4672$/);
    expect(await page.driver.getCurrentUrl()).toBe(address);
    expect(await counts()).toEqual(['9 of 9', '8 of 8', '8 of 8']);
    await page.waitText('.estimate', /“close”/);
    expect(await page.complaints()).toEqual([]);
  });
});
