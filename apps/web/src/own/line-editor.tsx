import { OWN_LIMITS, type LineBand, type OwnWork, type PaperId } from '@levee/core';
import { useLayoutEffect, useRef, type ChangeEvent, type RefObject } from 'react';
import type { Typing } from '../store/session-store.ts';
import { LineSaid } from './line-said.tsx';
import { asWritten } from './typing.ts';
import { useLine } from './use-line.ts';

export interface LineEditorProps {
  readonly paper: PaperId;
  readonly own: OwnWork;
  readonly typing: Typing;
  readonly band: LineBand;
  /** Pixels a square is wide, and how wide the room is in which the paper lies. */
  readonly square: number;
  readonly room: number;
}

/** Least pixels of the letters that are typed, of a line, and of the room for what is said. */
const LEAST_LETTERS = 16;
const LEAST_HEIGHT = 28;
const LEAST_WIDTH = 230;

/** One line of a paper while it is typed, in its place; what is said of it stands beneath. */
export function LineEditor({ paper, own, typing, band, square, room }: LineEditorProps) {
  const line = useLine(paper, own, typing.line);
  const { text, said, chosen } = line;
  const input = useRef<HTMLInputElement>(null);
  useCaret(input, typing.caret ?? text.length);
  const change = (event: ChangeEvent<HTMLInputElement>) => {
    const { value, selectionStart } = event.currentTarget;
    const written = asWritten(value);
    line.write(written);
    const at = (selectionStart ?? value.length) + written.length - value.length;
    requestAnimationFrame(() => input.current?.setSelectionRange(at, at));
  };
  const left = square * 0.6;
  return (
    <div
      className="line-editor"
      style={{
        top: band.y * square,
        left,
        width: Math.max(LEAST_WIDTH, room - left - 10),
        fontSize: Math.max(LEAST_LETTERS, square * 0.86),
      }}
      onClick={(event) => event.stopPropagation()}
      onBlur={(event) => {
        if (!event.currentTarget.contains(event.relatedTarget)) line.leave();
      }}
    >
      <input
        ref={input}
        value={text}
        aria-label={`Line ${typing.line + 1}`}
        aria-describedby="line-said"
        maxLength={OWN_LIMITS.characters}
        spellCheck={false}
        autoComplete="off"
        autoCapitalize="off"
        style={{ height: Math.max(LEAST_HEIGHT, band.height * square) }}
        onChange={change}
        onKeyDown={line.press}
        onPaste={line.paste}
      />
      <LineSaid said={said} text={text} chosen={chosen} take={line.take} />
    </div>
  );
}

/** The caret goes where it is asked for when the line is opened. */
function useCaret(input: RefObject<HTMLInputElement | null>, at: number): void {
  const first = useRef(at);
  useLayoutEffect(() => {
    input.current?.focus();
    input.current?.setSelectionRange(first.current, first.current);
  }, [input]);
}
