import {
  amountsOf,
  offersFor,
  quietSaysOf,
  readAsked,
  saysOf,
  typedLine,
  type Offer,
  type Verdict,
} from '@levee/core';

/** What is said of a line while it is typed. */
export interface TypedAnswer {
  /** Null while there is nothing on the line that is judged. */
  readonly verdict: Verdict | null;
  readonly says: string;
  /** The same, where a leap is left alone. */
  readonly quiet: string;
  /** The first character that could not be read, from 0; null where all was. */
  readonly unreadAt: number | null;
  readonly offers: readonly Offer[];
}

/** Judges a line behind those before it. Throws `RangeError` for a text that is no computation. */
export function judgeTyped(problem: string, before: readonly string[], text: string): TypedAnswer {
  const read = readAsked(problem);
  if (!read.ok) throw new RangeError(`judgeTyped: "${problem}": ${read.reason}`);
  const typed = typedLine(read.asked, before, text);
  const { line } = typed;
  const write = amountsOf(read.asked);
  return {
    verdict: line?.verdict ?? null,
    says: line ? saysOf(line, write) : '',
    quiet: line ? quietSaysOf(line, write) : '',
    unreadAt: line?.unread?.at ?? null,
    offers: offersFor(typed),
  };
}
