import type { Mark, SlipRequest, Trace } from '../account/account.ts';
import { Exact } from '../exact/exact.ts';
import { registry } from '../methods/index.ts';
import { sayPlain, type Voice } from '../phrases/phrasebook.ts';
import { speakerFor } from '../phrases/speaker.ts';
import { DEFAULT_VOCABULARY, type Vocabulary } from '../phrases/vocabulary.ts';
import { readProblem, type Problem } from '../problem/problem.ts';
import { sheetText } from '../sheet/text-sink.ts';

/** A problem by its text. RangeError on one that cannot be read. */
export function problemFrom(text: string): Problem {
  const read = readProblem(text);
  if (!read.ok) throw new RangeError(`problemFrom: "${text}" is not a problem`);
  return read.problem;
}

export interface WorkOptions {
  readonly school?: Readonly<Record<string, string>>;
  readonly slips?: readonly SlipRequest[];
  readonly hops?: readonly number[];
  readonly order?: readonly string[];
}

/** A method's work on a problem text, with only what differs from the defaults named. */
export function worked(id: string, text: string, options: WorkOptions = {}): Trace {
  const method = registry.get(id);
  const { school = {}, hops = [], ...rest } = options;
  return method.trace(problemFrom(text), {
    school: { ...method.defaultSchool, ...school },
    hops: hops.map((hop) => Exact.of(hop)),
    ...rest,
  });
}

/** Every sentence of a trace in one voice. */
export function said(
  trace: Trace,
  voice: Voice = 'digit',
  words: Partial<Vocabulary> = {},
): readonly string[] {
  const say = speakerFor(trace.problem, { ...DEFAULT_VOCABULARY, ...words });
  const { phrases } = registry.get(trace.method);
  return trace.steps.map((step) => sayPlain(phrases, step.phrase, voice, say));
}

/** All marks of a trace, in the order in which they are written. */
export function marksOf(trace: Trace): readonly Mark[] {
  return trace.steps.flatMap((step) => step.gives);
}

/** The worths of the groups of one role. */
export function groupWorths(trace: Trace, role: string): readonly string[] {
  return trace.groups.filter((group) => group.role === role).map(({ worth }) => worth.toString());
}

/** The paper as text after so many steps, all of them when absent. */
export function paperText(trace: Trace, step?: number): string {
  const sheet = registry.get(trace.method).sheet(trace);
  return sheetText(sheet, trace, step === undefined ? {} : { step });
}

/** What every slip that can happen would answer, as `slip@occurrence answer`. */
export function slipAnswers(id: string, text: string): readonly string[] {
  return worked(id, text).opportunities.map((opportunity) => {
    const { answer } = worked(id, text, { slips: [opportunity] });
    return `${opportunity.slip}@${opportunity.occurrence} ${answer}`;
  });
}
