/** @jest-environment jsdom */
import { act } from 'react';
import { currentDocument } from '../../store/comparison-store.ts';
import { Rendered } from '../../testing/render.tsx';
import { ChecksPage } from './checks-page.tsx';

const page = new Rendered();

function show(problem: string, methods: readonly string[]): void {
  page.open(problem, methods);
  page.show(<ChecksPage />);
}

const check = (id: string) => page.host.querySelector(`[data-check="${id}"]`)!;
const press = (node: Element) =>
  act(() => node.dispatchEvent(new MouseEvent('click', { bubbles: true })));
const named = (name: string) =>
  [...page.host.querySelectorAll('button')].find((node) => node.textContent?.trim() === name)!;

function key(text: string): void {
  const field = page.host.querySelector<HTMLInputElement>('.calculator input')!;
  act(() => {
    Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!.call(field, text);
    field.dispatchEvent(new Event('input', { bubbles: true }));
  });
  page.press('Work out');
}

describe('the checks', () => {
  it('are made on the chosen paper and recorded as they were found', () => {
    show('642 − 387', ['decomposition', 'equal-additions', 'counting-up']);
    expect(check('inverse').textContent).toMatch(/255 \+ 387 = 642, the minuend/);
    expect(check('inverse').textContent).not.toMatch(/little ones/);
    void press(named('Equal additions'));
    expect(check('inverse').textContent).toMatch(/they are these carries/);
    void press(check('inverse').querySelector('header button')!);
    expect(currentDocument().checks).toMatchObject([
      { check: 'inverse', method: 'equal-additions', against: '', outcome: 'agrees' },
    ]);
    expect(page.host.querySelector('.check-log li')!.textContent).toMatch(
      /Inverse operation of Equal/,
    );
  });

  it('put brackets around what has a sign beside it, and key in no letters', () => {
    show('46 × 58', ['lattice']);
    expect(named('46 × 58')).toBeDefined();
    show('(3x + 4) + (2x − 3)', ['like-terms-row', 'like-terms-columns']);
    expect(check('inverse').textContent).toMatch(/\(5x \+ 1\) − \(2x − 3\) = 3x \+ 4/);
    expect(named('this computation')).toBeUndefined();
    expect(named('(3x + 4) + (2x − 3)')).toBeUndefined();
  });

  it('cannot be recorded while something is lacking', () => {
    show('642 − 387', ['decomposition']);
    const disabled = (id: string) =>
      check(id).querySelector<HTMLButtonElement>('header button')!.disabled;
    expect(['estimate', 'second-method', 'calculator', 'inverse'].map(disabled)).toEqual([
      true,
      true,
      true,
      false,
    ]);
    expect(check('second-method').textContent).toMatch(/Lay a second paper/);
  });

  it('count how many slips of this work they would catch', () => {
    show('386 + 478', ['column-addition', 'partial-sums']);
    expect(check('second-method').querySelector('summary')!.textContent).toMatch(/catch 9 of 9/);
    const rows = [...check('second-method').querySelectorAll('tbody tr')];
    expect(rows.map((row) => row.children[2]!.textContent)).toEqual([
      '36',
      '7\u202f515',
      '891',
      '8\u202f514',
      '854',
      '1\u202f314',
      '7\u202f164',
      '764',
      '1\u202f864',
    ]);
  });

  it('take the calculator for this computation only', () => {
    show('642 − 387', ['decomposition', 'equal-additions']);
    key('642 − 386');
    expect(check('calculator').textContent).toMatch(/shows 256, but for another computation/);
    key('642-387');
    expect(page.host.querySelector('.display')!.textContent).toBe('= 255');
    void press(named('Record the check'));
    expect(currentDocument().checks).toMatchObject([
      { check: 'calculator', against: '642-387', outcome: 'agrees' },
    ]);
    key('642 −');
    expect(page.host.querySelector('.display')!.textContent).toMatch(/number is missing/);
  });

  it('show what each work is sure of by itself', () => {
    show('314 + 523', ['column-addition', 'partial-sums']);
    const rows = [...page.host.querySelectorAll('.certainties tbody tr')].map(
      (row) => row.textContent,
    );
    expect(rows[0]).toMatch(/^before/);
    expect(rows.some((row) => row?.includes('sure 837'))).toBe(true);
  });
});
