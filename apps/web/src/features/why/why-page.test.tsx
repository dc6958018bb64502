/** @jest-environment jsdom */
import { useSettings } from '../../store/settings-store.ts';
import { giveRoom, Rendered } from '../../testing/render.tsx';
import { workedWith } from '../../testing/scene.ts';
import { certified } from '../../certificate/certified.ts';
import { checkedText, WhyPage } from './why-page.tsx';

const page = new Rendered();
beforeAll(() => giveRoom(600, 240));
afterEach(() => page.act(() => useSettings.setState(useSettings.getInitialState())));

describe('the page of reasons', () => {
  it('has a line a move, the same terms for all, and what each costs', async () => {
    page.open('46 × 58', ['column-multiplication', 'lattice']);
    page.show(<WhyPage />);
    await page.drawn();
    expect(page.text('h1')).toBe('Why 46 × 58 = 2668 by every method');
    expect(page.text('[role="status"]')).toMatch(/checked again .*Not checked here: the wording/);
    expect(page.text('[role="status"]')).not.toMatch(/In brief/);
    expect(page.texts('.why-terms .term')).toContain('40×50 = 2000');
    expect(page.all('.why-method')).toHaveLength(2);
    expect(page.texts('.why-method .law')).toContain('distributive law');
    expect(page.text('[aria-label="Both ways"]')).toMatch(/2300 \+ 368 = 2668/);
    expect(page.all('[aria-label="Back to the dividend"]')).toHaveLength(0);
  });

  it('says where a certificate fails, and which are told in brief', () => {
    const { comparison } = workedWith('46 × 58', ['lattice']);
    const { reasons } = certified(comparison);
    const fault = 'lattice, line 2: the line does not follow by sign';
    expect(checkedText({ reasons, confirmed: false, fault })).toBe(
      `The independent check does not confirm this certificate: ${fault}.`,
    );
    const alone = reasons.alone.map((own) => ({
      ...own,
      methods: own.methods.map((method) => ({ ...method, brief: true })),
    }));
    const brief = { ...reasons, alone };
    expect(checkedText({ reasons: brief, confirmed: true, fault: null })).toMatch(
      /In brief, so that only brackets and total were checked: Lattice\./,
    );
  });

  it('goes back to the dividend from what each paper found and left', async () => {
    page.open('1835 ÷ 24', ['long-division', 'partial-quotients']);
    page.show(<WhyPage />);
    await page.drawn();
    expect(page.text('h1')).toBe('Why 1835 ÷ 24 = 76 11/24 by every method');
    expect(page.texts('[aria-label="Back to the dividend"] p')).toEqual([
      '76 × 24 + 11 = 1835 ✓ Long',
      '76 × 24 + 11 = 1835 ✓ Partial quotients',
    ]);
    expect(page.all('[aria-label="Both ways"]')).toHaveLength(0);
  });

  it('writes decimals and products as she does', async () => {
    page.act(() =>
      useSettings.setState((own) => ({ words: { ...own.words, point: ',', times: '·' } })),
    );
    page.open('3.6 × 20.5', ['lattice', 'grid-multiplication']);
    page.show(<WhyPage />);
    await page.drawn();
    expect(page.text('h1')).toBe('Why 3,6 · 20,5 = 73,8 by every method');
    expect(page.texts('.why-terms .term')).toContain('0,6·0,5 = 0,3');
    expect(page.text('[aria-label="Both ways"]')).toMatch(/3,6 · 20 = 72/);
    const tex = page.all('.why-method annotation').map((node) => node.textContent);
    expect(tex[0]).toMatch(/3\{,\}6 \\cdot 20\{,\}5/);
  });

  it('typesets fractions and names the laws of parts', async () => {
    page.open('3/4 + 1/6', ['cross-products', 'least-common-denominator']);
    page.show(<WhyPage />);
    await page.drawn();
    expect(page.all('h1 .katex')).toHaveLength(2);
    expect(page.texts('.why-method .law')).toContain(
      'n/n is one: both numbers of a fraction scaled alike',
    );
    const tex = page.all('.why-method annotation').map((node) => node.textContent);
    expect(tex).toContain(' = \\tfrac{18}{24} + \\tfrac{4}{24}');
    expect(page.text('.why-more')).toMatch(/times a fraction is tried for lowest terms/);
  });
});
