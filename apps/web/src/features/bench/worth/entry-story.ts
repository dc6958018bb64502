import {
  operandName,
  rowOf,
  type EntryId,
  type Given,
  type Mark,
  type OwedEntry,
  type ProblemKind,
  type Speaker,
} from '@levee/core';
import type { Paper } from '../../../worked/work.ts';

/** What is said of one entry: what it is, and where it comes from and goes. */
export interface EntryStory {
  readonly name: string;
  readonly travels: string | null;
}

/** Tells of a mark, an owed amount or a figure of the question. */
export function entryStory(
  paper: Paper,
  id: EntryId,
  step: number,
  say: Speaker,
): EntryStory | null {
  const entry = paper.lane.find(id);
  switch (entry?.standing) {
    case 'given':
      return { name: givenName(entry, paper.lane.trace.problem.kind, say), travels: null };
    case 'owed':
      return owedStory(paper, entry, step, say);
    case 'marked':
      return markStory(paper, entry, say);
    case undefined:
      return null;
  }
}

/** A number of a row is told by its row, which is one amount. */
function markStory(paper: Paper, mark: Mark, say: Speaker): EntryStory {
  const row = rowOf(paper.lane.trace, mark);
  return row
    ? { name: `${mark.glyph} in its row: ${row.glyph} is one amount`, travels: travels(paper, row) }
    : { name: markName(mark, say), travels: travels(paper, mark) };
}

function givenName(given: Given, kind: ProblemKind, say: Speaker): string {
  const { role, place, glyph, operand } = given;
  const name = operandName(kind, operand);
  if (role === 'operand digit' && place !== undefined) {
    return `the ${name}’s digit ${glyph}: ${say.count(parseInt(glyph, say.base), place)}`;
  }
  return given.id.includes('.') ? `a part of the ${name}` : `the ${name}`;
}

function owedStory(paper: Paper, owed: OwedEntry, step: number, say: Speaker): EntryStory {
  const at = paper.line.takenAt.get(owed.id);
  const text = say.pointed(owed.text).replaceAll('×', ` ${say.times} `);
  const done = at !== undefined && at <= step;
  return {
    name: done ? `${text}, worked out at step ${at}` : `${text}, still owed`,
    travels: done || at === undefined ? null : `this paper comes to it at step ${at}`,
  };
}

/** Marks that help on the way and are worth nothing by themselves. */
const ASIDE: ReadonlySet<Mark['role']> = new Set(['side number', 'trial', 'prime']);

function markName({ role, place, glyph, worth, medium }: Mark, say: Speaker): string {
  if (role === 'stop') return `a place on the line: the hop lands on ${glyph}; no amount`;
  if (role === 'scratch') return `scratch: it keeps ${say.count(1, place ?? 1)}`;
  if (role === 'words') return 'words beside the work, no amount of the account';
  if (ASIDE.has(role))
    return `${role === 'side number' ? 'a number' : `a ${role}`} at the side, no amount of the account`;
  if (role === 'little one' && place !== undefined)
    return littleOne(worth.numerator > 0n, place, say);
  const what = medium === 'head' ? `${role}, held in the head` : role;
  if (place === undefined) return `${what}, written whole`;
  if (role === 'placeholder') return `${what}: it holds the places below`;
  if (worth.isZero) return `${what}: no ${say.places(place)}`;
  return `${what}: ${say.count(parseInt(glyph.replace('−', '-'), say.base), place)}`;
}

/** The two little marks of an equal addition: ten above of one place, one below of the next. */
function littleOne(above: boolean, place: number, say: Speaker): string {
  return above
    ? `little one above: ${say.count(say.base, place - 1)} more`
    : `little one below: ${say.count(1, place)} more to take away`;
}

/** From which step to which, and for a carry why it is put where it is. */
function travels(paper: Paper, mark: Mark): string | null {
  const written = paper.line.writtenAt.get(mark.id);
  const taken = paper.line.takenAt.get(mark.id);
  const from = `${mark.medium === 'head' ? 'held from' : 'written at'} step ${written}`;
  const to = taken === undefined ? 'it stays' : `joins step ${taken}`;
  const reason = mark.role === 'carry' ? carryReason(paper) : null;
  return [`${from}; ${to}`, reason].filter(Boolean).join('. ');
}

/** The reason of the school that says where carries are put, where the method has one. */
function carryReason({ method, lane }: Paper): string | null {
  const school = method.schools.find(({ id }) => id === 'carries');
  const option = school?.options.find(({ id }) => id === lane.trace.school['carries']);
  return option ? `Carries ${option.label}: ${option.reason}` : null;
}
