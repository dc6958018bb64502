import { figuresMarkup, slotsMarkup, type Brush, type Drawing, type EntryId } from '@levee/core';
import type { Drawn } from '../worked/drawn.ts';
import { InTurn } from './in-turn.ts';
import { changedBetween, stateAt } from './moments.ts';

/** The two groups of a page that are written into: dots for work to come, and figures. */
export interface Layers {
  readonly slots: Element;
  readonly figures: Element;
}

type Part = Pick<Drawing, 'signs' | 'figures'>;

/**
 * Everything of one paper that comes and goes with the steps. A figure is put into the page when it is first
 * written, and from then on only its `data-state` changes: a large paper opens with little on it, and a step
 * touches only what it changes.
 */
export class WrittenPage {
  private readonly parts: ReadonlyMap<EntryId, Part>;
  private readonly nodes = new Map<EntryId, Element[]>();
  private step: number | null = null;
  private readonly waiting = new InTurn<EntryId, Part>((parts) => this.write(parts));

  constructor(
    private readonly layers: Layers,
    private readonly paper: Drawn,
    private readonly brush: Brush,
  ) {
    this.parts = partsOf(paper.drawing);
    layers.figures.replaceChildren();
    layers.slots.innerHTML = slotsMarkup(paper.drawing.slots);
    this.know(layers.slots.children);
  }

  /** Whether this is the page of a paper, painted with a brush. */
  isOf(paper: Drawn, brush: Brush): boolean {
    return this.paper === paper && this.brush === brush;
  }

  /** Shows the paper as it stands after so many steps. */
  show(step: number): void {
    for (const id of this.toLookAt(step)) {
      const state = stateAt(this.paper, id, step);
      const part = this.parts.get(id);
      if (part && state !== 'absent' && !this.isWritten(id)) this.waiting.put(id, part);
      for (const node of this.nodes.get(id) ?? []) node.setAttribute('data-state', state);
    }
    this.step = step;
    this.waiting.start();
  }

  /** Nothing more is written. */
  stop(): void {
    this.waiting.stop();
  }

  private toLookAt(step: number): Iterable<EntryId> {
    if (this.step !== null) return changedBetween(this.paper, this.step, step);
    return new Set([...this.nodes.keys(), ...this.parts.keys()]);
  }

  private write(parts: readonly Part[]): void {
    const { figures } = this.layers;
    const before = figures.children.length;
    const drawing = {
      signs: parts.flatMap(({ signs }) => signs),
      figures: parts.flatMap((part) => part.figures),
    };
    figures.insertAdjacentHTML('beforeend', figuresMarkup(drawing, this.brush));
    this.know([...figures.children].slice(before), this.step!);
  }

  private isWritten(id: EntryId): boolean {
    return this.nodes.get(id)?.some((node) => node.parentElement === this.layers.figures) ?? false;
  }

  private know(nodes: Iterable<Element>, step?: number): void {
    for (const node of nodes) {
      const id = node.getAttribute('data-entry') as EntryId;
      const known = this.nodes.get(id);
      if (known) known.push(node);
      else this.nodes.set(id, [node]);
      if (step !== undefined) node.setAttribute('data-state', stateAt(this.paper, id, step));
    }
  }
}

function partsOf({ signs, figures }: Drawing): ReadonlyMap<EntryId, Part> {
  const parts = new Map<
    EntryId,
    { signs: Drawing['signs'][number][]; figures: Drawing['figures'][number][] }
  >();
  const partOf = (id: EntryId) => {
    const part = parts.get(id) ?? { signs: [], figures: [] };
    parts.set(id, part);
    return part;
  };
  for (const figure of figures) partOf(figure.entry).figures.push(figure);
  for (const sign of signs) if (sign.with) partOf(sign.with).signs.push(sign);
  return parts;
}
