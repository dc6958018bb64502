import {
  answerFaultText,
  diagnose,
  readProblem,
  Search,
  sheetDocument,
  type AnswerRow,
  type Diagnosis,
} from '@levee/core';
import { inPieces, type Done, type Tell } from './long.ts';

/** An answer to be diagnosed, as plain data; equal ones are looked at once. */
export interface AskedAnswer {
  readonly problem: string;
  readonly answer: string;
}

/** What an answer is, or why it cannot be read. */
export type AnswerVerdict = AskedAnswer &
  ({ readonly diagnosis: Diagnosis } | { readonly fault: string });

/** Searches are kept for as long as the worker lives: asking about one more answer costs next to nothing then. */
const SEARCHES = new Map<string, Search>();
/** The most searches that are kept. */
const MOST_KEPT = 60;

function searchFor(text: string, methods: readonly string[] | null): Search {
  const name = `${text} ${methods?.join() ?? ''}`;
  const known = SEARCHES.get(name);
  if (known) return known;
  const read = readProblem(text);
  if (!read.ok) throw new RangeError(`searchFor: "${text}" is not a problem`);
  const search = new Search(read.problem, methods ?? undefined);
  if (SEARCHES.size >= MOST_KEPT) SEARCHES.delete([...SEARCHES.keys()][0]!);
  SEARCHES.set(name, search);
  return search;
}

/** Diagnoses answers one after the other; what is found is told piece by piece. */
export async function diagnoseAnswers(
  asked: readonly AskedAnswer[],
  methods: readonly string[] | null,
  tell: Tell<Done & { readonly found: readonly AnswerVerdict[] }>,
): Promise<boolean> {
  let found: AnswerVerdict[] = [];
  return inPieces(
    asked.length,
    (k) => {
      found.push(verdictOn(asked[k]!, methods));
      return k + 1;
    },
    (done) => {
      const piece = found;
      found = [];
      return tell({ done, of: asked.length, found: piece });
    },
  );
}

function verdictOn(one: AskedAnswer, methods: readonly string[] | null): AnswerVerdict {
  const made = diagnose(searchFor(one.problem, methods), one.answer);
  return made.ok
    ? { ...one, diagnosis: made.diagnosis }
    : { ...one, fault: answerFaultText(made.fault) };
}

/** The sheets of learners who answered several problems, one for each code. */
export function diagnoseSheets(rows: readonly (AskedAnswer & { readonly code: string })[]) {
  const read = rows.flatMap(({ code, problem, answer }, k): AnswerRow[] => {
    const made = readProblem(problem);
    return made.ok ? [{ line: k + 1, code, problem: made.problem, answer }] : [];
  });
  const named = new Map(read.map(({ problem }, k) => [problem, rows[k]!.problem]));
  return sheetDocument(read, (problem) => searchFor(named.get(problem)!, null)).learners;
}
export type SheetLearner = ReturnType<typeof diagnoseSheets>[number];
