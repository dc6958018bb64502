import { addressText } from '../account/chance.ts';
import type { School } from '../account/account.ts';
import { Budget } from '../diagnose/budget.ts';
import { diagnose, type Diagnosed, type Diagnosis } from '../diagnose/diagnose.ts';
import type { AnswerRow } from '../diagnose/rows.ts';
import type { Search } from '../diagnose/search.ts';
import { diagnoseSheet, type ItemVerdict } from '../diagnose/sheet.ts';
import type { Method } from '../methods/method.ts';
import { problemValue, type Problem } from '../problem/problem.ts';
import { workWithHabits, type SlipHabit } from '../habits/habits.ts';
import type {
  DiagnosisDocument,
  LearnerDocument,
  SheetDiagnosisDocument,
} from './diagnosis-shape.ts';
import { problemDocument } from './trace-document.ts';

function head(problem: Problem) {
  return problemDocument({ problem, total: problemValue(problem) });
}

/** A diagnosis as the open format. */
function diagnosisDocument(problem: Problem, diagnosis: Diagnosis): DiagnosisDocument {
  return { format: 'levee-diagnosis', version: 1, problem: head(problem), ...diagnosis };
}

/** One answer read and diagnosed, as the open format; the fault of one that cannot be read. */
export function diagnosedDocument(
  search: Search,
  answer: string,
  budget?: Budget,
): { readonly ok: true; readonly document: DiagnosisDocument } | Extract<Diagnosed, { ok: false }> {
  const made = diagnose(search, answer, budget);
  return made.ok ? { ok: true, document: diagnosisDocument(search.problem, made.diagnosis) } : made;
}

/** What looking for habits may spend for all sheets of a list. */
const SHEETS_BUDGET = 800_000;

/** The sheets of a list of answers, one for each code, in the order in which codes are first met. */
export function sheetDocument(
  rows: readonly AnswerRow[],
  searchFor: (problem: Problem) => Search,
): SheetDiagnosisDocument {
  const codes = [...new Set(rows.map(({ code }) => code))];
  const budget = new Budget(SHEETS_BUDGET);
  const learners = codes.map((code, k) => {
    const own = rows.filter((row) => row.code === code);
    const { cut, slips, items } = budget.share(1 / (codes.length - k), (part) =>
      diagnoseSheet(own, searchFor, part),
    );
    return { code, cut, slips, items: items.map(itemDocument) };
  });
  return { format: 'levee-sheet-diagnosis', version: 1, learners };
}

function itemDocument({ cause, ...item }: ItemVerdict) {
  const explanation = cause && cause.slips.map((slip) => addressText(slip));
  const ideas = [...new Set(cause?.slips.map(({ idea }) => idea))];
  return { ...item, explanation, ideas };
}

/** What a learner with habits makes of problems, as the open format. RangeError for one that the method does not accept. */
export function learnerDocument(
  method: Method,
  school: School,
  habits: readonly SlipHabit[],
  problems: readonly Problem[],
): LearnerDocument {
  return {
    format: 'levee-learner',
    version: 1,
    method: method.id,
    school,
    habits: habits.map(({ slip, where }) => (where === 'all' ? slip : `${slip}:${where}`)),
    papers: problems.map((problem) => {
      const { run, made } = workWithHabits(method, problem, { school, habits });
      return {
        problem: head(problem),
        answer: run.answer.toString(),
        right: run.answer.equals(run.total),
        made: made.map(addressText),
      };
    }),
  };
}
