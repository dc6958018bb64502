import { LAWS } from '../../account/account.ts';
import {
  amount,
  anyOf,
  count,
  flag,
  kindsOf,
  later,
  listOf,
  oneOf,
  only,
  optional,
  orNull,
  record,
  said,
  text,
  type Described,
  type Description,
} from '../../describe/describe.ts';
import { PROBLEM_KINDS } from '../../problem/kinds.ts';
import { SCRIPTS } from '../../problem/script.ts';

/** A term as it is owed: a product of parts, or in a sum or difference one part with its sign. */
const PRODUCT = record({
  kind: only('product'),
  term: text(),
  scaled: optional(
    said('A quotient with both numbers scaled alike, as `280÷7` for `28÷0.7`.', text()),
  ),
});

/** What is worked out: of which terms it is, or of which one it is a piece. */
const AMOUNT = record({
  kind: only('amount'),
  worth: amount(),
  of: listOf(text()),
  scaled: optional(
    said(
      'As it is written in the problem language, as `2/6` for a third or `(80+6)^2` for 7396.',
      text(),
    ),
  ),
});

/** A sum as a tree: its leaves are terms as they are owed, and amounts that are worked out. */
export type Expression =
  | Described<typeof PRODUCT>
  | Described<typeof AMOUNT>
  | { readonly kind: 'sum'; readonly parts: readonly Expression[] };

const EXPRESSION: Description<Expression> = later(() =>
  kindsOf('kind', [PRODUCT, AMOUNT, record({ kind: only('sum'), parts: listOf(EXPRESSION) })]),
);

const MOVE = record({
  law: said(
    'The law that makes this line equal to the one before; the first is equal to the problem.',
    oneOf(LAWS),
  ),
  expression: EXPRESSION,
  line: optional(
    said('Which line of its method it is, from 1; not in certificates of version 1.', count(1)),
  ),
  by: optional(said('By how much both are changed, or by what both are scaled.', amount())),
});

const METHOD_AGREEMENT = record({
  method: text(80),
  title: optional(
    said('What someone’s own lines are called, where they have a name or a code.', text(80)),
  ),
  moves: listOf(MOVE),
  bracketing: said(
    'The terms as the method brackets them, in one line; null when the total is zero.',
    orNull(EXPRESSION),
  ),
  brief: said('Whether only the brackets and the total are told.', flag()),
  unreduced: optional(
    said(
      'Whether the answer stays a fraction that is not in lowest terms, as a slip of form.',
      flag(),
    ),
  ),
  unfinished: optional(
    said(
      'Whether someone’s own lines stop before they have an answer; their moves are no claim on the total.',
      flag(),
    ),
  ),
  leak: optional(
    said(
      'Where a slipped work gains or loses something; the moves go only as far as before that step.',
      record({ step: count(), amount: amount() }),
    ),
  ),
});

/** A certificate that methods agree: plain data that can be checked without the traces. */
export const AGREEMENT = record({
  format: only('levee-agreement'),
  version: said(
    '3 where some method leaks, stays unreduced or is unfinished, else 2; version 1 is read too.',
    anyOf([1, 2, 3]),
  ),
  problem: text(),
  kind: oneOf(PROBLEM_KINDS),
  script: said('How its numbers are written.', oneOf(SCRIPTS)),
  base: said('The base of the figures; every worth here is written in base ten.', count(2, 16)),
  operands: listOf(record({ text: text(), worth: amount(), parts: listOf(amount()) })),
  value: amount(),
  terms: listOf(record({ id: text(), text: text(), worth: amount() })),
  methods: listOf(METHOD_AGREEMENT, { least: 1 }),
});

export type Agreement = Described<typeof AGREEMENT>;
export type MethodAgreement = Described<typeof METHOD_AGREEMENT>;
export type Move = Described<typeof MOVE>;
