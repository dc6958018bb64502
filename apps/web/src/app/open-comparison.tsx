import { startTransition, Suspense, useEffect, useState } from 'react';
import { Link, Outlet, useParams } from 'react-router';
import { comparisonsApi } from '../api/client.ts';
import { closeComparison, loseIt, openComparison, useKeeping } from '../store/keeping.ts';
import { currentDocument, useComparison } from '../store/comparison-store.ts';
import { download, fileName } from '../ui/download.ts';
import { enterComparison } from '../store/session-store.ts';
import { Dialogs } from './dialogs.tsx';
import { Opening } from './opening.tsx';
import { SceneProvider } from '../commands/scene.tsx';
import { problemOf } from '../store/content.ts';
import { isWorked, tooLong, workAhead } from '../worked/work.ts';

/** Opens the comparison of the address and gives its commands to the screens below. */
export function OpenComparison() {
  const { id = '' } = useParams();
  const state = useKeeping(({ keeping }) => keeping.state);
  const asked = useKeeping((view) => view.asked);
  useEffect(() => {
    enterComparison(id);
    void openComparison(id);
  }, [id]);
  useTitle();
  if (asked?.next === id) return <WouldBeLost open={asked.open} />;
  if (state === 'opening' || state === 'closed') {
    return <Opening />;
  }
  if (state === 'missing') return <Missing id={id} />;
  return <Opened />;
}

/** Asked before another comparison takes the place of one that neither the server nor the browser keeps. */
function WouldBeLost({ open }: { readonly open: string }) {
  const name = useComparison(({ content }) => content.title || content.problem);
  const save = () => {
    const text = JSON.stringify(currentDocument(), null, 2);
    download(fileName(name, 'levee.json'), text, 'application/json');
  };
  return (
    <main className="message" role="alertdialog" aria-labelledby="would-be-lost">
      <h1 id="would-be-lost">“{name}” is kept nowhere yet</h1>
      <p>
        The server does not answer and this browser has no room for it: what was changed last is
        only on this page.
      </p>
      <p>
        <Link to={`/c/${open}`} autoFocus>
          Go back to it
        </Link>{' '}
        ·{' '}
        <button type="button" className="link" onClick={save}>
          Save it as a file
        </button>{' '}
        ·{' '}
        <button type="button" className="link" onClick={() => void loseIt()}>
          Leave it, the last changes are lost
        </button>
      </p>
    </main>
  );
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
  return <Worked />;
}

/** The screens of a comparison, when its papers are worked: that is done in pieces, so that the page stays awake. */
function Worked() {
  const [isReady, setReady] = useState(() => isWorked(useComparison.getState().content));
  useEffect(() => {
    if (isReady) return undefined;
    let isHere = true;
    void workAhead(useComparison.getState().content).then(
      () => isHere && startTransition(() => setReady(true)),
    );
    return () => {
      isHere = false;
    };
  }, [isReady]);
  if (!isReady) return <Opening />;
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
