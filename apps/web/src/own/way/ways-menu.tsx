import {
  displayed,
  isCounted,
  MAX_PAPERS,
  NO_LINES,
  registry,
  workOf,
  type OwnLinesMethod,
  type OwnWork,
} from '@levee/core';
import { useRef, useState, type ChangeEvent } from 'react';
import { away } from '../../away/away.ts';
import type { WaysInvited, WayThere } from '../../away/way-job.ts';
import { dispatch, useComparison } from '../../store/comparison-store.ts';
import { ownPaper, paperOf } from '../../store/content.ts';
import { laidBeside } from '../../store/edits.ts';
import { changeOwn } from '../change.ts';
import { Menu } from '../../ui/menu.tsx';
import { type MenuEntry } from '../../ui/menu-entry.ts';
import { notify } from '../../ui/notices.tsx';
import type { Paper } from '../../worked/work.ts';
import { useWays } from './use-ways.ts';

/** Ways that these numbers invite, ways that were given a name, and ways in files; a press lays one here, or beside. */
export function WaysMenu({
  paper,
  method,
}: {
  readonly paper: Paper;
  readonly method: OwnLinesMethod;
}) {
  const file = useRef<HTMLInputElement>(null);
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const problem = useComparison(({ content }) => content.problem);
  const count = useComparison(({ content }) => content.papers.length);
  const isFull = method.own.lines.length > 0 && count >= MAX_PAPERS;
  const texts = method.own.lines.filter(isCounted).map(({ text }) => text);
  const found = useWays(anchor !== null, problem, texts);
  const lay = (lines: readonly string[], name = '') => layLines(paper, method.own, lines, name);
  const fromFile: MenuEntry = {
    id: 'file',
    label: 'A way from a file…',
    disabled: isFull,
    run: () => file.current?.click(),
  };
  return (
    <>
      <button
        type="button"
        className="school"
        aria-label="Ways others take with these numbers"
        aria-haspopup="menu"
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        ways…
      </button>
      <Menu
        anchor={anchor}
        close={() => setAnchor(null)}
        groups={() => [
          found.invited
            ? invitedEntries(found.invited, isFull, lay)
            : [saying('waiting', 'Looking for ways …')],
          found.named
            ? namedEntries(found.named, isFull, lay)
            : [saying('named', 'Looking for ways that have a name …')],
          found.invited ? nearestEntry(found.invited, count) : [],
          [fromFile],
        ]}
      />
      <input
        ref={file}
        type="file"
        hidden
        accept=".json,application/json"
        aria-label="A way from a file"
        onChange={(event) => void openWay(event, problem, lay)}
      />
    </>
  );
}

/** The method that is nearest to the lines, laid beside them with hops that make it that way. */
function nearestEntry({ near }: WaysInvited, count: number): readonly MenuEntry[] {
  if (!near) return [];
  const { method, hops, says } = near;
  const lay = () => {
    dispatch(laidBeside({ ...paperOf(method), hops }));
    notify(says);
  };
  return [
    {
      id: 'nearest',
      label: `Lay as ${registry.get(method).shortName.toLowerCase()}, beside`,
      note: says,
      disabled: count >= MAX_PAPERS,
      run: lay,
    },
  ];
}

type Lay = (lines: readonly string[], name?: string) => void;

function invitedEntries({ invited }: WaysInvited, isFull: boolean, lay: Lay): readonly MenuEntry[] {
  if (invited.length === 0) return [saying('none', 'These numbers invite no way of their own')];
  return invited.map(({ kind, why, cost, lines }) => ({
    id: kind,
    label: wayText(lines),
    note: `${why} Cost ${cost}.`,
    disabled: isFull,
    run: () => lay(lines),
  }));
}

/** A line that only says something. */
function saying(id: string, label: string): MenuEntry {
  return { id, label, disabled: true, run: () => undefined };
}

function namedEntries(ways: readonly WayThere[], isFull: boolean, lay: Lay): readonly MenuEntry[] {
  return ways.map(({ name, problem, laid, says }) => ({
    id: `named ${name}`,
    label: name,
    note: laid ? `${wayText(laid)}, as on ${displayed(problem)}` : says,
    disabled: laid === null || isFull,
    run: () => lay(laid ?? [], name),
  }));
}

async function openWay(
  event: ChangeEvent<HTMLInputElement>,
  problem: string,
  lay: Lay,
): Promise<void> {
  const [file] = event.target.files ?? [];
  event.target.value = '';
  if (!file) return;
  const opened = await away('wayFromFile', problem, await file.text());
  if (opened.ok) lay(opened.lines, opened.name);
  else notify(`${file.name} cannot be laid: ${opened.says}`);
}

function wayText(lines: readonly string[]): string {
  return displayed(lines.map((text) => text.replace(/^=\s*/, '')).join(' = '));
}

/** Lays a way on an empty paper, and on one of its own beside a paper that has lines. */
function layLines(paper: Paper, own: OwnWork, lines: readonly string[], name: string): void {
  if (own.lines.length > 0) {
    dispatch(laidBeside(ownPaper({ ...NO_LINES, ...workOf(lines), name })));
    return;
  }
  changeOwn(paper.id, (work) => ({
    ...work,
    lines: workOf(lines).lines,
    name: name === '' ? work.name : name,
  }));
}
