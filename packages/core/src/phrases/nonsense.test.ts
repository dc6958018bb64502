import { readFileSync } from 'node:fs';
import { checks } from '../checks/index.ts';
import { agreement } from '../compare/certificate/agreement.ts';
import { certainties } from '../compare/looked-at.ts';
import { compare } from '../compare/compare.ts';
import { type Comparison } from '../compare/comparison.ts';
import { cost } from '../compare/counted/cost.ts';
import { stopsOf } from '../compare/stops.ts';
import { verifyAgreement } from '../compare/certificate/verify-agreement.ts';
import { Budget } from '../diagnose/budget.ts';
import { diagnose } from '../diagnose/diagnose.ts';
import { Search } from '../diagnose/search.ts';
import { linesDocument } from '../formats/lines-document.ts';
import { traceDocument } from '../formats/trace-document.ts';
import { lineAt } from '../ground/line.ts';
import { groundOf } from '../ground/ground.ts';
import { MOVES } from '../laws/moves.ts';
import { registry } from '../methods/index.ts';
import type { Method } from '../methods/method.ts';
import { OWN_PHRASES } from '../own/account/phrases.ts';
import { judgeLines } from '../own/judge/judge-lines.ts';
import { FALSE_RULES } from '../own/judge/mistakes/table.ts';
import { wayOf } from '../own/lettered/way.ts';
import { ownLinesMethod } from '../own/paper/method.ts';
import { nearestMethod } from '../own/paper/nearest-method.ts';
import { workOf } from '../own/paper/own-work.ts';
import { readAsked, type Asked } from '../own/read/asked.ts';
import { waysFor } from '../own/ways/ways.ts';
import { SLIP_IDEAS } from '../slips/catalogue.ts';
import { problemFrom } from '../testing/work.ts';

/** What every sentence says when none of them means anything. */
const NONSENSE = 'quux = 7 | 9 → −3/4 × 2 ÷ 5';

/** One problem of every sort that methods work, and one that no method works. */
const PROBLEMS = [
  '46 × 58',
  '3.6 × 20.5',
  '1011_2 × 110_2',
  '7 × 3 × 25',
  '478 + 356 + 19',
  '642 − 387',
  '952 ÷ 7',
  '3/4 + 1/6',
  '5 1/6 − 2 5/6',
  '3/4 × 2/3',
  '5 1/4 ÷ 3/4',
  '(x+4)(3x−2)',
  '(x^3+5x^2)−(2x^2−7x)',
  '√7396',
];

interface Example {
  readonly problem: string;
  readonly lines: readonly string[];
}

const LINES = new URL('../../../../docs/examples/lines.jsonl', import.meta.url);
/** Different laws side by side, and every other form of line. */
const LEAPS: readonly Example[] = [
  { problem: '46 × 58 + 38 + 27', lines: ['= 23 × 116 + 40 + 25', '= 2733'] },
  { problem: '38 + 27', lines: ['38 +2→ 40 +25→ 65'] },
  { problem: '952 ÷ 7', lines: ['1 | 7', '100 | 700', '36 | 252', '136 | 952'] },
  { problem: '642 − 387', lines: ['387 + 13 = 400 + 242 = 642', '13 + 242 = 255'] },
];

const PAPERS = LEAPS.concat(
  readFileSync(LINES, 'utf8')
    .trim()
    .split('\n')
    .filter((_, k) => k % 5 === 0)
    .map((line) => JSON.parse(line) as Example),
);

/** Everything that is worked out, and no sentence where one can be left out. */
function everything(): readonly unknown[] {
  return [...PROBLEMS.map(workedOut), ...PAPERS.map(judgedOut)];
}

function workedOut(text: string): unknown {
  const problem = problemFrom(text);
  const methods = registry.methods.filter((method) => method.accepts(problem).ok);
  const search = new Search(problem, undefined, new Budget(12_000));
  const comparisons = methods.map((method) =>
    compare(problem, [{ method }, { method: methods[0]! }]),
  );
  return {
    text,
    papers: methods.flatMap((method) => papersOf(method, text)),
    comparisons: comparisons.map(comparedOut),
    diagnoses: ['2368', '2668', '11/12', '300', '265'].map((answer) => diagnose(search, answer)),
  };
}

/** The paper of a clean work, and of the work with every slip that it can make, in every school. */
function papersOf(method: Method, text: string): readonly unknown[] {
  const problem = problemFrom(text);
  const schools = method.schools.flatMap(({ id, options }) =>
    options.map((option) => ({ ...method.defaultSchool, [id]: option.id })),
  );
  const clean = [method.defaultSchool, ...schools].map((school) =>
    method.trace(problem, { school }),
  );
  const slipped = clean[0]!.opportunities
    .slice(0, 4)
    .map(({ slip, occurrence }) =>
      method.trace(problem, { school: method.defaultSchool, slips: [{ slip, occurrence }] }),
    );
  return [...clean, ...slipped].map((trace) => ({
    trace: traceDocument(method, trace),
    sheet: { ...method.sheet(trace), notes: [] },
    certain: certainties(trace),
  }));
}

function comparedOut(comparison: Comparison): unknown {
  const { lanes, problem } = comparison;
  const ground = groundOf(comparison);
  const certificate = agreement(comparison);
  const [lane, other] = lanes;
  const subject = { comparison, lane: lane!, other: other!, estimate: null, calculated: null };
  return {
    stops: stopsOf(lanes),
    certificate,
    verified: verifyAgreement(certificate),
    ground,
    moments: ['sum', 'difference'].includes(problem.kind)
      ? lanes.map(({ trace }) => trace.steps.map((_, k) => lineAt(trace, k)))
      : [],
    checks: checks.map((check) => {
      const lacks = check.lacks(subject) !== null;
      return lacks ? null : check.make(subject, lane!.trace.answer).outcome;
    }),
  };
}

function askedBy(text: string): Asked {
  const read = readAsked(text);
  if (!read.ok) throw new RangeError(text);
  return read.asked;
}

function judgedOut({ problem, lines }: Example): unknown {
  const asked = askedBy(problem);
  const paper = judgeLines(asked, lines);
  const document = linesDocument(paper);
  const method = asked.problem ? ownLinesMethod(workOf(lines)) : null;
  const trace = method?.trace(asked.problem!);
  const way = wayOf(paper);
  return {
    document,
    // How long a word on a line is may move what stands below it.
    sheet:
      trace && method && method.sheet(trace).cells.map(({ entry, x, width }) => [entry, x, width]),
    cost: trace && cost(trace),
    certificate:
      asked.problem && method && agreement(compare(asked.problem, [{ method }, firstFor(asked)])),
    way: way.ok && way.way,
    ways: waysFor(asked).map(({ kind, lines: all, cost: of }) => [
      kind,
      all.map(({ text, verdict, move }) => [text, verdict, move]),
      of,
    ]),
    nearest: asked.problem && nearestMethod(asked.problem, paper, registry)?.method.id,
  };
}

function firstFor({ problem }: Asked): { readonly method: Method } {
  const method = registry.methods.find((one) => problem && one.accepts(problem).ok);
  return { method: method ?? ownLinesMethod(workOf([])) };
}

/** As data without classes, in which sentences are left out by the names of their fields. */
function plain(value: unknown): unknown {
  return JSON.parse(
    JSON.stringify(value, (key, one: unknown) => {
      if (SAID.has(key)) return undefined;
      if (typeof one === 'bigint') return `${one}n`;
      return one instanceof Map || one instanceof Set ? [...(one as Iterable<unknown>)] : one;
    }),
  );
}

/** Fields that hold sentences and nothing else. */
const SAID = new Set([
  ...['digitVoice', 'valueVoice', 'says', 'words', 'truth', 'phrase', 'label', 'mechanism'],
  ...['written', 'name', 'note', 'reason', 'why'],
]);

type Loose = Record<string, unknown>;

/** Puts nonsense in the place of every sentence that is kept in a field of these names. */
function spoil(of: object, fields: readonly string[]): void {
  for (const field of fields) {
    const known = (of as Loose)[field];
    if (typeof known === 'string') (of as Loose)[field] = NONSENSE;
    if (typeof known === 'function') (of as Loose)[field] = () => NONSENSE;
  }
}

function spoilAll(): number {
  let count = 0;
  for (const book of [OWN_PHRASES, ...registry.methods.map(({ phrases }) => phrases)]) {
    for (const wording of Object.values(book)) {
      spoil(wording, ['digit', 'value']);
      count++;
    }
  }
  for (const { words } of MOVES) spoil(words, ['brief', 'says', 'by']);
  for (const rule of FALSE_RULES) spoil(rule, ['truth']);
  for (const idea of SLIP_IDEAS) spoil(idea, ['label', 'mechanism', 'written']);
  for (const method of registry.methods) {
    spoil(method, ['name', 'shortName', 'summary', 'why', 'mind', 'leadsTo', 'direction']);
    for (const slip of method.slips) spoil(slip, ['label', 'mechanism']);
    for (const school of method.schools) {
      spoil(school, ['label']);
      for (const option of school.options) spoil(option, ['label', 'says']);
    }
  }
  for (const check of checks) spoil(check, ['name', 'catches', 'misses']);
  return count;
}

/** Judges lines enough that nothing which was judged before is remembered. */
function forget(): void {
  for (let k = 0; k < 450; k++) judgeLines(askedBy(`${k} + 1`), [`= 1 + ${k}`]);
}

it('no sentence is read: with all of them made nonsense everything else is the same', () => {
  const before = everything().map(plain);
  const sentence = traceDocument(
    registry.methods[0]!,
    registry.methods[0]!.trace(problemFrom('47 + 38')),
  ).steps[0]!;
  expect(sentence.digitVoice).not.toContain('quux');
  expect(spoilAll()).toBeGreaterThan(200);
  forget();
  const again = traceDocument(
    registry.methods[0]!,
    registry.methods[0]!.trace(problemFrom('47 + 38')),
  ).steps[0]!;
  expect(again.digitVoice).toContain('quux');
  const after = everything();
  // The sentences that are told with verdicts are nonsense now, too.
  expect(
    JSON.stringify(after, (_, one: unknown) => (typeof one === 'bigint' ? `${one}n` : one)),
  ).toContain('quux');
  after.map(plain).forEach((one, k) => expect(one).toEqual(before[k]));
});
