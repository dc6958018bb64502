import { Link, useRouteError } from 'react-router';

/** Shown when a screen fails: what is safe, and the way on. */
export function Broken() {
  const error = useRouteError();
  const detail = error instanceof Error ? error.message : 'unknown';
  return (
    <main className="message">
      <h1>This screen failed</h1>
      <p>What was kept is safe. Reload the page, or go to all comparisons.</p>
      <p className="caption">{detail}</p>
      <p>
        <a href="/comparisons">All comparisons</a>
      </p>
    </main>
  );
}

export function Nowhere() {
  return (
    <main className="message">
      <h1>Nothing is kept at this address</h1>
      <p>
        <Link to="/comparisons">See all comparisons</Link>
      </p>
    </main>
  );
}
