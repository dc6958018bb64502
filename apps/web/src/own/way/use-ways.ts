import { useEffect, useState } from 'react';
import { comparisonsApi, type NamedWay } from '../../api/client.ts';
import { away } from '../../away/away.ts';
import type { NamedLines, WaysInvited, WayThere } from '../../away/way-job.ts';

/** Ways for a computation: those that its numbers invite, and those that were given a name on another one; null until they come. */
export interface WaysFound {
  readonly invited: WaysInvited | null;
  readonly named: readonly WayThere[] | null;
}

const NONE: WaysFound = { invited: null, named: null };

/** The ways for a computation and the lines on a paper of it, asked for while they are looked at; what is found first comes first. */
export function useWays(isOpen: boolean, problem: string, lines: readonly string[]): WaysFound {
  const [found, setFound] = useState(NONE);
  const typed = JSON.stringify(lines);
  useEffect(() => {
    if (!isOpen) return;
    let isAsked = true;
    const come = (some: Partial<WaysFound>) => {
      if (isAsked) setFound((before) => ({ ...before, ...some }));
    };
    const own = JSON.parse(typed) as readonly string[];
    void away('waysInvited', problem, own).then((invited) => come({ invited }));
    void namedWays(problem).then((named) => come({ named }));
    return () => {
      isAsked = false;
      setFound(NONE);
    };
  }, [isOpen, problem, typed]);
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
