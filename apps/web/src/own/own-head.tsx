import { type OwnLinesMethod, type OwnWork } from '@levee/core';
import { useState } from 'react';
import { useSettings } from '../store/settings-store.ts';
import type { Paper } from '../worked/work.ts';
import { changeOwn } from './change.ts';
import { OtherNumbersButton } from './way/other-numbers.tsx';
import { WaysMenu } from './way/ways-menu.tsx';
import { VerdictsButton } from './verdicts.tsx';

/** Whose way it is, how its lines stand, and the ways that others take. */
export function OwnHead({
  paper,
  method,
}: {
  readonly paper: Paper;
  readonly method: OwnLinesMethod;
}) {
  const [isNaming, setNaming] = useState(false);
  const oneLaw = useSettings((settings) => settings.oneLaw);
  const { own } = method;
  return (
    <>
      <div className="schools own-head">
        <span className="line-count">{countText(method, paper, oneLaw)}</span>
        <button
          type="button"
          className="school"
          aria-expanded={isNaming}
          onClick={() => setNaming(!isNaming)}
        >
          {own.code === '' && own.name === ''
            ? 'whose…'
            : own.name !== '' && own.code !== ''
              ? own.code
              : 'name it…'}
        </button>
        <WaysMenu paper={paper} method={method} />
        <OtherNumbersButton paper={paper} method={method} />
        <VerdictsButton />
      </div>
      {isNaming && <Naming key={paper.id} paper={paper} own={own} done={() => setNaming(false)} />}
    </>
  );
}

/** `4 lines, all lawful`; `5 lines, 1 not equal`. */
function countText(method: OwnLinesMethod, paper: Paper, oneLaw: boolean): string {
  const { failed, isWaiting, paper: judged } = method.judged(paper.lane.trace.problem);
  const { lines, complete, right } = judged;
  if (lines.length === 0) return 'empty';
  if (failed !== undefined) return 'not judged';
  const all = `${lines.length} ${lines.length === 1 ? 'line' : 'lines'}`;
  if (isWaiting) return `${all} …`;
  const wrong = lines.filter(({ verdict }) => verdict === 'unequal').length;
  const runOn = lines.filter(({ verdict }) => verdict === 'run-on').length;
  const unread = lines.filter(({ verdict }) => verdict === 'unread').length;
  const leaps = oneLaw ? lines.filter(({ verdict }) => verdict === 'leap').length : 0;
  const faults = [
    ...(wrong > 0 ? [`${wrong} not equal`] : []),
    ...(runOn > 0 ? [`${runOn} run-on`] : []),
    ...(unread > 0 ? [`${unread} not read`] : []),
    ...(leaps > 0 ? [`${leaps} with several moves`] : []),
  ];
  if (faults.length > 0) return `${all}: ${faults.join(', ')}`;
  if (complete && !right) return `${all}: not the answer`;
  return `${all} ✓${complete ? '' : ' so far'}`;
}

const MOST_NAME = 60;
const CODE = /^(\p{L}{0,3}\d{1,4})?$/u;

function Naming(props: {
  readonly paper: Paper;
  readonly own: OwnWork;
  readonly done: () => void;
}) {
  const { paper, own, done } = props;
  const [code, setCode] = useState(own.code);
  const [name, setName] = useState(own.name);
  const isCode = CODE.test(code.trim());
  const keep = () => {
    if (!isCode) return;
    const next = { code: code.trim(), name: name.trim() };
    changeOwn(paper.id, (work) => ({ ...work, ...next }));
    done();
  };
  return (
    <form
      className="naming"
      onSubmit={(event) => {
        event.preventDefault();
        keep();
      }}
      onKeyDown={(event) => {
        event.stopPropagation();
        if (event.key === 'Escape') done();
      }}
    >
      <label>
        code{' '}
        <input
          autoFocus
          value={code}
          size={5}
          maxLength={7}
          placeholder="T07"
          aria-invalid={!isCode}
          onChange={(event) => setCode(event.target.value)}
        />
      </label>
      <label>
        name of the way{' '}
        <input
          value={name}
          size={14}
          maxLength={MOST_NAME}
          onChange={(event) => setName(event.target.value)}
        />
      </label>
      <button type="submit" className="chip" disabled={!isCode}>
        keep
      </button>
      {!isCode && <span role="alert">A code is up to three letters and one to four figures.</span>}
    </form>
  );
}
