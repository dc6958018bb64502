import { NavLink, Outlet, useLocation, useMatch } from 'react-router';
import { Suspense, useEffect, useState } from 'react';
import { LeftDraftsBar } from './left-drafts-bar.tsx';

/** The rail with the screens, and the screen beside it. */
export function Shell() {
  const id = useOpenId();
  return (
    <div className="shell">
      <nav className="rail" aria-label="Screens">
        <Mark />
        {id && (
          <>
            <NavLink to={`/c/${id}`} end>
              Bench
            </NavLink>
            <NavLink to={`/c/${id}/why`}>Why</NavLink>
            <NavLink to={`/c/${id}/checks`}>Checks</NavLink>
          </>
        )}
        <NavLink to="/methods">Methods</NavLink>
        <NavLink to="/comparisons">Comparisons</NavLink>
      </nav>
      <div className="screen">
        <LeftDraftsBar />
        <Suspense>
          <Outlet />
        </Suspense>
      </div>
    </div>
  );
}

/** The comparison that is open, or was open last, so that its screens stay one click away. */
function useOpenId(): string | null {
  const here = useMatch('/c/:id/*')?.params.id ?? null;
  const { pathname } = useLocation();
  const [last, setLast] = useState<string | null>(here);
  useEffect(() => {
    if (here) setLast(here);
  }, [here, pathname]);
  return here ?? last;
}

function Mark() {
  return (
    <NavLink to="/" className="mark" aria-label="Levee, latest comparison">
      <svg viewBox="0 0 32 32" width="36" height="36" aria-hidden>
        <path d="M4 20c4 0 5-10 10-10s6 6 9 6 4-3 5-5" className="bank" />
        <path d="M4 25h24" className="line" />
      </svg>
    </NavLink>
  );
}
