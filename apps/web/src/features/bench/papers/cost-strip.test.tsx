/** @jest-environment jsdom */
import { useComparison } from '../../../store/comparison-store.ts';
import { useSettings } from '../../../store/settings-store.ts';
import { Rendered } from '../../../testing/render.tsx';
import { work } from '../../../worked/work.ts';
import { CostStrip } from './cost-strip.tsx';

const page = new Rendered();

beforeEach(() => useSettings.setState({ costs: false }));

function show(): void {
  page.open('46 × 58', ['column-multiplication']);
  page.show(<CostStrip paper={work(useComparison.getState().content).papers[0]!} />);
}

const inMenu = () =>
  [...document.querySelectorAll<HTMLElement>('[role="menuitem"]')].map((entry) => ({
    entry,
    text: entry.textContent ?? '',
  }));

async function openMenu(): Promise<void> {
  page.press('costs…');
  for (let k = 0; k < 50 && inMenu().length === 0; k++) await page.settle();
}

describe('the costs of a paper', () => {
  it('are told when they are asked for', async () => {
    show();
    expect(page.text('.cost')).toBe('costs…');
    await openMenu();
    expect(inMenu().map(({ text }) => text)).toContainEqual(expect.stringMatching(/^4 facts/));
  });

  it('stay in sight where she keeps them there, and go again', async () => {
    show();
    await openMenu();
    const keep = inMenu().find(({ text }) => text.startsWith('keep costs in sight'))!;
    page.act(() => keep.entry.click());
    expect(page.texts('.cost p span')).toContain('4 facts');
    expect(page.text('.cost .link')).toBe('all');
  });
});
