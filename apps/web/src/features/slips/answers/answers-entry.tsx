import { MAX_ROWS, problemText, readRows, type Problem, type ReadRows } from '@levee/core';
import { Button } from '@mui/material';
import { useRef, useState } from 'react';
import { dispatch, useComparison } from '../../../store/comparison-store.ts';
import { changed } from '../../../store/edits.ts';
import { copy } from '../../../ui/copy.ts';
import { notify } from '../../../ui/notices.tsx';

/** Where answers are typed, pasted or read from a file. What cannot be read stays in the field, with the reason beside it. */
export function AnswersEntry({ problem }: { readonly problem: Problem }) {
  const count = useComparison((state) => state.content.answers.length);
  const [text, setText] = useState('');
  const [read, setRead] = useState<ReadRows | null>(null);
  const add = (source: string) => {
    const { unit, units } = useComparison.getState().content;
    const rows = readRows(source, problem, [unit, ...units]);
    setRead(rows);
    setText(leftOver(source, rows));
    const full = kept(rows, problem);
    if (full) notify(full);
  };
  return (
    <section className="answers-entry" aria-label="Answers to read">
      <textarea
        rows={3}
        aria-label="Answers, one a line"
        placeholder={'an answer, or with a code:\nT07, answer\nT07, 305 − 127, 288'}
        value={text}
        onChange={(event) => setText(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) add(text);
        }}
      />
      <p className="chips">
        <Button
          size="small"
          variant="contained"
          disabled={text.trim() === ''}
          onClick={() => add(text)}
        >
          Read
        </Button>
        <FromFile read={add} />
        {count > 0 && (
          <button
            type="button"
            className="chip"
            onClick={() => dispatch(changed((content) => ({ ...content, answers: [] })))}
          >
            clear {count}
          </button>
        )}
      </p>
      {read && <Report read={read} forget={() => setRead(null)} />}
    </section>
  );
}

/** Reads a list from a file. */
function FromFile({ read }: { readonly read: (text: string) => void }) {
  const file = useRef<HTMLInputElement>(null);
  return (
    <>
      <button type="button" className="chip" onClick={() => file.current?.click()}>
        from a file
      </button>
      <input
        ref={file}
        type="file"
        hidden
        accept=".csv,.txt,text/csv,text/plain"
        onChange={(event) => {
          const [chosen] = event.target.files ?? [];
          event.target.value = '';
          if (chosen) void chosen.text().then(read);
        }}
      />
    </>
  );
}

/** Lines that were not read stay to be mended. */
function leftOver(source: string, { faults, rows }: ReadRows): string {
  if (rows.length === 0) return source;
  const lines = source.split(/\r\n|\r|\n/);
  return faults.map(({ line }) => lines[line - 1] ?? '').join('\n');
}

/** Keeps what was read; says so when there is no room for it. */
function kept({ rows }: ReadRows, problem: Problem): string | null {
  const own = problemText(problem);
  const { answers } = useComparison.getState().content;
  if (answers.length + rows.length > MAX_ROWS) {
    return `${MAX_ROWS} answers are kept with a computation; these ${rows.length} would be more. Nothing was added.`;
  }
  const more = rows.map(({ code, problem: of, answer }) => {
    const text = problemText(of);
    return { code, problem: text === own ? '' : text, answer };
  });
  if (more.length > 0)
    dispatch(changed((content) => ({ ...content, answers: [...content.answers, ...more] })));
  return null;
}

/** What was not read, and which codes were given in the place of names: shown once, kept nowhere. */
function Report({
  read: { faults, renamed, rows, beside },
  forget,
}: {
  readonly read: ReadRows;
  readonly forget: () => void;
}) {
  return (
    <div className="answers-report">
      {rows.length > 0 && (
        <p className="caption" role="status">
          {rows.length} {rows.length === 1 ? 'answer' : 'answers'} read.
        </p>
      )}
      {faults.length > 0 && (
        <ul className="faults" role="alert">
          {faults.slice(0, 5).map(({ line, fault }) => (
            <li key={line}>
              Line {line}: {fault}
            </li>
          ))}
          {faults.length > 5 && <li>{faults.length - 5} more lines were not read.</li>}
        </ul>
      )}
      {beside.length > 0 && <Beside beside={beside} forget={forget} />}
      {renamed.length > 0 && <Renamed renamed={renamed} forget={forget} />}
    </div>
  );
}

interface Offered {
  readonly forget: () => void;
}

/** What stood beside answers, offered back once. */
function Beside({ beside, forget }: Pick<ReadRows, 'beside'> & Offered) {
  return (
    <div className="renamed">
      <p>Only answers are kept, with their unit. This stood beside them; it is shown only now.</p>
      <ul>
        {beside.map(({ line, text }) => (
          <li key={line}>
            <strong>line {line}</strong> {text}
          </li>
        ))}
      </ul>
      <p className="chips">
        <button type="button" className="chip" onClick={forget}>
          forget it
        </button>
      </p>
    </div>
  );
}

/** Codes that were given in the place of names. */
function Renamed({ renamed, forget }: Pick<ReadRows, 'renamed'> & Offered) {
  return (
    <div className="renamed">
      <p>
        Names are not kept. These codes stand for them from now on; copy the list out, it is shown
        only now.
      </p>
      <ul>
        {renamed.map(({ given, code }) => (
          <li key={code}>
            <strong>{code}</strong> {given}
          </li>
        ))}
      </ul>
      <p className="chips">
        <button
          type="button"
          className="chip"
          onClick={() =>
            void copy(renamed.map(({ given, code }) => `${code}\t${given}`).join('\n'))
          }
        >
          copy the list
        </button>
        <button type="button" className="chip" onClick={forget}>
          forget it
        </button>
      </p>
    </div>
  );
}
