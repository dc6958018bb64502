import { isOwnLines, MAX_PAPERS, OWN_LINES, type PaperId } from '@levee/core';
import { typeOn } from '../own/typing.ts';
import { dispatch, useComparison } from '../store/comparison-store.ts';
import { paperOf } from '../store/content.ts';
import { laidBeside, stepped, worked as workedAs } from '../store/edits.ts';
import { pin, useSession } from '../store/session-store.ts';
import { activePaper } from '../worked/use-worked.ts';
import { stepsById, type Paper, type Worked } from '../worked/work.ts';
import type { Command, Scene } from './command.ts';
import { alone, byAmount, byStep, sameSteps, type Steps } from './transport.ts';

export function moveTo({ worked }: Scene, steps: Steps): void {
  dispatch(stepped(stepsById(worked, steps)));
}

/** The paper that single steps and the keyboard pointer belong to. */
export function activeOf({ worked }: Scene): Paper {
  return activePaper(worked, useSession.getState().active);
}

/** A command that moves papers; it can run when that changes anything. */
export function move(
  id: string,
  label: string,
  keys: string[],
  to: (scene: Scene) => Steps,
): Command {
  return {
    id,
    group: 'move',
    label,
    keys,
    can: (scene) => !sameSteps(to(scene), scene.steps),
    run: (scene) => moveTo(scene, to(scene)),
  };
}

export function paced(scene: Scene, by: 1 | -1): Steps {
  const { worked, steps, pace } = scene;
  if (pace === 'amount') return byAmount(worked, steps, by);
  if (pace === 'step') return byStep(worked, steps, by);
  return alone(worked, steps, activeOf(scene).index, by);
}

export const SINGLE: readonly Command[] = Array.from({ length: MAX_PAPERS }, (_, k) => k).flatMap(
  (k) => [
    {
      ...move(
        `paper-${k + 1}`,
        `One step on paper ${k + 1} alone`,
        [`${k + 1}`],
        ({ worked, steps }) => (k < steps.length ? alone(worked, steps, k, 1) : steps),
      ),
    },
    {
      ...move(
        `paper-${k + 1}-back`,
        `Back on paper ${k + 1} alone`,
        [`Shift+${k + 1}`],
        ({ worked, steps }) => (k < steps.length ? alone(worked, steps, k, -1) : steps),
      ),
    },
  ],
);

/** The owed term that is pointed at on a paper of free order, when its turn can be chosen. */
export function choosable({ worked, steps }: Scene) {
  const { pointed } = useSession.getState();
  if (pointed?.kind !== 'entry') return null;
  const paper = worked.papers.find(({ id }) => id === pointed.paper);
  if (!paper?.method.freeOrder) return null;
  const owed = paper.lane.trace.start.find((entry) => entry.id === pointed.id);
  if (!owed || (paper.line.takenAt.get(owed.id) ?? 0) <= steps[paper.index]!) return null;
  return { paper, term: owed.id.slice(1) };
}

export function workNext(scene: Scene): void {
  const chosen = choosable(scene);
  if (!chosen) return;
  const { paper, term } = chosen;
  const done = scene.steps[paper.index]!;
  const owed = new Set(paper.lane.trace.start.map((entry) => entry.id));
  const before = paper.lane.trace.steps
    .slice(0, done)
    .flatMap((step) => step.takes.filter((id) => owed.has(id)).map((id) => id.slice(1)));
  dispatch(workedAs(paper.id, { order: [...before, term] }, done + 1));
}

/** The active paper when its method takes hops of her own, or the only one that does. */
export function hopTaker({ worked }: Scene): PaperId | null {
  const { active } = useSession.getState();
  const takers = worked.papers.filter(({ method }) => method.ownHops);
  const own = takers.find(({ id }) => id === active) ?? takers[0];
  return own?.id ?? null;
}

/** The paper of own lines that is typed on: the active one, else the first; null where there is none. */
export function typedPaper(scene: Scene): Paper | null {
  const active = activeOf(scene);
  if (isOwnLines(active.method)) return active;
  return scene.worked.papers.find(({ method }) => isOwnLines(method)) ?? null;
}

/** Begins a new line on the paper of own lines, which is laid first where there is none. */
export function typeOwnLines(scene: Scene): void {
  const there = typedPaper(scene);
  if (!there) {
    dispatch(laidBeside(paperOf(OWN_LINES)));
  }
  const { papers } = useComparison.getState().content;
  const paper = there ? papers.find(({ id }) => id === there.id) : papers.at(-1);
  if (paper?.own) typeOn(paper.id, { line: paper.own.lines.length });
}

export function pointBeside(by: 1 | -1): (scene: Scene) => void {
  return (scene) => {
    const { worked, steps } = scene;
    const { pointed } = useSession.getState();
    const paper = activeOf(scene);
    const ids = readingOrder(worked, paper.index, steps[paper.index]!);
    const at = pointed?.kind === 'entry' ? ids.indexOf(pointed.id) : -1;
    const next = ids.at(at < 0 ? (by === 1 ? 0 : -1) : (at + by) % ids.length);
    if (next) pin({ kind: 'entry', paper: paper.id, id: next });
  };
}

/** What is on a paper, line by line from the top, left to right. */
export function readingOrder(worked: Worked, index: number, step: number) {
  const { drawing, line, givens } = worked.papers[index]!;
  return drawing.figures
    .filter(({ entry }) => givens.has(entry) || (line.writtenAt.get(entry) ?? Infinity) <= step)
    .sort((a, b) => a.box.y - b.box.y || a.box.x - b.box.x)
    .map(({ entry }) => entry);
}
