import { useEffect, useState } from 'react';
import { comparisonsApi, type NamedWay } from '../../api/client.ts';
import { away } from '../../away/away.ts';
import type { NamedLines, WaysInvited, WayThere } from '../../away/way-job.ts';

/** Ways for a computation: those that its numbers invite, and those that were given a name on another one. */
export interface WaysFound extends WaysInvited {
  readonly named: readonly WayThere[];
}

/** The ways for a computation and the lines on a paper of it, asked for while they are looked at; null until they are found. */
export function useWays(
  isOpen: boolean,
  problem: string,
  lines: readonly string[],
): WaysFound | null {
  const [found, setFound] = useState<WaysFound | null>(null);
  const typed = JSON.stringify(lines);
  useEffect(() => {
    if (!isOpen) return;
    let isAsked = true;
    void waysFound(problem, JSON.parse(typed) as readonly string[]).then((ways) => {
      if (isAsked) setFound(ways);
    });
    return () => {
      isAsked = false;
      setFound(null);
    };
  }, [isOpen, problem, typed]);
  return found;
}

async function waysFound(problem: string, lines: readonly string[]): Promise<WaysFound> {
  const [invited, named] = await Promise.all([
    away('waysInvited', problem, lines),
    namedWays(problem),
  ]);
  return { ...invited, named };
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
