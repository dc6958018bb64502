import { OWN_LINES, OWN_LINES_NAME, registry } from '@levee/core';
import { Button } from '@mui/material';
import { useState } from 'react';
import { Link } from 'react-router';
import {
  comparisonsApi,
  type ListedComparison,
  type Page,
  type Reply,
  type Wanted,
} from '../../api/client.ts';
import { closeComparison, wouldBeLost } from '../../store/keeping.ts';
import { download, fileName } from '../../ui/download.ts';
import { notify } from '../../ui/notices.tsx';
import { useRefocus } from '../../ui/use-refocus.ts';
import { ProblemText } from '../../ui/problem-text.tsx';

export interface ListProps {
  readonly found: Page;
  readonly wanted: Wanted;
  readonly want: (change: Wanted) => void;
  readonly reload: () => void;
}

function emptyText({ search, kind, method, tag, deleted }: Wanted): string {
  if (search || kind || method || tag)
    return 'No comparison is found by this; take a condition away.';
  return deleted
    ? 'Nothing is in the bin.'
    : 'Nothing is kept yet. Make a new comparison, or import one from a file.';
}

/** The comparisons that were found, a row each; a click on a column sorts by it. */
export function List({ found, wanted, want, reload }: ListProps) {
  const list = useRefocus<HTMLTableElement>(
    found.items.length,
    'tbody .actions button:last-of-type',
  );
  if (found.items.length === 0) return <p className="empty">{emptyText(wanted)}</p>;
  return (
    <table className="list" ref={list}>
      <thead>
        <tr>
          <Sorted by="title" first="asc" {...{ wanted, want }}>
            Comparison
          </Sorted>
          <Sorted by="problem" first="asc" {...{ wanted, want }}>
            Computation
          </Sorted>
          <th scope="col">Papers</th>
          <Sorted by="updatedAt" first="desc" {...{ wanted, want }}>
            Last change
          </Sorted>
          <th scope="col">
            <span className="caption">actions</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {found.items.map((kept) =>
          kept.unreadable || !kept.listed ? (
            <UnreadableRow key={kept.id} kept={kept} deleted={wanted.deleted} reload={reload} />
          ) : (
            <Row
              key={kept.id}
              kept={kept}
              listed={kept.listed}
              wanted={wanted}
              want={want}
              reload={reload}
            />
          ),
        )}
      </tbody>
    </table>
  );
}

interface SortedProps extends Pick<ListProps, 'wanted' | 'want'> {
  readonly by: NonNullable<Wanted['sort']>;
  /** The order that the first click gives. */
  readonly first: 'asc' | 'desc';
  readonly children: string;
}

function Sorted({ by, first, wanted, want, children }: SortedProps) {
  const order = (wanted.sort ?? 'updatedAt') === by ? (wanted.order ?? 'desc') : null;
  const other = order === 'asc' ? 'desc' : 'asc';
  return (
    <th
      scope="col"
      aria-sort={order === null ? 'none' : order === 'asc' ? 'ascending' : 'descending'}
    >
      <button
        type="button"
        onClick={() => want({ sort: by, order: order === null ? first : other })}
      >
        {children} <span aria-hidden>{order === null ? '' : order === 'asc' ? '↑' : '↓'}</span>
      </button>
    </th>
  );
}

interface RowProps extends Pick<ListProps, 'wanted' | 'want' | 'reload'> {
  readonly kept: ListedComparison;
  readonly listed: NonNullable<ListedComparison['listed']>;
}

function Row({ kept, listed, wanted, want, reload }: RowProps) {
  const { id, title, problem, updatedAt } = kept;
  const name = title || 'Untitled';
  return (
    <tr>
      <td>
        {wanted.deleted ? <strong>{name}</strong> : <Link to={`/c/${id}`}>{name}</Link>}
        <div className="caption">{listed.story}</div>
        {listed.tags.length > 0 && (
          <div className="tags">
            {listed.tags.map((tag) => (
              <button key={tag} type="button" className="chip" onClick={() => want({ tag })}>
                {tag}
              </button>
            ))}
          </div>
        )}
      </td>
      <td className="problem" title={problem}>
        <ProblemText problem={problem} />
      </td>
      <td className="caption">
        {listed.papers.map(paperName).join(', ')}
        <Holds {...listed.holds} />
      </td>
      <td className="figures when">{when(updatedAt)}</td>
      <td className="actions">
        {wanted.deleted ? (
          <DeletedActions kept={kept} reload={reload} />
        ) : (
          <RowActions kept={kept} name={name} reload={reload} />
        )}
      </td>
    </tr>
  );
}

/** What a paper is called: a method by its short name, own lines by their own. */
function paperName({ method, name }: { readonly method: string; readonly name: string }): string {
  if (method === OWN_LINES) return name || OWN_LINES_NAME;
  return registry.find(method)?.shortName ?? method;
}

/** What a comparison holds beside its papers, counted; nothing where there is nothing. */
function Holds(holds: NonNullable<ListedComparison['listed']>['holds']) {
  const told = (count: number, one: string, more: string) =>
    count === 0 ? [] : [`${count} ${count === 1 ? one : more}`];
  const all = [
    ...told(holds.lines, 'own line', 'own lines'),
    ...told(holds.slips, 'slip', 'slips'),
    ...told(holds.checks, 'check', 'checks'),
    ...told(holds.answers, 'answer', 'answers'),
  ];
  return all.length === 0 ? null : <div>{all.join(' · ')}</div>;
}

function RowActions(props: {
  readonly kept: ListedComparison;
  readonly name: string;
  readonly reload: () => void;
}) {
  const { kept, name, reload } = props;
  const { id, title, problem } = kept;
  const save = async () => {
    const reply = await comparisonsApi.read(id);
    if (!reply.ok) return notify(`It could not be exported. ${reply.detail}`);
    const text = JSON.stringify(reply.value.document, null, 2);
    download(fileName(title || problem, 'levee.json'), text, 'application/json');
  };
  return (
    <>
      <Button
        size="small"
        onClick={() => void duplicate(id, reload)}
        aria-label={`Duplicate ${name}`}
      >
        Duplicate
      </Button>
      <Button size="small" aria-label={`Export ${name}`} onClick={() => void save()}>
        Export
      </Button>
      <Button size="small" onClick={() => void remove(kept, reload)} aria-label={`Delete ${name}`}>
        Delete
      </Button>
    </>
  );
}

/** What can be done with one that is in the bin. */
function DeletedActions({
  kept,
  reload,
}: {
  readonly kept: ListedComparison;
  readonly reload: () => void;
}) {
  const name = kept.title || kept.problem;
  const [asks, setAsks] = useState(false);
  const told = async (reply: Promise<Reply<unknown>>, what: string) => {
    const answer = await reply;
    if (!answer.ok) notify(`It could not be ${what}. ${answer.detail}`);
    reload();
  };
  return (
    <>
      <Button
        size="small"
        aria-label={`Bring ${name} back`}
        onClick={() => void told(comparisonsApi.restore(kept.id), 'brought back')}
      >
        Bring back
      </Button>
      <Button
        size="small"
        color={asks ? 'error' : 'primary'}
        aria-label={`${asks ? 'Yes, delete' : 'Delete'} ${name} for good`}
        onBlur={() => setAsks(false)}
        onClick={() =>
          asks ? void told(comparisonsApi.forget(kept.id), 'deleted') : setAsks(true)
        }
      >
        {asks ? 'Yes, for good' : 'Delete for good'}
      </Button>
    </>
  );
}

/** One that this version cannot read: named, left as it is, and in nobody's way. */
function UnreadableRow({
  kept,
  deleted = false,
  reload,
}: {
  readonly kept: ListedComparison;
  readonly deleted?: boolean | undefined;
  readonly reload: () => void;
}) {
  const { id, title, problem, updatedAt, unreadable } = kept;
  const name = title || 'Untitled';
  return (
    <tr className="unreadable">
      <td>
        {name}
        <div className="caption" title={unreadable?.detail}>
          cannot be read by this version
        </div>
      </td>
      <td className="problem">{problem}</td>
      <td className="caption" />
      <td className="figures when">{when(updatedAt)}</td>
      <td className="actions">
        {deleted ? (
          <DeletedActions kept={kept} reload={reload} />
        ) : (
          <>
            <Button
              size="small"
              component="a"
              href={comparisonsApi.rawAddress(id)}
              download={fileName(title || problem, 'levee.json')}
              aria-label={`Export ${name} as it is`}
            >
              Export as it is
            </Button>
            <Button
              size="small"
              onClick={() => void remove(kept, reload)}
              aria-label={`Delete ${name}`}
            >
              Delete
            </Button>
          </>
        )}
      </td>
    </tr>
  );
}

function when(iso: string): string {
  return new Date(iso).toLocaleString([], {
    dateStyle: 'medium',
    timeStyle: 'short',
    hour12: false,
  });
}

async function duplicate(id: string, reload: () => void): Promise<void> {
  const reply = await comparisonsApi.duplicate(id);
  if (!reply.ok) notify(`It could not be duplicated. ${reply.detail}`);
  reload();
}

async function remove({ id, title, problem }: ListedComparison, reload: () => void): Promise<void> {
  const reply = await comparisonsApi.remove(id);
  if (!reply.ok) return notify(`It could not be deleted. ${reply.detail}`);
  if (!wouldBeLost()) closeComparison();
  reload();
  notify(`“${title || problem}” is deleted.`, {
    label: 'Bring it back',
    run: () => void comparisonsApi.restore(id).then(reload),
  });
}
