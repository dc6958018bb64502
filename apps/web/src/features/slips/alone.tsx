import { useEffect } from 'react';
import { useLocation, useNavigate } from 'react-router';

/** Shows the screen alone, for a projector, or goes back to it; Escape goes back too. */
export function Alone({ alone }: { readonly alone: boolean }) {
  const go = useNavigate();
  const { search } = useLocation();
  const to = alone ? '..' : 'alone';
  useEffect(() => {
    if (!alone) return;
    const press = (event: KeyboardEvent) => {
      if (event.key === 'Escape') void go({ pathname: '..', search }, { relative: 'path' });
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, [alone, go, search]);
  return (
    <button
      type="button"
      className="chip"
      onClick={() => void go({ pathname: to, search }, { relative: 'path' })}
    >
      {alone ? 'leave' : 'present'}
    </button>
  );
}
