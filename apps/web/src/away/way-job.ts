import {
  nearestMethod,
  registry,
  waysFor,
  choicesFor,
  judgeLines,
  layOn,
  readAsked,
  readWay,
  suggestedFor,
  wayOf,
  type Asked,
  type LetteredWay,
} from '@levee/core';

/** A way with letters, with the rules that each letter may have instead. */
export type WayAnswer =
  | {
      readonly ok: true;
      readonly way: LetteredWay;
      readonly choices: Readonly<Record<string, readonly string[]>>;
    }
  | { readonly ok: false; readonly says: string };

/** How many other computations are offered. */
const MOST_SUGGESTED = 4;

/** The way of some lines. Throws `RangeError` for a text that is no computation. */
export function wayAnswer(problem: string, lines: readonly string[], name: string): WayAnswer {
  const asked = askedOf(problem);
  const made = wayOf(judgeLines(asked, lines), name);
  if (!made.ok) return made;
  const { way } = made;
  const letters = Object.keys(way.rules);
  return {
    ok: true,
    way,
    choices: Object.fromEntries(letters.map((letter) => [letter, choicesFor(way, letter, asked)])),
  };
}

/** Other computations that a way fits. Throws `RangeError` for a text that is no computation. */
export function waySuggested(problem: string, way: LetteredWay): readonly string[] {
  return suggestedFor(way, askedOf(problem), MOST_SUGGESTED).map(({ text }) => text);
}

/** Ways that the numbers of a computation invite, and the method that some lines are nearest to. */
export interface WaysInvited {
  readonly invited: readonly {
    readonly kind: string;
    readonly why: string;
    readonly cost: number;
    readonly lines: readonly string[];
  }[];
  readonly near: {
    readonly method: string;
    readonly hops: readonly string[];
    readonly says: string;
  } | null;
}

/** What these numbers invite. Throws `RangeError` for a text that is no computation. */
export function waysInvited(problem: string, lines: readonly string[]): WaysInvited {
  const asked = askedOf(problem);
  const paper = judgeLines(asked, lines);
  const near = asked.problem && nearestMethod(asked.problem, paper, registry);
  return {
    invited: waysFor(asked).map(({ kind, why, cost, lines: way }) => ({
      kind,
      why,
      cost,
      lines: way.map(({ text }) => text),
    })),
    near: near && { method: near.method.id, hops: near.hops.map(String), says: near.says },
  };
}

/** Lines that are kept somewhere under a name. */
export interface NamedLines {
  readonly name: string;
  readonly problem: string;
  readonly lines: readonly string[];
}

/** A kept way on other numbers: its lines there, or why it does not fit. */
export type WayThere = NamedLines & {
  readonly laid: readonly string[] | null;
  readonly says: string;
};

/** Kept ways on a computation; those that are no way are left out. */
export function waysThere(problem: string, kept: readonly NamedLines[]): readonly WayThere[] {
  const asked = askedOf(problem);
  return kept.flatMap((one) => {
    const from = readAsked(one.problem);
    const made = from.ok ? wayOf(judgeLines(from.asked, one.lines), one.name) : null;
    if (!made?.ok) return [];
    const laid = layOn(made.way, asked);
    if (!laid.ok && laid.why === 'form') return [];
    return [{ ...one, laid: laid.ok ? laid.lines : null, says: laid.ok ? '' : laid.says }];
  });
}

/** The lines of a way out of a file on a computation, or why they are not laid. */
export function wayFromFile(
  problem: string,
  text: string,
):
  | { readonly ok: true; readonly name: string; readonly lines: readonly string[] }
  | { readonly ok: false; readonly says: string } {
  let input: unknown;
  try {
    input = JSON.parse(text);
  } catch {
    return { ok: false, says: 'it is no JSON.' };
  }
  const read = readWay(input);
  if (!read.ok) return { ok: false, says: `${read.where}: ${read.fault}.` };
  const laid = layOn(read.value, askedOf(problem));
  return laid.ok
    ? { ok: true, name: read.value.name, lines: laid.lines }
    : { ok: false, says: laid.says };
}

function askedOf(problem: string): Asked {
  const read = readAsked(problem);
  if (!read.ok) throw new RangeError(`a way: "${problem}": ${read.reason}`);
  return read.asked;
}
