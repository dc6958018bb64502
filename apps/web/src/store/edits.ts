import {
  MAX_CHECKS,
  MAX_PAPERS,
  type CheckRecord,
  type Cover,
  type OwnWork,
  type Pace,
  type PaperChoice,
  type PaperId,
  type Problem,
  type Room,
  type RoomPart,
} from '@levee/core';
import { paperOf, withHops, withPaper, withProblem } from './content.ts';
import type { Content, Edit } from './desk.ts';
import { sameValue } from './same-value.ts';

/** A change of what she chose; how far the papers are stays with them. */
export function changed(change: (content: Content) => Content): Edit {
  return (desk) => ({ ...desk, content: change(desk.content) });
}

/** So many steps on papers; those that are not named stay where they are. */
export function stepped(steps: Readonly<Record<PaperId, number>>): Edit {
  return (desk) => ({
    ...desk,
    progress: { ...desk.progress, steps: { ...desk.progress.steps, ...steps } },
  });
}

export function paced(pace: Pace): Edit {
  return (desk) => ({ ...desk, progress: { ...desk.progress, pace } });
}

/** What lies under a cover before a class. */
export function covered(covers: readonly Cover[]): Edit {
  return inRoom(() => ({ covered: covers }));
}

/** A cover lifted. */
export function lifted(cover: Cover): Edit {
  return inRoom((room) => ({ covered: room.covered.filter((one) => one !== cover) }));
}

/** A part shown before a class where it was not, and put away where it was. */
export function shownOrNot(part: RoomPart): Edit {
  return inRoom(({ shown }) => ({
    shown: shown.includes(part) ? shown.filter((one) => one !== part) : [...shown, part],
  }));
}

function inRoom(change: (room: Room) => Partial<Room>): Edit {
  return (desk) => {
    const { room } = desk.progress;
    return { ...desk, progress: { ...desk.progress, room: { ...room, ...change(room) } } };
  };
}

/** A paper put away. How far it was is remembered, should undo bring it back. */
export function putAway(id: PaperId): Edit {
  return changed((content) => ({
    ...content,
    papers: content.papers.filter((paper) => paper.id !== id),
  }));
}

/** One more paper, where there is room for it. */
export function laidBeside(paper: PaperChoice): Edit {
  return changed((content) =>
    content.papers.length < MAX_PAPERS
      ? { ...content, papers: [...content.papers, paper] }
      : content,
  );
}

/** Another method in the place of a paper: a paper of its own, from the start. */
export function laidInPlace(id: PaperId, method: string): Edit {
  return changed((content) => ({
    ...content,
    papers: content.papers.map((paper) => (paper.id === id ? paperOf(method) : paper)),
  }));
}

/** A paper chosen otherwise, with how far it is then. */
export function worked(id: PaperId, change: Partial<PaperChoice>, steps: number): Edit {
  return (desk) =>
    stepped({ [id]: steps })(changed((content) => withPaper(content, id, change))(desk));
}

/** Her own hops of a paper; its steps go to the last of them. */
export function hopped(id: PaperId, hops: readonly string[]): Edit {
  return (desk) =>
    stepped({ [id]: hops.length })(changed((content) => withHops(content, id, hops))(desk));
}

/** The lines of a paper of own lines, or whose they are. */
export function ownChanged(id: PaperId, change: (own: OwnWork) => OwnWork): Edit {
  return (desk) => {
    const paper = desk.content.papers.find((one) => one.id === id);
    if (!paper?.own) return desk;
    const own = change(paper.own);
    if (sameValue(own, paper.own)) return desk;
    return changed((content) => withPaper(content, id, { own }))(desk);
  };
}

/** Another computation under everything that is on the bench, with one paper of own lines laid on it. */
export function laidOnNumbers(id: PaperId, problem: Problem, lines: readonly string[]): Edit {
  return changed((content) => {
    const papers = content.papers.map((paper) =>
      paper.id === id && paper.own
        ? { ...paper, own: { ...paper.own, lines: typed(lines) } }
        : paper,
    );
    return withProblem({ ...content, papers }, problem);
  });
}

function typed(lines: readonly string[]): OwnWork['lines'] {
  return lines.map((text) => ({ text, struck: false }));
}

/** Whether one more check can be recorded; nothing is dropped to make room for it. */
export function hasRoom(checks: readonly CheckRecord[]): boolean {
  return checks.length < MAX_CHECKS;
}

export function recorded(check: CheckRecord): Edit {
  return (desk) => (hasRoom(desk.checks) ? { ...desk, checks: [...desk.checks, check] } : desk);
}

export function forgotten(check: CheckRecord): Edit {
  return (desk) => ({ ...desk, checks: desk.checks.filter((own) => own !== check) });
}
