import { useEffect, useState } from 'react';

/** How many of a page's heavy parts may be drawn: one more with every frame, so that none holds the page up for long. */
export function useTurns(parts: number): number {
  const [turn, setTurn] = useState(1);
  useEffect(() => {
    if (turn >= parts) return;
    const frame = requestAnimationFrame(() => setTurn(turn + 1));
    return () => cancelAnimationFrame(frame);
  }, [turn, parts]);
  return turn;
}
