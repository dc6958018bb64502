import { registry } from '@levee/core';
import AddIcon from '@mui/icons-material/Add';
import { Button, TablePagination, TextField } from '@mui/material';
import { useCallback, useEffect, useState, type ChangeEvent } from 'react';
import { useNavigate } from 'react-router';
import {
  comparisonsApi,
  type Kept,
  type Page,
  type Stored,
  type Unreadable,
} from '../../api/client.ts';
import { away } from '../../away/away.ts';
import { closeComparison } from '../../store/keeping.ts';
import { download, fileName } from '../../ui/download.ts';
import { notify } from '../../ui/notices.tsx';
import { ProblemText } from '../../ui/problem-text.tsx';
import { useNewComparison } from '../../ui/use-new-comparison.ts';
import { listCsv } from './list-csv.ts';
import './comparisons.css';

const PAGE_SIZE = 12;
const SEARCH_DELAY = 200;

/** All kept comparisons: found, opened, copied, taken away and brought back. */
export function ComparisonsPage() {
  const [search, setSearch] = useState('');
  const [page, setPage] = useState(1);
  const { found, fault, reload } = useList(search, page);
  const fresh = useNewComparison();
  return (
    <main className="comparisons">
      <header className="comparisons-head">
        <h1>Comparisons</h1>
        <TextField
          size="small"
          type="search"
          label="Find by title, story or numbers"
          value={search}
          onChange={(event) => {
            setSearch(event.target.value);
            setPage(1);
          }}
        />
        <span className="spacer" />
        <ImportButton done={reload} />
        <Button
          variant="outlined"
          disabled={!found || found.total === 0}
          onClick={() => void exportList(search)}
        >
          Export list (CSV)
        </Button>
        <Button variant="contained" startIcon={<AddIcon />} onClick={fresh}>
          New comparison
        </Button>
      </header>
      {fault && (
        <p className="fault-line" role="alert">
          {fault}{' '}
          <button type="button" className="link" onClick={reload}>
            Try again
          </button>
        </p>
      )}
      {found && <List found={found} searching={search !== ''} reload={reload} />}
      {found && found.total > PAGE_SIZE && (
        <TablePagination
          component="div"
          count={found.total}
          page={page - 1}
          rowsPerPage={PAGE_SIZE}
          rowsPerPageOptions={[PAGE_SIZE]}
          onPageChange={(_, next) => setPage(next + 1)}
        />
      )}
    </main>
  );
}

function useList(search: string, page: number) {
  const [found, setFound] = useState<Page | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const [round, setRound] = useState(0);
  useEffect(() => {
    let stale = false;
    const timer = setTimeout(
      () => {
        void comparisonsApi.list(search, page, PAGE_SIZE).then((reply) => {
          if (stale) return;
          if (reply.ok) setFound(reply.value);
          setFault(reply.ok ? null : `The list cannot be shown. ${reply.detail}`);
        });
      },
      search === '' ? 0 : SEARCH_DELAY,
    );
    return () => {
      stale = true;
      clearTimeout(timer);
    };
  }, [search, page, round]);
  const reload = useCallback(() => setRound((count) => count + 1), []);
  return { found, fault, reload };
}

interface ListProps {
  readonly found: Page;
  readonly searching: boolean;
  readonly reload: () => void;
}

function List({ found, searching, reload }: ListProps) {
  if (found.items.length === 0) {
    return (
      <p className="empty">
        {searching
          ? 'No comparison has this in its title, story or numbers.'
          : 'Nothing is kept yet. Make a new comparison, or import one from a file.'}
      </p>
    );
  }
  return (
    <table className="list">
      <thead>
        <tr>
          <th scope="col">Comparison</th>
          <th scope="col">Computation</th>
          <th scope="col">Papers</th>
          <th scope="col">Last change</th>
          <th scope="col">
            <span className="caption">actions</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {found.items.map((kept) =>
          kept.unreadable ? (
            <UnreadableRow key={kept.id} kept={kept} reload={reload} />
          ) : (
            <Row key={kept.id} stored={kept} reload={reload} />
          ),
        )}
      </tbody>
    </table>
  );
}

function Row({ stored, reload }: { readonly stored: Stored; readonly reload: () => void }) {
  const navigate = useNavigate();
  const { id, document, updatedAt } = stored;
  const name = document.title || 'Untitled';
  return (
    <tr>
      <td>
        <a
          href={`/c/${id}`}
          onClick={(event) => {
            event.preventDefault();
            void navigate(`/c/${id}`);
          }}
        >
          {name}
        </a>
        <div className="caption">{document.story}</div>
      </td>
      <td className="problem" title={document.problem}>
        <ProblemText problem={document.problem} />
      </td>
      <td className="caption">
        {document.papers.map(({ method }) => registry.get(method).shortName).join(', ')}
      </td>
      <td className="figures when">{when(updatedAt)}</td>
      <td className="actions">
        <Button
          size="small"
          onClick={() => void duplicate(id, reload)}
          aria-label={`Duplicate ${name}`}
        >
          Duplicate
        </Button>
        <Button
          size="small"
          aria-label={`Export ${name}`}
          onClick={() =>
            download(
              fileName(document.title || document.problem, 'levee.json'),
              JSON.stringify(document, null, 2),
              'application/json',
            )
          }
        >
          Export
        </Button>
        <Button
          size="small"
          onClick={() => void remove(stored, reload)}
          aria-label={`Delete ${name}`}
        >
          Delete
        </Button>
      </td>
    </tr>
  );
}

/** One that this version cannot read: named, left as it is, and in nobody's way. */
function UnreadableRow({
  kept,
  reload,
}: {
  readonly kept: Unreadable;
  readonly reload: () => void;
}) {
  const { id, title, problem, updatedAt, unreadable } = kept;
  const name = title || 'Untitled';
  return (
    <tr className="unreadable">
      <td>
        {name}
        <div className="caption" title={unreadable.detail}>
          cannot be read by this version
        </div>
      </td>
      <td className="problem">{problem}</td>
      <td className="caption" />
      <td className="figures when">{when(updatedAt)}</td>
      <td className="actions">
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

async function remove({ id, title, problem }: Kept, reload: () => void): Promise<void> {
  const reply = await comparisonsApi.remove(id);
  if (!reply.ok) return notify(`It could not be deleted. ${reply.detail}`);
  closeComparison();
  reload();
  notify(`“${title || problem}” is deleted.`, {
    label: 'Bring it back',
    run: () => void comparisonsApi.restore(id).then(reload),
  });
}

function ImportButton({ done }: { readonly done: () => void }) {
  const choose = async (event: ChangeEvent<HTMLInputElement>) => {
    const [file] = event.target.files ?? [];
    event.target.value = '';
    if (!file) return;
    const read = await away('readImport', await file.text());
    if (!read.ok) return notify(`${file.name} cannot be imported: ${read.fault}`);
    const reply = await comparisonsApi.create(read.document);
    notify(
      reply.ok
        ? `${file.name} is imported. ${read.checked}`
        : `It could not be kept. ${reply.detail}`,
    );
    done();
  };
  return (
    <Button variant="outlined" component="label">
      Import
      <input
        type="file"
        accept=".json,application/json"
        hidden
        onChange={(event) => void choose(event)}
      />
    </Button>
  );
}

async function exportList(search: string): Promise<void> {
  const all: Kept[] = [];
  for (let page = 1; ; page++) {
    const reply = await comparisonsApi.list(search, page, 100);
    if (!reply.ok) return notify(`The list could not be exported. ${reply.detail}`);
    all.push(...reply.value.items);
    if (all.length >= reply.value.total || reply.value.items.length === 0) break;
  }
  download('comparisons.csv', listCsv(all), 'text/csv');
}
