import { Button } from '@mui/material';
import type { ChangeEvent } from 'react';
import { comparisonsApi } from '../../api/client.ts';
import { away } from '../../away/away.ts';
import { notify } from '../../ui/notices.tsx';

/** Reads a comparison from a file and keeps it. */
export function ImportButton({ done }: { readonly done: () => void }) {
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
