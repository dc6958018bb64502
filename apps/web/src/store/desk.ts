import {
  COMPARISON_FORMAT,
  type CheckRecord,
  type ComparisonDocument,
  type Pace,
  type PaperId,
  type Room,
} from '@levee/core';

/** What she chose and wrote: the part of a comparison that undo goes through. */
export type Content = Omit<
  ComparisonDocument,
  'format' | 'version' | 'steps' | 'pace' | 'room' | 'checks'
>;

/** How far the papers are: kept with the comparison, but no matter for undo. */
export interface Progress {
  /** Steps done by the ids of papers, also of those that undo may bring back. */
  readonly steps: Readonly<Record<PaperId, number>>;
  readonly pace: Pace;
  /** How it stands before a class. */
  readonly room: Room;
}

/** Everything that is kept of the open comparison. */
export interface Desk {
  readonly content: Content;
  readonly progress: Progress;
  /** Checks that were recorded: a log, of this computation and of those before it. */
  readonly checks: readonly CheckRecord[];
}

/** One change of whatever is kept. */
export type Edit = (desk: Desk) => Desk;

/** Papers that are laid or worked anew have this id until {@link settled} names them. */
export const UNNAMED: PaperId = '';

/** Every paper with an id that none had before it, and with a count of steps. */
export function settled(desk: Desk): Desk {
  const { content, progress } = desk;
  let last = Math.max(0, ...[...Object.keys(progress.steps), ...ids(content)].map(numberOf));
  const isNamed = content.papers.every(({ id }) => id !== UNNAMED);
  const papers = isNamed
    ? content.papers
    : content.papers.map((paper) =>
        paper.id === UNNAMED ? { ...paper, id: `p${++last}` } : paper,
      );
  const fresh = papers.filter(({ id }) => progress.steps[id] === undefined);
  if (isNamed && fresh.length === 0) return desk;
  const steps = { ...progress.steps, ...Object.fromEntries(fresh.map(({ id }) => [id, 0])) };
  return { ...desk, content: { ...content, papers }, progress: { ...progress, steps } };
}

function ids({ papers }: Content): readonly PaperId[] {
  return papers.map(({ id }) => id);
}

function numberOf(id: PaperId): number {
  return id === UNNAMED ? 0 : Number(id.slice(1));
}

export function deskOf(document: ComparisonDocument): Desk {
  const { title, story, unit, units, tags, counted } = document;
  const { problem, estimate, earlier, papers, answers } = document;
  const about = { title, story, unit, units, tags, counted };
  const content = { ...about, problem, estimate, earlier, papers, answers };
  const { steps, pace, room, checks } = document;
  return { content, progress: { steps, pace, room }, checks };
}

export function documentOf({ content, progress, checks }: Desk): ComparisonDocument {
  const steps = Object.fromEntries(ids(content).map((id) => [id, progress.steps[id] ?? 0]));
  const { pace, room } = progress;
  return { ...COMPARISON_FORMAT, ...content, steps, pace, room, checks };
}

/** What must not be lost when two versions meet: all but how far the papers are. */
export function chosenIn(document: ComparisonDocument): Omit<Desk, 'progress'> {
  const { content, checks } = deskOf(document);
  return { content, checks };
}
