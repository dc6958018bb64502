import type { EntryId, Trace } from '../../account/account.ts';
import { ledgerAt } from '../../account/ledger.ts';
import { TermSet } from '../../account/terms.ts';
import { ownPhrase } from './phrases.ts';

/** The account of own lines up to and with a line, from 1; unfinished, whatever the lines behind it came to. */
export function traceUpTo(trace: Trace, line: number): Trace {
  const behind = trace.steps.findIndex(({ phase }) => (phase.of ?? 0) > line);
  if (behind < 0) return { ...trace, isUnfinished: true };
  const steps = trace.steps.slice(0, behind);
  const { live, balance } = ledgerAt(trace, behind);
  const there = new Set<EntryId>([
    ...trace.start.map(({ id }) => id),
    ...steps.flatMap(({ gives, opens }) => [...gives, ...opens].map(({ id }) => id)),
  ]);
  const left = [...live.values()];
  return {
    ...trace,
    steps,
    groups: [
      ...trace.groups.filter(
        ({ role, marks }) => role !== 'answer' && marks.every((id) => there.has(id)),
      ),
      {
        id: 'answer',
        role: 'answer',
        marks: left.map(({ id }) => id),
        worth: balance,
        terms: TermSet.union(
          trace.space,
          left.map(({ terms }) => terms),
        ),
        phrase: ownPhrase('own.answer', {}),
      },
    ],
    answer: balance,
    balanced: steps.every((step) => step.balance.equals(trace.total)),
    isUnfinished: true,
  };
}
