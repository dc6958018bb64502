import { readAs, type Read, type ReadFault } from '../describe/describe.ts';
import { readRule } from '../own/lettered/rule-text.ts';
import type { LetteredWay } from '../own/lettered/lettered-way.ts';
import { headFault } from './heading.ts';
import { WAY, type WayDocument } from './way-shape.ts';

const HEADING = { format: 'levee-way', is: 'a Levee way', versions: [1] };

/** A way as an open document. */
export function wayDocument(way: LetteredWay): WayDocument {
  return { format: 'levee-way', version: 1, ...way };
}

/** Reads a way from anything and trusts nothing: rules that go in a circle, too, or that speak of other letters. */
export function readWay(input: unknown): Read<LetteredWay> {
  const fault = headFault(input, HEADING);
  if (fault) return { ok: false, ...fault };
  const read = readAs(WAY, input, 'way');
  if (!read.ok) return read;
  const { kind, name, from, asked, given, lines, rules, holds } = read.value;
  const way = { kind, name, from, asked, given, lines, rules, holds };
  const open = rulesFault(way);
  return open ? { ok: false, ...open } : { ok: true, value: way };
}

function rulesFault({ given, rules }: LetteredWay): ReadFault | null {
  const known = new Set<string>(given);
  const open = new Map(Object.entries(rules));
  for (const letter of given) {
    if (open.has(letter)) return { where: `rules.${letter}`, fault: 'this letter is given' };
  }
  for (let found = true; found;) {
    found = false;
    for (const [letter, rule] of open) {
      if (!readRule(rule)!.letters.every((other) => known.has(other))) continue;
      known.add(letter);
      open.delete(letter);
      found = true;
    }
  }
  const [first] = open;
  if (!first) return null;
  return {
    where: `rules.${first[0]}`,
    fault: 'this comes from letters that are not known before it',
  };
}
