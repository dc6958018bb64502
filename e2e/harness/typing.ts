import { page } from './scene.ts';

/** The paper that is typed on in most tests of own lines. */
export const PAPER = '.paper[data-paper="1"]';
export const INPUT = '.line-editor input';

/** Types on the line that is open, whatever its room. */
export async function type(text: string): Promise<void> {
  await (await page.find(INPUT)).sendKeys(text);
}

/** What stands on the line that is open. */
export async function typed(): Promise<string> {
  return (await (await page.find(INPUT)).getAttribute('value')) ?? '';
}

export async function waitTyped(wanted: string): Promise<void> {
  await page.driver.wait(
    async () => (await typed().catch(() => null)) === wanted,
    5000,
    `the line should be “${wanted}”`,
  );
}

/** The words on the lines of a paper. */
export const words = (paper = PAPER) => page.texts(`${paper} .notes text`);

export async function waitWords(wanted: readonly string[], paper = PAPER): Promise<void> {
  await page.waitTexts(`${paper} .notes text`, wanted);
}
