import {
  expressionTex,
  failureText,
  inNotation,
  mostTelling,
  readExpression,
  readProblem,
  refusalText,
  registry,
  type Beside,
  type Notation,
  type Problem,
} from '@levee/core';
import { useRef, useState, type CSSProperties, type KeyboardEvent } from 'react';
import { dispatch, useComparison } from '../../../store/comparison-store.ts';
import { changed } from '../../../store/edits.ts';
import { withTyped } from '../../../store/story.ts';
import { notify } from '../../../ui/notices.tsx';
import { isTypeset, ProblemText } from '../../../ui/problem-text.tsx';
import { Tex } from '../../../ui/tex.tsx';
import { judgedAnswer } from './claimed.ts';
import { useNotation } from '../../../worked/use-worked.ts';
import { tooLong } from '../../../worked/work.ts';

/** What a typed text comes to: a problem for the bench, or one sentence why not. */
export type Typed =
  | ({ readonly ok: true; readonly problem: Problem } & Beside)
  | { readonly ok: false; readonly sentence: string; readonly at: number | null };

export function readTyped(text: string, decimalComma = false): Typed {
  const read = readProblem(text, { decimalComma });
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
  return { ok: false, sentence: refusalText(mostTelling(reasons)), at: null };
}

/** The one field for the computation: read back as mathematics while typing, worked on Enter. */
export function ProblemField() {
  const kept = useComparison((state) => state.content.problem);
  const notation = useNotation();
  const decimalComma = notation.point === ',';
  const [typed, setTyped] = useState<string | null>(null);
  const [focused, setFocused] = useState(false);
  const field = useRef<HTMLInputElement>(null);
  const shown = typed ?? inNotation(kept, notation);
  const reading = typed === null ? null : readTyped(typed, decimalComma);

  const commit = () => {
    if (typed === null || !reading?.ok) return;
    setTyped(null);
    applyProblem(reading, notation);
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
        maxLength={5000}
        style={fieldStyle(shown.length)}
        className={typed !== null ? 'pending' : !focused && isTypeset(kept) ? 'covered' : undefined}
        onFocus={(event) => {
          setFocused(true);
          event.target.select();
        }}
        onChange={(event) => setTyped(event.target.value)}
        onKeyDown={press}
        onBlur={() => setFocused(false)}
      />
      {!focused && typed === null && isTypeset(kept) && (
        <div className="problem-cover" aria-hidden>
          <ProblemText problem={kept} />
        </div>
      )}
      {typed !== null && reading && <Reading text={typed} reading={reading} notation={notation} />}
    </div>
  );
}

/** Wide enough for the text; long ones in smaller figures. */
function fieldStyle(length: number): CSSProperties {
  const fontSize = length <= 12 ? 30 : length <= 18 ? 24 : 17;
  return { fontSize, width: `${Math.min(34, Math.max(5, length + 0.5)) * 0.6}em` };
}

function applyProblem(
  { problem, unit, claimed }: Beside & { problem: Problem },
  notation: Notation,
): void {
  const { content } = useComparison.getState();
  const typed = withTyped(content, problem);
  const next = unit !== undefined && typed.unit === '' ? { ...typed, unit } : typed;
  const judged = claimed ? [judgedAnswer(problem, claimed, notation)] : [];
  if (next.problem === content.problem) {
    if (judged.length > 0) notify(judged.join(''));
    return;
  }
  dispatch(changed(() => next));
  const gone = content.papers.filter(({ method }) => !registry.get(method).accepts(problem).ok);
  const said = [
    ...paperNotice(gone.length, content.papers.length),
    ...(content.story + content.unit !== '' && next.story + next.unit === ''
      ? ['Story and unit belong to the other computation and were taken off.']
      : []),
    ...(content.estimate && !next.estimate
      ? ['The estimate belongs to the other computation and was taken off.']
      : []),
  ];
  const undo = said.length > 0 ? ['Undo brings all back.'] : [];
  if (judged.length + said.length > 0) notify([...judged, ...said, ...undo].join(' '));
}

function paperNotice(gone: number, all: number): readonly string[] {
  if (gone === 0) return [];
  if (gone === all) return ['None of these papers works this; others are laid.'];
  return gone === 1
    ? ['One paper cannot work this and was put away.']
    : [`${gone} papers cannot work this and were put away.`];
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
        <span className="hint">Enter works it · Esc goes back</span>
      ) : (
        <>
          {reading.at !== null && <Where text={text} at={reading.at} />}
          <span className="fault">{reading.sentence}</span>
        </>
      )}
    </div>
  );
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
