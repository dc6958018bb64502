/** @jest-environment jsdom */
import { useComparison } from '../../../store/comparison-store.ts';
import { Rendered } from '../../../testing/render.tsx';
import { AboutDialog } from './about-dialog.tsx';

const page = new Rendered();
let closed = 0;

const fields = () => [...document.querySelectorAll<HTMLInputElement>('[role="dialog"] input')];
const field = (label: string) => {
  const found = [...document.querySelectorAll('[role="dialog"] label')].find((one) =>
    one.textContent?.startsWith(label),
  );
  return document.getElementById(found!.getAttribute('for')!) as HTMLInputElement;
};

function type(into: HTMLInputElement, text: string): void {
  page.act(() => {
    Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!.call(into, text);
    into.dispatchEvent(new Event('input', { bubbles: true }));
  });
}

function key(on: Element, name: string, more: KeyboardEventInit = {}): void {
  page.act(() =>
    on.dispatchEvent(new KeyboardEvent('keydown', { key: name, bubbles: true, ...more })),
  );
}

function press(name: string): void {
  const buttons = [...document.querySelectorAll('[role="dialog"] button')];
  page.act(() => (buttons.find((one) => one.textContent === name) as HTMLElement).click());
}

beforeEach(() => {
  closed = 0;
  page.open('12 × 3.5', ['lattice']);
  page.show(<AboutDialog open close={() => closed++} />);
});

const content = () => useComparison.getState().content;

describe('what a comparison is about', () => {
  it('has a unit for each number, from which that of the answer follows', () => {
    type(field('Unit of first factor'), 'm');
    type(field('Unit of second factor'), 'm');
    expect(document.body.textContent).toContain('m², from the units of the numbers');
    type(field('Tags'), 'plots, areas , plots');
    press('Keep');
    expect(content()).toMatchObject({ units: ['m', 'm'], unit: 'm²', tags: ['plots', 'areas'] });
    expect(closed).toBe(1);
  });

  it('keeps the unit that she writes, whatever the others make', () => {
    type(field('Unit of first factor'), 'm');
    type(field('Unit of the answer'), 'square paces');
    press('Keep');
    expect(content()).toMatchObject({ units: ['m', ''], unit: 'square paces' });
  });

  it('asks before what was typed is thrown away, and closes at once where nothing was', () => {
    key(fields()[0]!, 'Escape');
    expect(closed).toBe(1);
    type(field('Title'), 'Plots');
    key(fields()[0]!, 'Escape');
    expect(closed).toBe(1);
    press('Go on typing');
    key(fields()[0]!, 'Escape');
    press('Keep it');
    expect([closed, content().title]).toEqual([2, 'Plots']);
  });

  it('goes to the next field with Enter, keeps with Ctrl and Enter, and cuts nothing off', () => {
    type(field('Title'), 'x'.repeat(121));
    expect(document.body.textContent).toContain('121 characters; 120 are allowed');
    key(field('Title'), 'Enter', { ctrlKey: true });
    expect([closed, content().title]).toEqual([0, '']);
    type(field('Title'), 'Plots');
    field('Title').focus();
    key(field('Title'), 'Enter');
    expect(document.activeElement).toBe(field('Story'));
    expect(closed).toBe(0);
    key(field('Story'), 'Enter', { ctrlKey: true });
    expect([closed, content().title]).toEqual([1, 'Plots']);
  });
});
