import { Component, type ReactNode } from 'react';
import { Link } from 'react-router';

/** Shown when a screen fails: what is safe, and the way on. */
export class Broken extends Component<
  { readonly children: ReactNode },
  { readonly error: unknown }
> {
  override state = { error: null };

  static getDerivedStateFromError(error: unknown) {
    return { error };
  }

  override render() {
    const { error } = this.state as { readonly error: unknown };
    return error === null ? this.props.children : <Failed error={error} />;
  }
}

function Failed({ error }: { readonly error: unknown }) {
  return (
    <main className="message">
      <h1>This screen failed</h1>
      <p>What was kept is safe. Reload the page, or go to all comparisons.</p>
      <p className="caption">{error instanceof Error ? error.message : 'unknown'}</p>
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
