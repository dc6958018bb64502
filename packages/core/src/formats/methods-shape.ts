import {
  count,
  flag,
  listOf,
  oneOf,
  only,
  openRecord,
  optional,
  orNull,
  record,
  said,
  text,
  type Described,
} from '../describe/describe.ts';
import { FEATURES } from '../account/chance.ts';
import { MEDIA } from '../methods/method-spec.ts';
import { EFFECTS } from '../slips/slip-idea.ts';

const OPTION = record({ id: text(), label: text(), reason: text() });

/** The open format of the list of methods, version 1. */
export const METHODS = record({
  format: only('levee-methods'),
  version: only(1),
  methods: listOf(
    record({
      id: text(80),
      family: text(),
      name: text(),
      alsoCalled: listOf(text()),
      summary: text(),
      why: text(),
      medium: oneOf(MEDIA),
      direction: text(),
      freeOrder: flag(),
      schools: listOf(record({ id: text(), label: text(), options: listOf(OPTION, { least: 1 }) })),
      slips: listOf(
        record({
          id: said('One id for one idea, in all methods.', text()),
          label: text(),
          mechanism: said('What is done instead of what was due.', text()),
          written: said('What stands on the paper.', text()),
          effect: oneOf(EFFECTS),
          often: said('How often it is met, 1 to 3: an assumption.', count()),
          feature: said(
            'What the numbers are like where it is a habit; null for anywhere.',
            orNull(oneOf(FEATURES)),
          ),
        }),
      ),
      ownHops: orNull(record({ name: text(), hint: text(), most: count(1) })),
      accepted: optional(said('Whether it works the problem that was asked about.', flag())),
      reason: optional(
        said(
          'Why it does not, as a code with its values and as a sentence.',
          openRecord({ code: text(), text: text() }),
        ),
      ),
    }),
  ),
});

export type MethodsDocument = Described<typeof METHODS>;
