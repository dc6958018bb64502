import { act, type ReactNode } from 'react';
import { createRoot, type Root } from 'react-dom/client';
import { MemoryRouter } from 'react-router';
import { openDocument } from '../store/comparison-store.ts';
import { resetSession } from '../store/session-store.ts';
import { documentWith } from './scene.ts';

(globalThis as { IS_REACT_ACT_ENVIRONMENT?: boolean }).IS_REACT_ACT_ENVIRONMENT = true;

/** The simulated browser lays nothing out; with this every element has this much room. */
export function giveRoom(width: number, height: number): void {
  class Watcher implements ResizeObserver {
    constructor(private readonly told: ResizeObserverCallback) {}
    observe(): void {
      this.told([], this);
    }
    unobserve(): void {}
    disconnect(): void {}
  }
  Object.assign(globalThis, { ResizeObserver: Watcher });
  Object.assign(Element.prototype, { scrollTo: () => undefined });
  Object.defineProperties(HTMLElement.prototype, {
    clientWidth: { configurable: true, value: width },
    clientHeight: { configurable: true, value: height },
  });
}

/** The text of an element: mathematics as it was typed, numbers without the thin spaces between threes of figures. */
function readText(node: Element): string {
  const copy = node.cloneNode(true) as Element;
  for (const set of copy.querySelectorAll('.katex')) {
    const typed = set.querySelector('annotation')?.textContent ?? '';
    set.replaceWith(typed.replaceAll(/\\t?frac\{(\d+)\}\{(\d+)\}/g, '$1/$2'));
  }
  return (copy.textContent ?? '').replaceAll(/(?<=\d)\u202f(?=\d)/g, '').replaceAll('\u00a0', ' ');
}

/** A page of a simulated browser for the tests of one file; it is made anew for every test. */
export class Rendered {
  host!: HTMLElement;
  private root!: Root;

  constructor() {
    beforeEach(() => {
      this.host = document.createElement('div');
      document.body.append(this.host);
      this.root = createRoot(this.host);
    });
    afterEach(() => {
      act(() => this.root.unmount());
      this.host.remove();
    });
  }

  /** Opens a comparison of this problem by these methods, with nothing pointed at. */
  open(problem: string, methods: readonly string[]): void {
    act(() => {
      openDocument(documentWith(problem, methods));
      resetSession();
    });
  }

  show(node: ReactNode, path = '/'): void {
    act(() => this.root.render(<MemoryRouter initialEntries={[path]}>{node}</MemoryRouter>));
  }

  all(css: string): Element[] {
    return [...this.host.querySelectorAll(css)];
  }

  texts(css: string): string[] {
    return this.all(css).map(readText);
  }

  text(css: string): string {
    return this.texts(css)[0] ?? '';
  }

  /** Presses the button with this text. */
  press(name: string): void {
    const found = this.all('button').find((node) => node.textContent?.trim() === name);
    if (!found) throw new Error(`No button says "${name}".`);
    void act(() => found.dispatchEvent(new MouseEvent('click', { bubbles: true })));
  }

  /** Waits until what is loaded when it is needed is there. */
  async settle(): Promise<void> {
    await act(() => new Promise<void>((done) => setTimeout(done, 60)));
  }

  /** Lets a page that is drawn a part with every frame come to its end. */
  async drawn(): Promise<void> {
    for (let frame = 0; frame < 8; frame++) {
      await act(() => new Promise<void>((done) => requestAnimationFrame(() => done())));
    }
  }

  /** Does something to the page and waits until it is drawn. */
  act(change: () => void): void {
    act(change);
  }
}
