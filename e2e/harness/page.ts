import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  Builder,
  By,
  error,
  Key,
  logging,
  type WebDriver,
  type WebElement,
} from 'selenium-webdriver';
import { Options, ServiceBuilder } from 'selenium-webdriver/chrome.js';

const ARGUMENTS = [
  '--headless',
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--disable-dev-shm-usage',
  '--hide-scrollbars',
  '--lang=en-GB',
];

const PATIENCE = 8000;

/** Reads an element; where mathematics is typeset a copy beside it has the typed formulas in their place. */
const READ_TEXT = `
  const [element] = arguments;
  if (!element.querySelector('.katex')) return (element.innerText ?? element.textContent).trim();
  const copy = element.cloneNode(true);
  for (const set of copy.querySelectorAll('.katex')) {
    const typed = set.querySelector('annotation').textContent;
    set.replaceWith(typed.replaceAll(/\\\\t?frac\\{(\\d+)\\}\\{(\\d+)\\}/g, '$1/$2'));
  }
  element.after(copy);
  const text = copy.innerText.trim();
  copy.remove();
  return text;
`;

/** What is asked of an element; undefined where the page has replaced it meanwhile. */
async function standing<T>(asked: Promise<T>): Promise<T | undefined> {
  try {
    return await asked;
  } catch (reason) {
    if (reason instanceof error.StaleElementReferenceError) return undefined;
    throw reason;
  }
}

/** A headless Chromium with an empty profile, driven as a person would. */
export class Page {
  private constructor(
    readonly driver: WebDriver,
    private readonly profile: string,
  ) {}

  static async open(width = 1280, height = 800, mobile = false): Promise<Page> {
    const profile = mkdtempSync(join(tmpdir(), 'levee-profile-'));
    const options = new Options();
    options.setChromeBinaryPath(process.env['CHROMIUM'] ?? '/usr/bin/chromium');
    options.addArguments(...ARGUMENTS, `--user-data-dir=${profile}`);
    const preferences = new logging.Preferences();
    preferences.setLevel(logging.Type.BROWSER, logging.Level.ALL);
    options.setLoggingPrefs(preferences);
    const service = new ServiceBuilder(process.env['CHROMEDRIVER'] ?? '/usr/bin/chromedriver');
    const driver = await new Builder()
      .forBrowser('chrome')
      .setChromeOptions(options)
      .setChromeService(service)
      .build();
    const page = new Page(driver, profile);
    await page.resize(width, height, mobile);
    return page;
  }

  resize(width: number, height: number, mobile = false): Promise<void> {
    const metrics = { width, height, deviceScaleFactor: 1, mobile };
    return this.devTools('Emulation.setDeviceMetricsOverride', metrics);
  }

  /** Runs a script in every page that is opened from now on, before its own. */
  beforeEveryPage(source: string): Promise<void> {
    return this.devTools('Page.addScriptToEvaluateOnNewDocument', { source });
  }

  /** Forgets what was loaded before. */
  forgetAll(): Promise<void> {
    return this.devTools('Network.clearBrowserCache', {});
  }

  private async devTools(name: string, parameters: object): Promise<void> {
    await (
      this.driver as WebDriver & {
        sendDevToolsCommand(name: string, parameters: object): Promise<void>;
      }
    ).sendDevToolsCommand(name, parameters);
  }

  async close(): Promise<void> {
    await this.driver.quit();
    rmSync(this.profile, { recursive: true, force: true });
  }

  /** The first element that a selector finds, waited for until it can be seen. */
  async find(css: string): Promise<WebElement> {
    const seen = async () => {
      const [first] = await this.driver.findElements(By.css(css));
      return first && (await standing(first.isDisplayed())) ? first : null;
    };
    return (await this.driver.wait(seen, PATIENCE, css))!;
  }

  /** What is done with the first element that a selector finds; again where it was replaced meanwhile. */
  private async with<T>(css: string, act: (element: WebElement) => Promise<T>): Promise<T> {
    const done = async () => {
      const element = await this.find(css);
      const value = await standing(act(element).then((value) => ({ value })));
      return value ?? null;
    };
    return (await this.driver.wait(done, PATIENCE, css))!.value;
  }

  /** The button, link or menu entry with exactly this text or accessible name. */
  async control(name: string): Promise<WebElement> {
    const quoted = JSON.stringify(name);
    const path = `//*[self::button or self::a or self::li or self::label][@aria-label=${quoted} or normalize-space(.)=${quoted}]`;
    const found = await this.driver
      .wait(() => this.visible(path), PATIENCE)
      .catch(async (reason: unknown) => {
        const [where, seen] = [await this.driver.getCurrentUrl(), await this.text('body')];
        throw new Error(`No "${name}" is to be seen at ${where}, where it says:\n${seen}`, {
          cause: reason,
        });
      });
    return found!;
  }

  /** The first of the elements at a path that can be seen; one that is being replaced is looked for again. */
  private async visible(path: string): Promise<WebElement | null> {
    for (const element of await this.driver.findElements(By.xpath(path)))
      if (await standing(element.isDisplayed())) return element;
    return null;
  }

  async press(name: string): Promise<void> {
    const done = async () => {
      const element = await this.control(name);
      return (await standing(element.click().then(() => true))) ?? false;
    };
    await this.driver.wait(done, PATIENCE, name);
  }

  /** The same for a chip of the head, which may lie behind "more". */
  async pressChip(name: string): Promise<void> {
    const path = `//button[normalize-space(.)=${JSON.stringify(name)}]`;
    if (!(await this.visible(path))) await this.press('more about these numbers');
    await this.press(name);
  }

  async click(css: string): Promise<void> {
    await this.with(css, (element) => element.click());
  }

  async text(css: string): Promise<string> {
    return this.with(css, (element) => this.read(element));
  }

  /** The visible text of an element: mathematics as it was typed, numbers without the thin spaces between threes. */
  private async read(element: WebElement): Promise<string> {
    const text = await this.driver.executeScript<string>(READ_TEXT, element);
    return text.replaceAll(/(?<=\d)\u202f(?=\d)/g, '').replaceAll('\u00a0', ' ');
  }

  async texts(css: string): Promise<string[]> {
    const all = async () => {
      const elements = await this.driver.findElements(By.css(css));
      const read = await standing(Promise.all(elements.map((element) => this.read(element))));
      return read ?? null;
    };
    return (await this.driver.wait(all, PATIENCE, css))!;
  }

  async count(css: string): Promise<number> {
    return (await this.driver.findElements(By.css(css))).length;
  }

  /** Waits until an element's text fits. */
  async waitText(css: string, wanted: RegExp): Promise<string> {
    let last = '';
    await this.driver.wait(
      async () => {
        try {
          last = await this.text(css);
        } catch {
          return false;
        }
        return wanted.test(last);
      },
      PATIENCE,
      `${css} should show ${wanted}`,
    );
    return last;
  }

  /** Waits until the texts of all that a selector finds are these. */
  async waitTexts(css: string, wanted: readonly string[]): Promise<void> {
    let last: string[] = [];
    await this.driver
      .wait(async () => {
        last = await this.texts(css).catch(() => []);
        return JSON.stringify(last) === JSON.stringify(wanted);
      }, PATIENCE)
      .catch((reason: unknown) => {
        throw new Error(`${css} should show ${wanted.join(' | ')}, not ${last.join(' | ')}`, {
          cause: reason,
        });
      });
  }

  async waitCount(css: string, wanted: number): Promise<void> {
    await this.driver.wait(
      async () => (await this.count(css)) === wanted,
      PATIENCE,
      `${css} should be there ${wanted} times`,
    );
  }

  async keys(...keys: string[]): Promise<void> {
    await this.driver
      .actions()
      .sendKeys(...keys)
      .perform();
  }

  /** A key together with others held down. */
  async chord(...keys: string[]): Promise<void> {
    const last = keys.at(-1)!;
    const held = keys.slice(0, -1);
    const actions = this.driver.actions();
    for (const key of held) actions.keyDown(key);
    actions.sendKeys(last);
    for (const key of held) actions.keyUp(key);
    await actions.perform();
  }

  /** Types a computation into the field and works it. */
  async compute(text: string, end: string = Key.ENTER): Promise<void> {
    const field = await this.find('[data-problem-field]');
    await field.click();
    await field.sendKeys(Key.chord(Key.CONTROL, 'a'), text, end);
  }

  async script<T>(body: string, ...args: unknown[]): Promise<T> {
    return this.driver.executeScript<T>(body, ...args);
  }

  /** Waits until a script returns what is wanted, such as a layout that has come to rest. */
  async settles(body: string, wanted: unknown): Promise<void> {
    let last: unknown;
    const settled = async () => {
      last = await this.script(body);
      return JSON.stringify(last) === JSON.stringify(wanted);
    };
    try {
      await this.driver.wait(settled, PATIENCE);
    } catch {
      throw new Error(`${body} gives ${JSON.stringify(last)}, not ${JSON.stringify(wanted)}`);
    }
  }

  /** Errors and warnings of the browser's console so far. */
  async complaints(): Promise<string[]> {
    const entries = await this.driver.manage().logs().get(logging.Type.BROWSER);
    return entries
      .filter(({ level }) => level.value >= logging.Level.WARNING.value)
      .map(({ message }) => message);
  }

  async picture(): Promise<Buffer> {
    return Buffer.from(await this.driver.takeScreenshot(), 'base64');
  }
}
