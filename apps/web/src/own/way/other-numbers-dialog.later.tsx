import {
  conditionSays,
  displayed,
  inNotation,
  isCounted,
  readComputation,
  readCondition,
  wayDocument,
  type LetteredWay,
  type OwnLinesMethod,
  type OwnWork,
} from '@levee/core';
import {
  Button,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  TextField,
} from '@mui/material';
import { useState } from 'react';
import { dispatch } from '../../store/comparison-store.ts';
import { laidOnNumbers } from '../../store/edits.ts';
import { download, fileName } from '../../ui/download.ts';
import { MathText } from '../../ui/math-text.tsx';
import { ProblemText } from '../../ui/problem-text.tsx';
import { useNotation } from '../../worked/use-worked.ts';
import type { Paper } from '../../worked/work.ts';
import { Lettered } from './lettered.tsx';
import { Rules } from './rules.tsx';
import { layThere, useWay, type There } from './use-way.ts';
import './way.css';

/** A way with letters for its numbers, beside itself and beside what it is on numbers that she types. */
export default function OtherNumbersDialog(props: {
  readonly open: boolean;
  readonly close: () => void;
  readonly paper: Paper;
  readonly method: OwnLinesMethod;
}) {
  const { open, close, paper, method } = props;
  const { own } = method;
  const { asked } = method.judged(paper.lane.trace.problem);
  const { answer, way, choose, suggested } = useWay(open, asked.text, own);
  const [typed, setTyped] = useState<string | null>(null);
  const text = typed ?? suggested[0] ?? '';
  const there = way ? layThere(way, text) : null;
  return (
    <Dialog open={open} onClose={close} maxWidth="md" fullWidth>
      <DialogTitle>{own.name === '' ? 'This way' : own.name} on other numbers</DialogTitle>
      <DialogContent className="way-dialog">
        {!answer && (
          <>
            <p className="caption" role="status">
              Asking every number where it comes from …
            </p>
            <Lines own={own} here={asked.text} way={null} there={null} />
          </>
        )}
        {answer?.ok === false && <p role="alert">{answer.says}</p>}
        {answer?.ok && way && (
          <>
            <Numbers text={text} suggested={suggested} there={there} type={setTyped} />
            <Lines own={own} here={asked.text} way={way} there={there} />
            <Rules way={way} choices={answer.choices} choose={choose} />
            <Holds way={way} />
          </>
        )}
      </DialogContent>
      <DialogActions>
        {way && <SaveButton way={way} />}
        <Button onClick={close}>Close</Button>
        <Button
          variant="contained"
          disabled={!there?.ok}
          onClick={() => {
            if (there?.ok) layOnBench(paper, there);
            close();
          }}
        >
          {there?.ok ? `Lay on ${there.text}` : 'Lay'}
        </Button>
      </DialogActions>
    </Dialog>
  );
}

/** The whole bench goes over to the new numbers; undo brings the old ones back. */
function layOnBench(paper: Paper, there: Extract<There, { ok: true }>): void {
  const read = readComputation(there.text);
  if (read.ok) dispatch(laidOnNumbers(paper.id, read.problem, there.lines));
}

function Numbers(props: {
  readonly text: string;
  readonly suggested: readonly string[];
  readonly there: There | null;
  readonly type: (text: string) => void;
}) {
  const { text, suggested, there, type } = props;
  const fault = there && !there.ok ? there.says : null;
  return (
    <div className="way-numbers">
      <TextField
        label="Other numbers"
        size="small"
        value={text}
        error={fault !== null}
        autoFocus
        onChange={(event) => type(event.target.value)}
      />
      <span className="way-suggested" role="group" aria-label="Numbers that it fits">
        {suggested.map((problem) => (
          <button key={problem} type="button" className="chip" onClick={() => type(problem)}>
            {problem}
          </button>
        ))}
      </span>
      <p role="status" className={fault ? 'way-says' : 'way-says caption'}>
        {fault ?? (there ? 'Every line holds with these numbers.' : '')}
      </p>
    </div>
  );
}

/** Line by line: as it is here, with letters where its way is known, and there. */
function Lines(props: {
  readonly own: OwnWork;
  readonly here: string;
  readonly way: LetteredWay | null;
  readonly there: There | null;
}) {
  const { own, here, way, there } = props;
  const notation = useNotation();
  const now = way && layThere(way, here);
  const typed = own.lines.filter(isCounted).map(({ text }) => text);
  const lines = way ? way.lines.map((_, k) => (now?.ok ? now.lines[k]! : '')) : typed;
  const written = (line: string) => <MathText text={inNotation(displayed(line), notation)} />;
  return (
    <table className="way-lines">
      <thead>
        <tr>
          <th scope="col">
            <ProblemText problem={here} />
          </th>
          {way && (
            <th scope="col">
              <Lettered text={way.asked} way={way} />
            </th>
          )}
          {way && <th scope="col">{there && <ProblemText problem={there.text} />}</th>}
        </tr>
      </thead>
      <tbody>
        {lines.map((line, k) => (
          <tr key={k}>
            <td>{written(line)}</td>
            {way && (
              <td>
                <Lettered text={way.lines[k]!} way={way} />
              </td>
            )}
            {way && <td>{there?.ok && written(there.lines[k]!)}</td>}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function Holds({ way }: { readonly way: LetteredWay }) {
  const all = way.holds.flatMap((text) => readCondition(text) ?? []);
  if (all.length === 0) return null;
  return (
    <p className="way-holds">
      It fits where <Lettered text={listed(all.map(conditionSays))} way={way} />.
    </p>
  );
}

function listed(parts: readonly string[]): string {
  const last = parts.at(-1)!;
  return parts.length === 1 ? last : `${parts.slice(0, -1).join(', ')} and ${last}`;
}

function SaveButton({ way }: { readonly way: LetteredWay }) {
  const save = () => {
    const text = `${JSON.stringify(wayDocument(way), null, 2)}\n`;
    download(
      fileName(way.name === '' ? `way ${way.from}` : way.name, 'way.json'),
      text,
      'application/json',
    );
  };
  return <Button onClick={save}>Save as a file</Button>;
}
