import { OWN_LIMITS, type OwnLine, type OwnWork, type PaperId } from '@levee/core';
import { notify } from '../ui/notices.tsx';
import { useComparison } from '../store/comparison-store.ts';
import { useSession } from '../store/session-store.ts';
import { changeOwn } from './change.ts';

/** A place on a paper of own lines: which of its lines, and where in it. */
export interface Caret {
  readonly line: number;
  readonly at?: number;
}

export function typeOn(paper: PaperId, { line, at }: Caret): void {
  useSession.setState({
    active: paper,
    typing: { paper, line, ...(at === undefined ? {} : { caret: at }) },
  });
}

/** Ends typing; a line that was left empty goes. */
export function leaveTyping(): void {
  const { typing } = useSession.getState();
  if (!typing) return;
  useSession.setState({ typing: null });
  changeOwn(typing.paper, (own) => ({ ...own, lines: own.lines.filter(isKept) }));
}

function isKept({ text }: OwnLine): boolean {
  return text.trim() !== '';
}

/** Puts what is typed on its line; one behind the last is a new one, unless nothing is on it. */
export function putLine(paper: PaperId, line: number, text: string): void {
  changeOwn(paper, (own) => withTexts(own, line, 1, [text]));
}

/** Lines in the place of one, as an offer has them or as they were pasted; says how many of them found no room. */
export function putLines(paper: PaperId, line: number, texts: readonly string[]): void {
  changeOwn(paper, (own) => {
    const room = OWN_LIMITS.lines - own.lines.length + (line < own.lines.length ? 1 : 0);
    const left = texts.length - room;
    if (left > 0) notify(`${FULL} ${left} of ${texts.length} lines found no room.`);
    return withTexts(own, line, 1, texts.slice(0, room));
  });
}

const FULL = `A paper has up to ${OWN_LIMITS.lines} lines.`;

/** So many lines replaced by others; those that have nothing on them behind the last are left out. */
export function withTexts(
  own: OwnWork,
  from: number,
  count: number,
  texts: readonly string[],
): OwnWork {
  const old = own.lines.slice(from, from + count);
  const put = texts.map((text, k): OwnLine => ({
    text: text.slice(0, OWN_LIMITS.characters),
    struck: old[k]?.struck ?? false,
  }));
  const rest = own.lines.slice(from + count);
  const lines = [...own.lines.slice(0, from), ...put, ...rest];
  const end = rest.length > 0 ? lines.length : lines.findLastIndex(isKept) + 1;
  return { ...own, lines: lines.slice(0, end).slice(0, OWN_LIMITS.lines) };
}

/** Enter: what is behind the caret becomes the next line. */
export function splitLine(paper: PaperId, line: number, text: string, at: number): void {
  const [left, right] = [text.slice(0, at), text.slice(at)];
  changeOwn(paper, (own) => {
    const isLast = line >= own.lines.length - 1;
    const isFull = own.lines.length >= OWN_LIMITS.lines;
    // A line more would push the last one off the paper.
    if (isFull && right !== '') return withTexts(own, line, 1, [text]);
    return withTexts(own, line, 1, isLast && right === '' ? [left] : [left, right]);
  });
  const { papers } = useComparison.getState().content;
  const count = papers.find(({ id }) => id === paper)?.own?.lines.length ?? 0;
  const isStuck = line + 1 >= OWN_LIMITS.lines || (count >= OWN_LIMITS.lines && right !== '');
  if (isStuck) notify(FULL);
  const stays = isStuck || (left.trim() === '' && right === '');
  typeOn(paper, stays ? { line, at } : { line: line + 1, at: 0 });
}

/** Backspace at the beginning: the line joins the one before. */
export function joinLine(paper: PaperId, line: number, text: string): void {
  if (line === 0) return;
  let at = 0;
  changeOwn(paper, (own) => {
    const before = own.lines[line - 1]?.text ?? '';
    at = before.length;
    return withTexts(own, line - 1, 2, [before + text]);
  });
  typeOn(paper, { line: line - 1, at });
}

/** Strikes a line, or takes its stroke away; a struck line stays legible and is not judged. */
export function strikeLine(paper: PaperId, line: number): void {
  changeOwn(paper, (own) => ({
    ...own,
    lines: own.lines.map((one, k) => (k === line ? { ...one, struck: !one.struck } : one)),
  }));
}

/** A line that is kept as it is typed where numbers have a comma, and back: kept is a point. */
export function withPoint(text: string, from: '.' | ',', to: '.' | ','): string {
  return from === to
    ? text
    : text.replace(from === '.' ? /(?<=\d)\.(?=\d)/g : /(?<=\d),(?=\d)/g, to);
}

/** What is typed as it is written: a star as a times sign, a hyphen as a minus where the line is no words, arrows. */
export function asWritten(text: string): string {
  const signs = text.replace(/[-−]>/g, '→').replace(/\*/g, '×');
  const isWords = /\p{L}{3,}/u.test(signs.replace(/sqrt/g, ''));
  const dashed = isWords ? signs : signs.replace(/-/g, '−');
  return dashed === '=' ? '= ' : dashed;
}
