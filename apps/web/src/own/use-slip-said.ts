import { useEffect, useState } from 'react';
import { away } from '../away/away.ts';

/** By which slip an unequal line comes out, looked for away from the page; null until it is found, and where none is. */
export function useSlipSaid(
  problem: string,
  lines: readonly string[],
  n: number | null,
): string | null {
  const [found, setFound] = useState<{ readonly of: string; readonly says: string | null } | null>(
    null,
  );
  const key = n === null ? null : JSON.stringify([problem, lines.slice(0, n), n]);
  useEffect(() => {
    if (key === null) return;
    let isAsked = true;
    const [asked, typed, line] = JSON.parse(key) as [string, string[], number];
    void away('slipSaid', asked, typed, line).then((says) => {
      if (isAsked) setFound({ of: key, says });
    });
    return () => {
      isAsked = false;
    };
  }, [key]);
  return key !== null && found?.of === key ? found.says : null;
}
