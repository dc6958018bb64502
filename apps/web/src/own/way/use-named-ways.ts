import { isCounted, OWN_LINES, type ComparisonDocument } from '@levee/core';
import { useEffect, useState } from 'react';
import { comparisonsApi } from '../../api/client.ts';
import { away } from '../../away/away.ts';
import type { NamedLines, WayThere } from '../../away/way-job.ts';

/** Kept comparisons with own lines that are looked through, the latest first. */
const MOST_KEPT = 100;

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
  const reply = await comparisonsApi.list({ method: OWN_LINES }, 1, MOST_KEPT);
  if (!reply.ok) return [];
  const documents = reply.value.items.flatMap(({ document }) => document ?? []);
  return away('waysThere', problem, namedLines(documents, problem));
}

/** The latest lines under every name, as they stand on papers of other computations. */
export function namedLines(
  documents: readonly ComparisonDocument[],
  problem: string,
): readonly NamedLines[] {
  const byName = new Map<string, NamedLines>();
  for (const { papers, problem: from } of documents) {
    if (from === problem) continue;
    for (const { own } of papers) {
      if (!own || own.name === '' || byName.has(own.name)) continue;
      const lines = own.lines.filter(isCounted).map(({ text }) => text);
      byName.set(own.name, { name: own.name, problem: from, lines });
    }
  }
  return [...byName.values()];
}
