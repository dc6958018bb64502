import { Exact } from '../exact/exact.ts';
import { lawFaults, replayOf } from './replay.ts';
import { OWN_LINES } from '../account/own-lines.ts';
import type { EntryId, Step, Trace } from '../account/account.ts';
import { glyphFault } from '../account/glyphs.ts';
import { beyondOf, holds, NOTHING_BEYOND, unlikeCells } from '../account/beyond.ts';

/** The first primes above a hundred thousand. */
const PRIMES = [
  100003, 100019, 100043, 100049, 100057, 100069, 100103, 100109, 100129, 100151, 100153, 100169,
  100183, 100189, 100193, 100207, 100213, 100237, 100267, 100271, 100279, 100291, 100297, 100313,
  100333, 100343,
] as const;

/** What is wrong with a trace: where, and in words for a developer. */
export interface AuditFault {
  readonly step: number;
  readonly fault: string;
}

/**
 * Replays a whole trace from its opening account and reports every broken promise: entries taken
 * twice or never opened, a balance that is not the sum of the live entries, amounts left at the end
 * that are no part of the answer, steps that are no instance of the law they name, marks of terms that are not
 * there, figures that are not those of what they are worth. Shares no code with the Scribe; worths are added as plain integers, as tops over one common bottom,
 * letters as large primes.
 */
export function audit(trace: Trace): readonly AuditFault[] {
  const own = trace.method === OWN_LINES ? cellFaults(trace) : [];
  const glyphs = trace.method === OWN_LINES ? [] : glyphFaults(trace);
  return [
    ...amountFaults(trace),
    ...beyondFaults(trace),
    ...own,
    ...glyphs,
    ...lawFaults(replayOf(trace)),
  ];
}

/** Marks whose figures are not those of what they are worth. */
function glyphFaults({ steps, problem }: Trace): readonly AuditFault[] {
  return steps.flatMap(({ number: step, gives }) =>
    gives.flatMap((mark): readonly AuditFault[] => {
      const fault = glyphFault(mark, problem);
      return fault ? [{ step, fault: `${mark.id}: ${fault}` }] : [];
    }),
  );
}

function amountFaults(trace: Trace): readonly AuditFault[] {
  const faults: AuditFault[] = [];
  const unit = commonDenominator(trace);
  const counted = (worth: Exact) => {
    const { numerator, denominator } = numberOf(worth);
    return numerator * (unit / denominator);
  };
  const live = new Map<string, bigint>(trace.start.map((e) => [e.id, counted(e.worth)]));
  const seen = new Set<string>(live.keys());
  let sum = [...live.values()].reduce((total, worth) => total + worth, 0n);
  if (sum !== counted(trace.total))
    faults.push({ step: 0, fault: `the account opens with ${sum}` });
  for (const { number: step, takes, gives, opens, balance } of trace.steps) {
    for (const id of takes) {
      const worth = live.get(id);
      if (worth === undefined) faults.push({ step, fault: `${id} is taken but not live` });
      sum -= worth ?? 0n;
      live.delete(id);
    }
    for (const mark of [...gives, ...opens]) {
      if (seen.has(mark.id)) faults.push({ step, fault: `${mark.id} is given twice` });
      seen.add(mark.id);
      live.set(mark.id, counted(mark.worth));
      sum += counted(mark.worth);
    }
    if (sum !== counted(balance)) faults.push({ step, fault: `balance ${balance}, live ${sum}` });
  }
  const answer = new Set<string>(trace.groups.at(-1)?.marks);
  for (const [id, worth] of live) {
    if (worth !== 0n && !answer.has(id))
      faults.push({ step: trace.steps.length, fault: `${id} is left over` });
  }
  return faults;
}

/**
 * What is laid beyond the edge of the problem must be taken back: every step gives what it takes there. A step that
 * comes to nothing gives nothing; what it took is part of the answer, which holds nothing beyond the edge.
 */
function beyondFaults({ start, steps, groups }: Trace): readonly AuditFault[] {
  const made = steps.flatMap(({ gives, opens }) => [...gives, ...opens]);
  const entries = new Map([...start, ...made].map((entry) => [entry.id, entry]));
  const all = (ids: readonly EntryId[]) => ids.flatMap((id) => entries.get(id) ?? []);
  const isSpent = ({ gives, opens }: Step) => gives.length + opens.length === 0;
  const faults = steps.flatMap((step): AuditFault[] => {
    const more = isSpent(step)
      ? NOTHING_BEYOND
      : beyondOf([...step.gives, ...step.opens], all(step.takes));
    const fault = `it lays ${[...more.keys()].join()} beyond the edge`;
    return more.size === 0 ? [] : [{ step: step.number, fault }];
  });
  const spent = steps.filter(isSpent).flatMap(({ takes }) => all(takes));
  const left = beyondOf([...all(groups.at(-1)?.marks ?? []), ...spent]);
  const fault = `the answer holds ${[...left.keys()].join()} beyond the edge`;
  return left.size === 0 ? faults : [...faults, { step: steps.length, fault }];
}

/** In someone's own lines every step gives just the cells that it takes, each as many times. */
function cellFaults({ start, steps }: Trace): readonly AuditFault[] {
  const made = steps.flatMap(({ gives }) => gives);
  const cells = new Map([...start, ...made].map((entry) => [entry.id as string, holds(entry)]));
  return unlikeCells(
    steps.map(({ number, takes, gives }) => ({ number, takes, gives: gives.map(({ id }) => id) })),
    cells,
  );
}

/** Large primes for letters, so that different expressions do not come to the same. */
const LETTERS = new Map(
  [...'abcdefghijklmnopqrstuvwxyz'].map((letter, k) => [letter, Exact.of(PRIMES[k]!)]),
);

function numberOf(worth: Exact): Exact {
  return worth.isConstant ? worth : worth.at(LETTERS);
}

/** A bottom that every worth of the trace can be written over. */
function commonDenominator({ start, steps, total }: Trace): bigint {
  const amounts: readonly Exact[] = [
    total,
    ...start.map(({ worth }) => worth),
    ...steps.flatMap(({ gives, opens, balance }) => [
      balance,
      ...[...gives, ...opens].map(({ worth }) => worth),
    ]),
  ];
  let unit = 1n;
  for (const { denominator } of amounts.map(numberOf)) {
    if (unit % denominator !== 0n) unit *= denominator;
  }
  return unit;
}
