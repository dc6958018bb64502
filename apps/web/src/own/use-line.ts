import { isCounted, type Offer, type OwnWork, type PaperId } from '@levee/core';
import { useState, type ClipboardEvent, type KeyboardEvent } from 'react';
import type { TypedAnswer } from '../away/typed-job.ts';
import { useComparison } from '../store/comparison-store.ts';
import { keyOf, type LineKeys } from './line-keys.ts';
import {
  asWritten,
  joinLine,
  leaveTyping,
  putLine,
  putLines,
  splitLine,
  strikeLine,
  typeOn,
  withPoint,
} from './typing.ts';
import { useNotation } from '../worked/use-worked.ts';
import { useTyped } from './use-typed.ts';

/** A line while it is typed: what stands on it, what is said of it, and what keys and pasting do. */
export interface Line {
  readonly text: string;
  readonly said: TypedAnswer | null;
  /** Which offer the right arrow takes, from 0. */
  readonly chosen: number;
  readonly write: (text: string) => void;
  readonly take: (offer: Offer) => void;
  readonly press: (event: KeyboardEvent<HTMLInputElement>) => void;
  readonly paste: (event: ClipboardEvent<HTMLInputElement>) => void;
  /** Keeps what is typed and ends typing. */
  readonly leave: () => void;
}

/** One line of a paper of own lines, from 0; one behind the last is a new one. */
export function useLine(paper: PaperId, own: OwnWork, line: number): Line {
  const { point } = useNotation();
  const [text, setText] = useState(withPoint(own.lines[line]?.text ?? '', '.', point));
  const kept = withPoint(text, point, '.');
  const [chosen, setChosen] = useState(0);
  const problem = useComparison(({ content }) => content.problem);
  const before = own.lines.slice(0, line).filter(isCounted);
  const texts = before.map((one) => one.text);
  const said = useTyped(problem, texts, kept);
  const offers = said?.offers ?? [];
  const write = (next: string) => {
    setText(next);
    setChosen(0);
  };
  const take = ({ lines }: Offer) => {
    putLines(paper, line, lines);
    write(withPoint(lines[0] ?? '', '.', point));
    typeOn(paper, { line: line + lines.length - 1 });
  };
  const leave = () => {
    putLine(paper, line, kept);
    leaveTyping();
  };
  const keysAt = (at: number, isCaret: boolean): LineKeys => ({
    enter: () => splitLine(paper, line, kept, at),
    join: () => (isCaret && at === 0 && line > 0 ? joinLine(paper, line, kept) : false),
    offer: () => {
      const offer = offers[chosen];
      return isCaret && at === text.length && offer ? take(offer) : false;
    },
    go: (by) => goTo({ paper, own, line, text: kept }, line + by),
    choose: (by) => offers.length > 0 && setChosen((chosen + by + offers.length) % offers.length),
    strike: () => {
      putLine(paper, line, kept);
      strikeLine(paper, line);
    },
    leave,
  });
  const press = (event: KeyboardEvent<HTMLInputElement>) => {
    const { selectionStart, selectionEnd } = event.currentTarget;
    const keys = keysAt(selectionStart ?? 0, selectionStart === selectionEnd);
    if (keyOf(event, keys)) event.preventDefault();
    event.stopPropagation();
  };
  const paste = (event: ClipboardEvent<HTMLInputElement>) => {
    const lines = pastedLines(event, text)?.map((one) => withPoint(one, point, '.'));
    if (!lines) return;
    event.preventDefault();
    putLines(paper, line, lines);
    typeOn(paper, { line: line + lines.length - 1 });
  };
  return { text, said, chosen, write, take, press, paste, leave };
}

interface At {
  readonly paper: PaperId;
  readonly own: OwnWork;
  readonly line: number;
  readonly text: string;
}

/** Goes to another line, one new line behind the last at most; false where there is none. */
function goTo({ paper, own, line, text }: At, next: number): boolean {
  const isNew = line >= own.lines.length;
  const last = isNew && text.trim() === '' ? line : Math.max(own.lines.length, line + 1);
  if (next < 0 || next > last) return false;
  putLine(paper, line, text);
  typeOn(paper, { line: next });
  return true;
}

/** Pasted text of several lines with what stood around the caret; null where it is of one line. */
function pastedLines(
  event: ClipboardEvent<HTMLInputElement>,
  text: string,
): readonly string[] | null {
  const pasted = event.clipboardData.getData('text/plain');
  if (!/\n./.test(pasted)) return null;
  const { selectionStart, selectionEnd } = event.currentTarget;
  const whole = text.slice(0, selectionStart ?? 0) + pasted + text.slice(selectionEnd ?? 0);
  return whole
    .split(/\r?\n/)
    .map((one) => asWritten(one.trim()))
    .filter(Boolean);
}
