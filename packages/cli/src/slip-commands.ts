import { readFileSync } from 'node:fs';
import {
  answerFaultText,
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
import { methodArgument, oneOf, problemArgument, schoolArgument } from './arguments.ts';
import { UsageError } from './usage-error.ts';

export interface DiagnoseOptions {
  readonly answer?: string;
  readonly answers?: string;
  readonly sheet?: string;
  readonly methods?: string;
  readonly format: string;
}

/** What explains one answer, many answers to one problem (a line each), or the sheets of learners. */
export function diagnoseCommand(text: string | undefined, options: DiagnoseOptions): string {
  oneOf(options.format, ['json'], 'format');
  const asked = ['answer', 'answers', 'sheet'] as const;
  const given = asked.filter((name) => options[name] !== undefined);
  if (given.length !== 1) {
    throw new UsageError('Give one of --answer TEXT, --answers FILE or --sheet FILE.');
  }
  if (options.sheet !== undefined) return sheets(options.sheet, options.methods);
  if (text === undefined) throw new UsageError('Say to which problem: levee diagnose "46 * 58" …');
  const search = searchOf(problemArgument(text), options.methods);
  if (options.answer !== undefined) return diagnosed(search, options.answer);
  const lines = fileText(options.answers!)
    .replace(/(\r\n|\r|\n)$/, '')
    .split(/\r\n|\r|\n/);
  return lines.map((line, k) => diagnosed(search, line, `Line ${k + 1}: `)).join('');
}

function diagnosed(search: Search, answer: string, where = ''): string {
  const made = diagnosedDocument(search, answer);
  if (!made.ok) throw new UsageError(`${where}${answerFaultText(made.fault)}`);
  return `${JSON.stringify(made.document)}\n`;
}

function searchOf(problem: Problem, methods: string | undefined): Search {
  const ids = methods?.split(',').map((id) => id.trim());
  ids?.forEach((id) => methodArgument(id, problem));
  if (methodsFor(problem, ids).length === 0) {
    throw new UsageError('No method works this problem, so no slip can be looked for.');
  }
  return new Search(problem, ids);
}

function sheets(file: string, methods: string | undefined): string {
  const { rows, faults } = readRows(fileText(file), null);
  const [fault] = faults;
  if (fault) throw new UsageError(`Line ${fault.line}: ${fault.fault}`);
  if (rows.length === 0) throw new UsageError(`${file} holds no answers.`);
  const searches = new Map<string, Search>();
  const document = sheetDocument(rows, (problem) => {
    const name = JSON.stringify(problem);
    const search = searches.get(name) ?? searchOf(problem, methods);
    searches.set(name, search);
    return search;
  });
  return `${JSON.stringify(document)}\n`;
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

function fileText(file: string): string {
  try {
    return readFileSync(file === '-' ? 0 : file, 'utf8');
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    throw new UsageError(`${file} cannot be read (${code}).`);
  }
}
