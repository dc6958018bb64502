import { LAWS } from '../account/account.ts';
import {
  count,
  listOf,
  oneOf,
  only,
  orNull,
  record,
  said,
  text,
  type Described,
} from '../describe/describe.ts';
import { MOVE_IDS } from '../laws/moves.ts';
import { WAY_KINDS } from '../own/ways/kinds.ts';
import { ASKED } from './lines-shape.ts';

/** The open format of ways that numbers invite, version 1. */
export const WAYS = record({
  format: only('levee-ways'),
  version: only(1),
  problem: ASKED,
  ways: said(
    'Each kind at most once, cheapest first; every line is lawful, and the last is right.',
    listOf(
      record({
        kind: oneOf(WAY_KINDS),
        lines: listOf(
          record({
            text: text(),
            law: orNull(oneOf(LAWS)),
            move: orNull(oneOf(MOVE_IDS)),
          }),
          { least: 1 },
        ),
        cost: said(
          'Facts with both figures over 1, regroupings, and twice the most that is held at once.',
          count(),
        ),
        why: text(),
      }),
    ),
  ),
});

export type WaysDocument = Described<typeof WAYS>;
