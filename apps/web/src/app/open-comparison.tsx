import { Suspense, useEffect } from 'react';
import { Link, Outlet, useParams } from 'react-router';
import { comparisonsApi } from '../api/client.ts';
import { closeComparison, openComparison, useKeeping } from '../store/keeping.ts';
import { useComparison } from '../store/comparison-store.ts';
import { enterComparison } from '../store/session-store.ts';
import { Dialogs } from './dialogs.tsx';
import { Opening } from './opening.tsx';
import { SceneProvider } from '../commands/scene.tsx';
import { problemOf } from '../store/content.ts';
import { tooLong } from '../worked/work.ts';

/** Opens the comparison of the address and gives its commands to the screens below. */
export function OpenComparison() {
  const { id = '' } = useParams();
  const state = useKeeping(({ keeping }) => keeping.state);
  useEffect(() => {
    enterComparison(id);
    void openComparison(id);
  }, [id]);
  useTitle();
  if (state === 'opening' || state === 'closed') {
    return <Opening />;
  }
  if (state === 'missing') return <Missing id={id} />;
  return <Opened />;
}

function Opened() {
  const long = useComparison(({ content }) => tooLong(problemOf(content)));
  if (long !== null) {
    return (
      <main className="message">
        <h1>Too long for the bench</h1>
        <p>{long}</p>
        <p>
          <Link to="/comparisons">See all comparisons</Link>
        </p>
      </main>
    );
  }
  return (
    <SceneProvider>
      <Suspense>
        <Outlet />
      </Suspense>
      <Dialogs />
    </SceneProvider>
  );
}

function Missing({ id }: { readonly id: string }) {
  const keeping = useKeeping((state) => state.keeping);
  if (keeping.state !== 'missing') return null;
  return (
    <main className="message">
      <h1>This comparison cannot be opened</h1>
      <p>{keeping.detail}</p>
      {keeping.code === 'comparison-unreadable' && (
        <p>
          <a href={comparisonsApi.rawAddress(id)} download>
            Export it as it is
          </a>
        </p>
      )}
      <p>
        <a href={window.location.pathname} onClick={closeComparison}>
          Try again
        </a>{' '}
        · <Link to="/comparisons">See all comparisons</Link>
      </p>
    </main>
  );
}

function useTitle(): void {
  const name = useComparison(({ content }) => content.title || content.problem);
  useEffect(() => {
    document.title = `${name} · Levee`;
    return () => {
      document.title = 'Levee';
    };
  }, [name]);
}
