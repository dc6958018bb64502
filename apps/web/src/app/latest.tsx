import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { comparisonsApi } from '../api/client.ts';
import { freshDocument } from '../store/content.ts';

/** Goes on with the latest comparison; the very first start makes one. */
export function Latest() {
  const navigate = useNavigate();
  const [fault, setFault] = useState<string | null>(null);
  useEffect(() => {
    let stale = false;
    void findLatest().then((found) => {
      if (stale) return;
      if (found.ok) void navigate(`/c/${found.id}`, { replace: true });
      else setFault(found.detail);
    });
    return () => {
      stale = true;
    };
  }, [navigate]);
  return (
    <main className="message">
      <p role="status">{fault ?? 'Opening …'}</p>
      {fault && (
        <p>
          <a href="/">Try again</a>
        </p>
      )}
    </main>
  );
}

type Found = { ok: true; id: string } | { ok: false; detail: string };

let pending: Promise<Found> | null = null;

/** One look for the latest at a time, so that a first start makes one comparison only. */
function findLatest(): Promise<Found> {
  pending ??= look().finally(() => {
    pending = null;
  });
  return pending;
}

async function look(): Promise<Found> {
  const page = await comparisonsApi.list('', 1, 20);
  if (!page.ok) return { ok: false, detail: page.detail };
  const latest = page.value.items.find(({ unreadable }) => unreadable === null);
  if (latest) return { ok: true, id: latest.id };
  const made = await comparisonsApi.create(freshDocument());
  return made.ok ? { ok: true, id: made.value.id } : { ok: false, detail: made.detail };
}
