import { displayed, inNotation } from '@levee/core';
import { Suspense, useEffect, useState } from 'react';
import { NavLink, Outlet, useLocation, useMatch } from 'react-router';
import { useComparison } from '../store/comparison-store.ts';
import { useSettings } from '../store/settings-store.ts';
import { LeftDraftsBar } from './left-drafts-bar.tsx';

/** Screens of the computation that is open, and those of all that is kept; a screen adds its line here. */
const OF_COMPUTATION = [
  { path: '', name: 'Bench' },
  { path: '/why', name: 'Why' },
  { path: '/checks', name: 'Checks' },
  { path: '/slips', name: 'Slips' },
] as const;
const SHELF = [
  { path: '/comparisons', name: 'Comparisons' },
  { path: '/methods', name: 'Methods' },
] as const;

/** The rail with the screens, and the screen beside it. */
export function Shell() {
  return (
    <div className="shell">
      <Rail />
      <div className="screen">
        <LeftDraftsBar />
        <Suspense>
          <Outlet />
        </Suspense>
      </div>
    </div>
  );
}

/** Two groups of screens; on a phone they are a menu above the bar. */
function Rail() {
  const id = useOpenId();
  const { pathname } = useLocation();
  const [open, setOpen] = useState(false);
  useEffect(() => setOpen(false), [pathname]);
  return (
    <nav
      className={open ? 'rail open' : 'rail'}
      aria-label="Screens"
      onKeyDown={(event) => event.key === 'Escape' && setOpen(false)}
    >
      <Mark />
      <button
        type="button"
        className="rail-menu"
        aria-expanded={open}
        aria-controls="screens"
        onClick={() => setOpen(!open)}
      >
        Screens
      </button>
      <div id="screens" className="rail-groups">
        {id && <ComputationGroup id={id} />}
        <section aria-labelledby="shelf">
          <h2 id="shelf">shelf</h2>
          {SHELF.map(({ path, name }) => (
            <NavLink key={path} to={path}>
              {name}
            </NavLink>
          ))}
        </section>
      </div>
    </nav>
  );
}

function ComputationGroup({ id }: { readonly id: string }) {
  const problem = useComparison((state) => state.content.problem);
  const words = useSettings((settings) => settings.words);
  const text = inNotation(displayed(problem), words);
  return (
    <section aria-labelledby="of-computation">
      <h2 id="of-computation" className="figures" title={text}>
        {text}
      </h2>
      {OF_COMPUTATION.map(({ path, name }) => (
        <NavLink key={path} to={`/c/${id}${path}`} end={path === ''}>
          {name}
        </NavLink>
      ))}
    </section>
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
