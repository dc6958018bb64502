/** @jest-environment jsdom */
import { Rendered } from '../../testing/render.tsx';
import { MethodsPage } from './methods-page.tsx';

const page = new Rendered();

describe('the methods page', () => {
  it('lists every family and tells the chosen method', () => {
    page.show(<MethodsPage />, '/methods?m=long-division');
    expect(page.texts('nav h2')).toEqual([
      'Addition',
      'Subtraction',
      'Multiplication',
      'Division',
      'Sums and differences of fractions',
      'Products and quotients of fractions',
      'Expressions with letters',
      'Square roots',
    ]);
    expect(page.text('.method-sheet h1')).toBe('Long division');
    expect(page.text('.method-body h2')).toBe('Worked: 952 ÷ 7 = 136');
    expect(page.texts('.method-steps li')).toHaveLength(8);
    const scope = page.text('.method-sheet dl');
    expect(scope).toMatch(/✓ whole quotients and remainders/);
    expect(scope).toMatch(/✓ decimal dividends and divisors/);
    page.press('Partial quotients');
    expect(page.text('.method-sheet h1')).toBe('Partial quotients');
    expect(page.text('.method-sheet dl')).toMatch(/chunks of one’s own/);
  });

  it('shows the example by the chosen school', () => {
    page.show(<MethodsPage />, '/methods?m=long-division');
    const rows = () => page.all('.method-example .figure').length;
    const before = rows();
    const inHead = page
      .all('.method-schools button')
      .find((node) => node.textContent?.startsWith('in the head'))!;
    page.act(() => inHead.dispatchEvent(new MouseEvent('click', { bubbles: true })));
    expect(rows()).toBeLessThan(before);
    expect(inHead.getAttribute('aria-pressed')).toBe('true');
  });

  it('tells apart words that name another act elsewhere', () => {
    page.show(<MethodsPage />, '/methods?m=crosswise');
    expect(page.text('.method-sheet dl')).toMatch(/Mind the words.*cross products of fractions/);
    expect(page.text('.method-sheet dl')).toMatch(/Leads on to.*gathered by power there/);
    page.press('Column addition');
    expect(page.text('.method-sheet dl')).not.toMatch(/Mind the words|Leads on to/);
  });

  it('stacks the numbers of fractions, and says what mixed numbers need', () => {
    page.show(<MethodsPage />, '/methods?m=least-common-denominator');
    expect(page.all('.method-example .figure .bar').length).toBeGreaterThan(4);
    expect(page.all('.method-body h2 .katex')).toHaveLength(2);
    expect(page.text('.method-sheet dl')).toMatch(
      /— mixed numbers This method takes fractions alone/,
    );
    expect(page.text('.method-sheet dl')).toMatch(/n\/n is one/);
  });
});
