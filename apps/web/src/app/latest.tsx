import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { comparisonsApi } from '../api/client.ts';

/** Goes on with the latest comparison; where none is kept, a new one begins. */
export function Latest() {
  const navigate = useNavigate();
  const [fault, setFault] = useState<string | null>(null);
  useEffect(() => {
    let stale = false;
    void findLatest().then((found) => {
      if (stale) return;
      if (found.ok) void navigate(found.id ? `/c/${found.id}` : '/new', { replace: true });
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

type Found = { ok: true; id: string | null } | { ok: false; detail: string };

async function findLatest(): Promise<Found> {
  const page = await comparisonsApi.list({}, 1, 20);
  if (!page.ok) return { ok: false, detail: page.detail };
  const latest = page.value.items.find(({ unreadable }) => unreadable === null);
  return { ok: true, id: latest?.id ?? null };
}
