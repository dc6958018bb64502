import { useEffect, useState } from 'react';
import { comparisonsApi, type NamedWay } from '../../api/client.ts';
import { away } from '../../away/away.ts';
import type { NamedLines, WayThere } from '../../away/way-job.ts';

/** Ways that were given a name on any kept comparison, on this computation; null until they are found. */
export function useNamedWays(isOpen: boolean, problem: string): readonly WayThere[] | null {
  const [found, setFound] = useState<readonly WayThere[] | null>(null);
  useEffect(() => {
    if (!isOpen) return;
    let isAsked = true;
    void namedWays(problem).then((ways) => {
      if (isAsked) setFound(ways);
    });
    return () => {
      isAsked = false;
      setFound(null);
    };
  }, [isOpen, problem]);
  return found;
}

async function namedWays(problem: string): Promise<readonly WayThere[]> {
  const reply = await comparisonsApi.ways();
  return reply.ok ? away('waysThere', problem, namedLines(reply.value, problem)) : [];
}

/** The latest lines under every name, as they stand on papers of other computations. */
export function namedLines(ways: readonly NamedWay[], problem: string): readonly NamedLines[] {
  const byName = new Map<string, NamedLines>();
  for (const way of ways) {
    if (way.problem !== problem && !byName.has(way.name)) byName.set(way.name, way);
  }
  return [...byName.values()];
}
