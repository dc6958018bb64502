import {
  answerFaultText,
  Budget,
  readAnswer,
  SEARCH_BUDGET,
  type AnswerRow,
  currentSlip,
  diagnosedDocument,
  FEATURES,
  learnerDocument,
  methodsFor,
  readRows,
  Search,
  sheetDocument,
  sheetText,
  workWithHabits,
  type Method,
  type Problem,
  type SlipHabit,
} from '@levee/core';
import { fileLines, fileText } from './files.ts';
import { methodArgument, oneOf, problemArgument, schoolArgument } from './arguments.ts';
import { UsageError } from './usage-error.ts';

export interface DiagnoseOptions {
  readonly answer?: string;
  readonly answers?: string;
  readonly sheet?: string;
  readonly methods?: string;
  readonly format: string;
}

/** The most answers to one problem in one call. */
const MOST_ANSWERS = 1000;
/** What looking for pairs may spend for all answers of one call. */
const ANSWERS_BUDGET = 900_000;

/**
 * What explains one answer, many answers to one problem (a line each), or the sheets of learners; piece by piece. All
 * answers are read before the first is written.
 */
export function* diagnoseCommand(
  text: string | undefined,
  options: DiagnoseOptions,
): Generator<string> {
  oneOf(options.format, ['json'], 'format');
  const asked = ['answer', 'answers', 'sheet'] as const;
  const given = asked.filter((name) => options[name] !== undefined);
  if (given.length !== 1) {
    throw new UsageError('Give one of --answer TEXT, --answers FILE or --sheet FILE.');
  }
  if (options.sheet !== undefined) return yield sheets(options.sheet, options.methods);
  if (text === undefined) throw new UsageError('Say to which problem: levee diagnose "46 * 58" …');
  const problem = problemArgument(text);
  const one = options.answer;
  const answers =
    one === undefined ? answersIn(options.answers!, problem) : [readable(one, problem)];
  const search = searchOf(problem, options.methods);
  const budget = new Budget(ANSWERS_BUDGET);
  for (const answer of answers) yield diagnosed(search, answer, budget);
}

function answersIn(file: string, problem: Problem): readonly string[] {
  const lines = fileLines(file);
  if (lines.length > MOST_ANSWERS) {
    throw new UsageError(
      `${file} has ${lines.length} answers; up to ${MOST_ANSWERS} are diagnosed at a time.`,
    );
  }
  return lines.map((line, k) => readable(line, problem, `Line ${k + 1}: `));
}

/** An answer that can be read. UsageError for any other. */
function readable(answer: string, problem: Problem, where = ''): string {
  const read = readAnswer(answer, problem);
  if (!read.ok) throw new UsageError(`${where}${answerFaultText(read.fault)}`);
  return answer;
}

function diagnosed(search: Search, answer: string, budget: Budget): string {
  const made = diagnosedDocument(search, answer, budget);
  if (!made.ok) throw new UsageError(answerFaultText(made.fault));
  return `${JSON.stringify(made.document)}\n`;
}

function searchOf(problem: Problem, methods: string | undefined, budget?: Budget): Search {
  const ids = methods?.split(',').map((id) => id.trim());
  ids?.forEach((id) => methodArgument(id, problem));
  if (methodsFor(problem, ids).length === 0) {
    throw new UsageError('No method works this problem, so no slip can be looked for.');
  }
  return new Search(problem, ids, budget);
}

function sheets(file: string, methods: string | undefined): string {
  const { rows, faults } = readRows(fileText(file), null);
  const [fault] = faults;
  if (fault) throw new UsageError(`Line ${fault.line}: ${fault.fault}`);
  if (rows.length === 0) throw new UsageError(`${file} holds no answers.`);
  const searches = searchesFor(rows, methods);
  const document = sheetDocument(rows, (problem) => searches.get(JSON.stringify(problem))!);
  return `${JSON.stringify(document)}\n`;
}

/** What looking problems through may spend for all of a list: some forty of two figures by two. */
const SHEETS_BUDGET = 1_200_000;

/** A search for every problem of a list; each has an even share of what is left when its turn comes. */
function searchesFor(
  rows: readonly AnswerRow[],
  methods: string | undefined,
): ReadonlyMap<string, Search> {
  const problems = new Map(rows.map(({ problem }) => [JSON.stringify(problem), problem]));
  const budget = new Budget(SHEETS_BUDGET);
  let left = problems.size;
  return new Map(
    [...problems].map(([name, problem]) => {
      const make = (own: Budget) => searchOf(problem, methods, own);
      return [name, budget.share(1 / left--, (own) => own.within(SEARCH_BUDGET, make))] as const;
    }),
  );
}

export interface LearnerOptions {
  readonly method: string;
  readonly habit: readonly string[];
  readonly school: readonly string[];
  readonly format: string;
}

/** Works problems as a learner who has these habits. */
export function learnerCommand(texts: readonly string[], options: LearnerOptions): string {
  const format = oneOf(options.format, ['json', 'text'], 'format');
  const problems = texts.map(problemArgument);
  const [first] = problems;
  if (!first) throw new UsageError('Name at least one problem.');
  problems.forEach((problem) => methodArgument(options.method, problem));
  const method = methodArgument(options.method, first);
  const school = schoolArgument(method, options.school);
  const habits = options.habit.map((habit) => habitArgument(method, habit));
  if (habits.length === 0)
    throw new UsageError('Give a habit: --habit SLIP or --habit SLIP:FEATURE.');
  if (format === 'json')
    return `${JSON.stringify(learnerDocument(method, school, habits, problems))}\n`;
  return problems
    .map((problem) => {
      const { made } = workWithHabits(method, problem, { school, habits });
      const trace = method.trace(problem, { school, slips: made });
      return `${sheetText(method.sheet(trace), trace)}\n`;
    })
    .join('\n');
}

/** `lender-not-reduced:neighbour-zero`; without a feature at every chance. */
function habitArgument(method: Method, text: string): SlipHabit {
  const [named = '', feature = 'all', ...more] = text.split(':');
  const slip = currentSlip(named);
  if (more.length > 0 || !method.slips.some(({ id }) => id === slip)) {
    const known = method.slips.map(({ id }) => id).join(', ');
    throw new UsageError(`"${text}" is no habit of ${method.id}; its slips are: ${known}.`);
  }
  return { slip, where: oneOf(feature, ['all', ...FEATURES], 'feature') };
}
