import {
  expressionTex,
  failureText,
  onPaper,
  PLAIN_NOTATION,
  mostTelling,
  readExpression,
  readComputation,
  refusalText,
  registry,
  ungrouped,
  type Beside,
  type Notation,
  type Problem,
} from '@levee/core';
import { useRef, useState, type CSSProperties, type KeyboardEvent } from 'react';
import { isTypeset, ProblemText } from '../ui/problem-text.tsx';
import { Tex } from '../ui/tex.tsx';
import { useNotation } from '../worked/use-worked.ts';
import { tooLong } from '../worked/work.ts';
import './computation-field.css';

/** A problem for the bench, with what stood beside it. */
export type Readable = {
  readonly ok: true;
  readonly problem: Problem;
  /** Why no method works it, so that it is laid for own lines; null where some method does. */
  readonly ownOnly?: string | null;
} & Beside;

/** What a typed text comes to: a problem for the bench, or one sentence why not. */
export type Typed =
  Readable | { readonly ok: false; readonly sentence: string; readonly at: number | null };

export function readTyped(text: string, notation: Notation = PLAIN_NOTATION): Typed {
  const read = readComputation(ungrouped(text, notation), { decimalComma: notation.point === ',' });
  if (!read.ok) {
    const at = 'at' in read.reason ? read.reason.at : null;
    return { ok: false, sentence: failureText(read.reason), at };
  }
  const { problem } = read;
  const long = tooLong(problem);
  if (long !== null) return { ok: false, sentence: long, at: null };
  const answers = registry.methods.map((method) => method.accepts(problem));
  if (answers.some(({ ok }) => ok)) return read;
  const reasons = answers.flatMap((answer) => (answer.ok ? [] : [answer.reason]));
  const isOneOperation = problem.kind !== 'expression';
  return { ...read, ownOnly: isOneOperation ? refusalText(mostTelling(reasons)) : '' };
}

export interface ComputationFieldProps {
  /** What is worked now; empty where nothing is yet. */
  readonly kept: string;
  /** Works what was typed. */
  readonly work: (reading: Readable) => void;
  readonly autoFocus?: boolean;
}

/** A field for a computation: read back as mathematics while typing, worked on Enter. */
export function ComputationField({ kept, work, autoFocus = false }: ComputationFieldProps) {
  const notation = useNotation();
  const [typed, setTyped] = useState<string | null>(null);
  const [focused, setFocused] = useState(false);
  const field = useRef<HTMLInputElement>(null);
  const shown = typed ?? (kept === '' ? '' : onPaper(kept, notation));
  const covered = !focused && typed === null && kept !== '' && isTypeset(kept);
  const reading = typed === null ? null : readTyped(typed, notation);

  const commit = () => {
    if (typed === null || !reading?.ok) return;
    setTyped(null);
    work(reading);
  };
  const press = (event: KeyboardEvent) => {
    if (event.key === 'Enter' && reading?.ok !== false) {
      commit();
      field.current?.blur();
    }
    if (event.key === 'Escape') {
      setTyped(null);
      requestAnimationFrame(() => field.current?.blur());
    }
  };
  return (
    <div className="problem-field">
      <input
        ref={field}
        data-problem-field
        aria-label="Computation"
        aria-invalid={reading?.ok === false}
        aria-describedby="problem-reading"
        value={shown}
        spellCheck={false}
        autoComplete="off"
        autoFocus={autoFocus}
        style={covered ? undefined : fieldStyle(shown.length)}
        title={covered ? shown : undefined}
        className={typed !== null ? 'pending' : covered ? 'covered' : undefined}
        onFocus={(event) => {
          setFocused(true);
          event.target.select();
        }}
        onChange={(event) => setTyped(event.target.value)}
        onKeyDown={press}
        onBlur={() => setFocused(false)}
      />
      {covered && (
        <div className="problem-cover" aria-hidden>
          <ProblemText problem={kept} />
        </div>
      )}
      {focused && typed !== null && reading && (
        <Reading text={typed} reading={reading} notation={notation} />
      )}
    </div>
  );
}

/** Wide enough for the text; long ones in smaller figures. */
function fieldStyle(length: number): CSSProperties {
  const fontSize = length <= 12 ? 30 : length <= 18 ? 24 : 17;
  return { fontSize, width: `${Math.min(34, Math.max(5, length + 0.5)) * 0.6}em` };
}

function Reading(props: {
  readonly text: string;
  readonly reading: Typed;
  readonly notation: Notation;
}) {
  const { text, reading, notation } = props;
  const expression = readExpression(text, { decimalComma: notation.point === ',' });
  return (
    <div id="problem-reading" className="problem-reading" role="status">
      {expression.ok && (
        <div className="problem-math">
          <Tex source={expressionTex(expression.expression, notation)} />
        </div>
      )}
      {reading.ok ? (
        <span className="hint">{okHint(reading)}</span>
      ) : (
        <>
          {reading.at !== null && <Where text={text} at={reading.at} />}
          <span className="fault">{reading.sentence}</span>
        </>
      )}
    </div>
  );
}

function okHint({ ownOnly }: Readable): string {
  if (ownOnly === undefined || ownOnly === null) return 'Enter works it · Esc goes back';
  return `${ownOnly} No method yet; Enter lays it for own lines · Esc goes back`.trim();
}

const AROUND = 24;

/** The typed text near the character that does not fit, with that character marked. */
function Where({ text, at }: { readonly text: string; readonly at: number }) {
  const from = Math.max(0, at - 1 - AROUND);
  return (
    <code className="where">
      {from > 0 && '…'}
      {text.slice(from, at - 1)}
      <mark>{text.slice(at - 1, at) || ' '}</mark>
      {text.slice(at, at + AROUND)}
      {text.length > at + AROUND && '…'}
    </code>
  );
}
