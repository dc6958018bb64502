import {
  isOneNumber,
  owedEntries,
  type Box,
  type Counterpart,
  type EntryId,
  type Framed,
  type Group,
  type Subject,
  type TermSet,
} from '@levee/core';
import { mergedBoxes } from './boxes.ts';
import type { Paper, Worked } from './work.ts';

/**
 * How an amount lies on a paper: `point` is what is pointed at; `same` is exactly the same amount as
 * one number; `terms` the same terms, not gathered into one number (yet); `part` more than it, or
 * only some of it.
 */
export type Light = 'point' | 'same' | 'terms' | 'part';

export interface Frame {
  readonly light: Light;
  readonly boxes: readonly Box[];
}

/** What lights up on one paper. */
export interface Lit {
  readonly frames: readonly Frame[];
  /** Marks in the head that light up. */
  readonly held: ReadonlySet<EntryId>;
  /** Amounts that stay framed. */
  readonly framed: readonly Framed[];
}

/** Nothing is pointed at, and nothing framed. */
export const UNLIT: Lit = { frames: [], held: new Set(), framed: [] };

/** A framed amount, found in every method. */
export interface FramedSubject {
  readonly number: number;
  readonly subject: Subject;
}

/** Whether a group is on its paper as one finished number after so many steps. */
function isGathered(paper: Paper, group: Group, step: number): boolean {
  if (!isOneNumber(group)) return false;
  return group.marks.every((id) => (paper.line.writtenAt.get(id) ?? Infinity) <= step);
}

/** The light of a counterpart after so many steps. */
export function lightOf(paper: Paper, counterpart: Counterpart, step: number): Light | null {
  switch (counterpart.relation) {
    case 'none':
      return null;
    case 'same':
      return counterpart.groups.every((group) => isGathered(paper, group, step)) ? 'same' : 'terms';
    case 'scattered':
      return 'terms';
    case 'within':
    case 'overlap':
      return 'part';
  }
}

/** How a region of a picture, a bar or a block lights up: as exactly what is pointed at, as some of it, or not. */
export type PictureLight = 'exact' | 'near' | '';

/** The light of terms in the shared picture. */
export function termsLight(subject: Subject | null, terms: TermSet): PictureLight {
  if (!subject || terms.isEmpty) return '';
  if (terms.isWithin(subject.terms)) return 'exact';
  return terms.intersects(subject.lookFor) ? 'near' : '';
}

/** The light of an entry of one paper wherever else it is drawn. */
export function entryLight(
  { lane, index }: Paper,
  id: EntryId,
  subject: Subject | null,
): PictureLight {
  if (!subject) return '';
  if (subject.entry === id && subject.lane === index) return 'exact';
  const terms = lane.termsOf(id);
  if (terms.isEmpty || !terms.intersects(subject.lookFor)) return '';
  const entry = lane.find(id);
  const whole = terms.equals(subject.lookFor) && entry?.worth.equals(terms.worth());
  return whole ? 'exact' : 'near';
}

/** Numbers of the steps of a paper that deal with some of what is pointed at. */
export function litSteps(paper: Paper, subject: Subject | null): ReadonlySet<number> {
  if (!subject || subject.lookFor.isEmpty) return new Set();
  return new Set([...subject.lookFor.indices()].flatMap((term) => paper.dealtAt.get(term) ?? []));
}

/** Whether some of what is pointed at is still owed on a paper after so many steps. */
export function isOwedStill(paper: Paper, subject: Subject, step: number): boolean {
  return owedEntries(paper.lane.trace).some(
    ({ id }) =>
      (paper.line.takenAt.get(id) ?? Infinity) > step && entryLight(paper, id, subject) !== '',
  );
}

/** What lights up on every paper when this is pointed at, and what stays framed there. */
export function litPapers(
  worked: Worked,
  subject: Subject | null,
  steps: readonly number[],
  framed: readonly FramedSubject[] = [],
): readonly Lit[] {
  return worked.papers.map((paper, k) => {
    if (!subject && framed.length === 0) return UNLIT;
    const lit = subject ? litPaper(paper, subject, steps[k] ?? 0) : UNLIT;
    const own = framed.length === 0 ? UNLIT.framed : framedOn(paper, framed, steps[k] ?? 0);
    return { ...lit, framed: own };
  });
}

/** Where framed amounts lie on a paper: as one number where they do, else as terms; mere parts of others are left out. */
export function framedOn(
  paper: Paper,
  framed: readonly FramedSubject[],
  step: number,
): readonly Framed[] {
  return framed.flatMap(({ number, subject }): Framed[] => {
    const { frames } = litPaper(paper, subject, step);
    const found = LIGHTS.map((light) => frames.find((frame) => frame.light === light)).find(
      (frame) => frame && frame.boxes.length > 0,
    );
    return found ? [{ number, boxes: found.boxes, gathered: found.light !== 'terms' }] : [];
  });
}

const LIGHTS: readonly Light[] = ['point', 'same', 'terms'];

/** Numbers of the framed amounts that all of these terms belong to. */
export function framesOf(framed: readonly FramedSubject[], terms: TermSet): readonly number[] {
  return framed.flatMap(({ number, subject }) =>
    termsLight(subject, terms) === 'exact' ? [number] : [],
  );
}

/** Numbers of the framed amounts that an entry of a paper is. */
export function framesOfEntry(
  framed: readonly FramedSubject[],
  paper: Paper,
  id: EntryId,
): readonly number[] {
  return framed.flatMap(({ number, subject }) =>
    entryLight(paper, id, subject) === 'exact' ? [number] : [],
  );
}

function litPaper(paper: Paper, subject: Subject, step: number): Omit<Lit, 'framed'> {
  const counterpart = subject.counterparts[paper.index];
  const frames: Frame[] = [];
  const held = new Set<EntryId>();
  const light = counterpart && lightOf(paper, counterpart, step);
  if (counterpart && light) {
    const marks = counterpart.groups.flatMap((group) => group.marks);
    for (const id of marks) if (isHeld(paper, id)) held.add(id);
    const boxes = framed(paper, light, counterpart, step);
    if (boxes.length > 0) frames.push({ light, boxes });
  }
  if (subject.lane === paper.index) {
    const own = subject.entry ? [subject.entry] : (subject.group?.marks ?? []);
    for (const id of own) if (isHeld(paper, id)) held.add(id);
    frames.push({ light: 'point', boxes: mergedBoxes(boxesOf(paper, own, step)) });
  }
  return { frames, held };
}

/**
 * What is framed of a counterpart: its marks; for terms that are not gathered also the slots where
 * their work goes; and the slot alone where it holds marks that lie apart, such as a split cell.
 */
function framed(
  paper: Paper,
  light: Light,
  { groups, entries }: Counterpart,
  step: number,
): readonly Box[] {
  const marks = mergedBoxes(
    boxesOf(
      paper,
      groups.flatMap((group) => group.marks),
      step,
    ),
  );
  if (light === 'terms' || marks.length === 0) return mergedBoxes(boxesOf(paper, entries, step));
  if (marks.length === 1) return marks;
  const all = mergedBoxes(boxesOf(paper, entries, step));
  return all.length < marks.length ? all : marks;
}

function isHeld(paper: Paper, id: EntryId): boolean {
  return paper.drawing.held.some((mark) => mark.entry === id);
}

/** Where entries lie: written marks and givens by their figures, owed entries by their slots. */
export function boxesOf(paper: Paper, entries: readonly EntryId[], step: number): readonly Box[] {
  const wanted = new Set(entries);
  const figures = paper.drawing.figures.filter(
    ({ entry }) =>
      wanted.has(entry) &&
      (paper.givens.has(entry) || (paper.line.writtenAt.get(entry) ?? Infinity) <= step),
  );
  const slots = paper.drawing.slots.filter(({ entry }) => wanted.has(entry));
  return [...figures.map(({ box }) => box), ...slots.map(toBox)];
}

function toBox({ x, y, width, height }: Box): Box {
  return { x, y, width, height };
}
