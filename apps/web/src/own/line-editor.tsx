import { isCounted, type LineBand, type Offer, type OwnWork, type PaperId } from '@levee/core';
import {
  useLayoutEffect,
  useRef,
  useState,
  type ClipboardEvent,
  type KeyboardEvent,
  type RefObject,
} from 'react';
import { useComparison } from '../store/comparison-store.ts';
import type { Typing } from '../store/session-store.ts';
import { LineSaid } from './line-said.tsx';
import {
  asWritten,
  joinLine,
  leaveTyping,
  putLine,
  putLines,
  splitLine,
  strikeLine,
  typeOn,
} from './typing.ts';
import { useTyped } from './use-typed.ts';

export interface LineEditorProps {
  readonly paper: PaperId;
  readonly own: OwnWork;
  readonly typing: Typing;
  readonly band: LineBand;
  /** Pixels a square is wide, and how wide the room is in which the paper lies. */
  readonly square: number;
  readonly room: number;
}

/** Least pixels of the letters that are typed. */
const LEAST_LETTERS = 16;

/** One line of a paper while it is typed, in its place; what is said of it stands beneath. */
export function LineEditor(props: LineEditorProps) {
  const { paper, own, typing, band, square, room } = props;
  const { line, caret } = typing;
  const [text, setText] = useState(own.lines[line]?.text ?? '');
  const [chosen, setChosen] = useState(0);
  const problem = useComparison(({ content }) => content.problem);
  const before = own.lines.slice(0, line).filter(isCounted);
  const said = useTyped(
    problem,
    before.map((one) => one.text),
    text,
  );
  const input = useRef<HTMLInputElement>(null);
  useCaret(input, caret ?? text.length);
  const write = (next: string) => {
    setText(next);
    setChosen(0);
  };
  const offers = said?.offers ?? [];
  const take = (offer: Offer) => {
    putLines(paper, line, offer.lines);
    write(offer.lines[0] ?? '');
    const last = line + offer.lines.length - 1;
    typeOn(paper, { line: last });
  };
  const press = (event: KeyboardEvent<HTMLInputElement>) => {
    const at = event.currentTarget.selectionStart ?? 0;
    const isCaret = at === event.currentTarget.selectionEnd;
    const done = keyOf(event, {
      enter: () => splitLine(paper, line, text, at),
      join: () => (isCaret && at === 0 && line > 0 ? joinLine(paper, line, text) : false),
      offer: () => {
        const offer = offers[chosen] ?? offers[0];
        return isCaret && at === text.length && offer ? take(offer) : false;
      },
      go: (by) => goTo(line + by),
      choose: (by) => {
        if (offers.length === 0) return false;
        setChosen((chosen + by + offers.length) % offers.length);
        return undefined;
      },
      strike: () => {
        putLine(paper, line, text);
        strikeLine(paper, line);
      },
      leave: () => {
        putLine(paper, line, text);
        leaveTyping();
      },
    });
    if (done) event.preventDefault();
    event.stopPropagation();
  };
  const goTo = (next: number) => {
    const end = text.trim() === '' ? own.lines.length : Math.max(own.lines.length, line + 1);
    if (
      next < 0 ||
      next > end ||
      (next === line + 1 && text.trim() === '' && line >= own.lines.length)
    )
      return false;
    putLine(paper, line, text);
    typeOn(paper, { line: next });
    return undefined;
  };
  const paste = (event: ClipboardEvent<HTMLInputElement>) => {
    const pasted = event.clipboardData.getData('text/plain');
    if (!/\n./.test(pasted)) return;
    event.preventDefault();
    const { selectionStart, selectionEnd } = event.currentTarget;
    const whole = text.slice(0, selectionStart ?? 0) + pasted + text.slice(selectionEnd ?? 0);
    const lines = whole.split(/\r?\n/).map((one) => asWritten(one.trim()));
    putLines(paper, line, lines.filter(Boolean));
    typeOn(paper, { line: line + lines.filter(Boolean).length - 1 });
  };
  const left = square * 0.6;
  return (
    <div
      className="line-editor"
      style={{
        top: band.y * square,
        left,
        width: Math.max(230, room - left - 10),
        fontSize: Math.max(LEAST_LETTERS, square * 0.86),
      }}
      onClick={(event) => event.stopPropagation()}
      onBlur={(event) => {
        if (event.currentTarget.contains(event.relatedTarget)) return;
        putLine(paper, line, text);
        leaveTyping();
      }}
    >
      <input
        ref={input}
        value={text}
        aria-label={`Line ${line + 1}`}
        aria-describedby="line-said"
        spellCheck={false}
        autoComplete="off"
        autoCapitalize="off"
        style={{ height: Math.max(28, band.height * square) }}
        onChange={(event) => {
          const { value, selectionStart } = event.currentTarget;
          const written = asWritten(value);
          write(written);
          const moved = (selectionStart ?? value.length) + written.length - value.length;
          requestAnimationFrame(() => input.current?.setSelectionRange(moved, moved));
        }}
        onKeyDown={press}
        onPaste={paste}
      />
      <LineSaid said={said} text={text} chosen={chosen} take={take} />
    </div>
  );
}

/** The caret goes where it is asked for, when the line is opened or joined. */
function useCaret(input: RefObject<HTMLInputElement | null>, at: number): void {
  const first = useRef(at);
  useLayoutEffect(() => {
    input.current?.focus({ preventScroll: false });
    input.current?.setSelectionRange(first.current, first.current);
  }, [input]);
}

/** What keys do on a line; false where one does what it does everywhere. */
interface LineKeys {
  readonly enter: () => unknown;
  readonly join: () => unknown;
  readonly offer: () => unknown;
  readonly go: (by: 1 | -1) => unknown;
  readonly choose: (by: 1 | -1) => unknown;
  readonly strike: () => unknown;
  readonly leave: () => unknown;
}

/** Does what a key asks for; whether it did. Tab is left alone: it leaves the paper. */
function keyOf(event: KeyboardEvent, keys: LineKeys): boolean {
  const { key, altKey, ctrlKey, metaKey } = event;
  if (ctrlKey || metaKey) return false;
  const by = key === 'ArrowDown' ? 1 : -1;
  if (altKey) {
    if (key === 'ArrowDown' || key === 'ArrowUp') return keys.choose(by) !== false;
    if (key.toLowerCase() === 'x') return keys.strike() !== false;
    return false;
  }
  switch (key) {
    case 'Enter':
      return keys.enter() !== false;
    case 'Backspace':
      return keys.join() !== false;
    case 'ArrowRight':
      return keys.offer() !== false;
    case 'ArrowDown':
    case 'ArrowUp':
      return keys.go(by) !== false;
    case 'Escape':
      return keys.leave() !== false;
    default:
      return false;
  }
}
