import type { Entry } from '../../account/account.ts';
import type { BeyondCell } from '../../account/beyond.ts';
import type { Scribe } from '../../account/scribe.ts';
import type { TermSet } from '../../account/terms.ts';
import type { Held, Span } from './held.ts';

/** A cell of the problem as it is owed: whose it is, where it lies on the line of its number, and which of all it is. */
export interface OwedCell {
  readonly operand: number;
  readonly at: Span | null;
  readonly cell?: number;
  readonly entry: Entry;
}

/** The account of a problem as lines need it: how it is opened, and what an amount holds of it. */
export interface OwnAccount {
  /** Opens the account; all that is owed. */
  readonly open: (scribe: Scribe) => readonly OwedCell[];
  /** The numbers of the question stand over the lines. */
  readonly give: (scribe: Scribe) => void;
  /** What an amount holds as terms, each once, and what is more or less than that. */
  readonly cells: (
    held: Held,
    scribe: Scribe,
  ) => { readonly terms: TermSet; readonly beyond: ReadonlyMap<string, BeyondCell> };
}
