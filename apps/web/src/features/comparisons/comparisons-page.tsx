import { OWN_LINES, OWN_LINES_NAME, PROBLEM_KINDS, registry } from '@levee/core';
import AddIcon from '@mui/icons-material/Add';
import { Button, MenuItem, TablePagination, TextField, ToggleButton } from '@mui/material';
import { useCallback, useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { comparisonsApi, type ListedComparison, type Page, type Wanted } from '../../api/client.ts';
import { download } from '../../ui/download.ts';
import { notify } from '../../ui/notices.tsx';
import { ImportButton } from './import-button.tsx';
import { List } from './list.tsx';
import { listCsv } from './list-csv.ts';
import './comparisons.css';

const PAGE_SIZE = 12;
const SEARCH_DELAY = 200;

/** All kept comparisons: found, sorted, opened, copied, taken away and brought back. */
export function ComparisonsPage() {
  const [wanted, setWanted] = useState<Wanted>({});
  const [page, setPage] = useState(1);
  const { found, fault, reload } = useList(wanted, page);
  const navigate = useNavigate();
  const want = (change: Wanted) => {
    setWanted({ ...wanted, ...change });
    setPage(1);
  };
  return (
    <main className="comparisons">
      <header className="comparisons-head">
        <h1>{wanted.deleted ? 'Bin' : 'Comparisons'}</h1>
        <span className="spacer" />
        <ImportButton done={reload} />
        <Button
          variant="outlined"
          disabled={!found || found.total === 0}
          onClick={() => void exportList(wanted)}
        >
          Export list (CSV)
        </Button>
        <Button variant="contained" startIcon={<AddIcon />} onClick={() => void navigate('/new')}>
          New comparison
        </Button>
      </header>
      <Conditions wanted={wanted} want={want} found={found} />
      {fault && (
        <p className="fault-line" role="alert">
          {fault}{' '}
          <button type="button" className="link" onClick={reload}>
            Try again
          </button>
        </p>
      )}
      {found && <List found={found} wanted={wanted} want={want} reload={reload} />}
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

interface ConditionsProps {
  readonly wanted: Wanted;
  readonly want: (change: Wanted) => void;
  readonly found: Page | null;
}

/** What is looked for: words, an operation, a method, a tag; or what is in the bin. */
function Conditions({ wanted, want, found }: ConditionsProps) {
  const tags = useTags(found);
  return (
    <div className="conditions">
      <TextField
        size="small"
        type="search"
        label="Find by words or numbers"
        value={wanted.search ?? ''}
        onChange={(event) => want({ search: event.target.value })}
      />
      <Choice
        label="Operation"
        value={wanted.kind ?? ''}
        options={PROBLEM_KINDS.map((kind) => [kind, kind])}
        choose={(kind) => want({ kind })}
      />
      <Choice
        label="Method"
        value={wanted.method ?? ''}
        options={[
          ...registry.methods.map(({ id, name }) => [id, name] as const),
          [OWN_LINES, OWN_LINES_NAME],
        ]}
        choose={(method) => want({ method })}
      />
      {(tags.length > 0 || wanted.tag) && (
        <Choice
          label="Tag"
          value={wanted.tag ?? ''}
          options={[...new Set([...tags, ...(wanted.tag ? [wanted.tag] : [])])].map((tag) => [
            tag,
            tag,
          ])}
          choose={(tag) => want({ tag })}
        />
      )}
      <span className="spacer" />
      <ToggleButton
        size="small"
        value="bin"
        selected={wanted.deleted ?? false}
        onChange={() => want({ deleted: !wanted.deleted })}
      >
        bin
      </ToggleButton>
    </div>
  );
}

function Choice(props: {
  readonly label: string;
  readonly value: string;
  readonly options: readonly (readonly [id: string, name: string])[];
  readonly choose: (id: string) => void;
}) {
  const { label, value, options, choose } = props;
  return (
    <TextField
      select
      size="small"
      label={label}
      value={value}
      onChange={(event) => choose(event.target.value)}
      slotProps={{ select: { displayEmpty: true } }}
    >
      <MenuItem value="">any</MenuItem>
      {options.map(([id, name]) => (
        <MenuItem key={id} value={id}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
}

/** The tags in use; asked for again when the list is. */
function useTags(found: Page | null): readonly string[] {
  const [tags, setTags] = useState<readonly string[]>([]);
  useEffect(() => {
    let stale = false;
    void comparisonsApi.tags().then((reply) => {
      if (!stale && reply.ok) setTags(reply.value);
    });
    return () => {
      stale = true;
    };
  }, [found]);
  return tags;
}

function useList(wanted: Wanted, page: number) {
  const [found, setFound] = useState<Page | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const [round, setRound] = useState(0);
  useEffect(() => {
    let stale = false;
    const timer = setTimeout(
      () => {
        void comparisonsApi.list(wanted, page, PAGE_SIZE).then((reply) => {
          if (stale) return;
          if (reply.ok) setFound(reply.value);
          setFault(reply.ok ? null : `The list cannot be shown. ${reply.detail}`);
        });
      },
      wanted.search ? SEARCH_DELAY : 0,
    );
    return () => {
      stale = true;
      clearTimeout(timer);
    };
  }, [wanted, page, round]);
  const reload = useCallback(() => setRound((count) => count + 1), []);
  return { found, fault, reload };
}

async function exportList(wanted: Wanted): Promise<void> {
  const all: ListedComparison[] = [];
  for (let page = 1; ; page++) {
    const reply = await comparisonsApi.list(wanted, page, 100);
    if (!reply.ok) return notify(`The list could not be exported. ${reply.detail}`);
    all.push(...reply.value.items);
    if (all.length >= reply.value.total || reply.value.items.length === 0) break;
  }
  download('comparisons.csv', listCsv(all), 'text/csv');
}
