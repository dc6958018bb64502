export { Exact } from './exact/exact.ts';
export { numeral, numeralText, numeralValue, wholeText, type Numeral } from './exact/numeral.ts';
export { failureText, type ProblemFailure } from './problem/failure.ts';
export { MAX_DIGITS } from './problem/grammar.ts';
export {
  problemText,
  problemValue,
  productProblem,
  readProblem,
  type Problem,
  type ReadProblem,
} from './problem/problem.ts';
export { readExpression, type ReadExpression } from './problem/read-expression.ts';
export { expressionTex } from './problem/expression-tex.ts';
export { estimateOf, proposedOperands, roundings } from './problem/estimate.ts';
export type {
  Entry,
  EntryId,
  Given,
  Group,
  Law,
  Mark,
  Opportunity,
  OwedEntry,
  Phrase,
  School,
  SlipRequest,
  Step,
  Trace,
} from './account/account.ts';
export { audit, type AuditFault } from './account/audit.ts';
export { TermSet, TermSpace } from './account/terms.ts';
export {
  hasOpportunity,
  refusalText,
  resolveSchool,
  schoolFailureText,
  type Method,
  type SchoolSpec,
} from './methods/method.ts';
export { registry } from './methods/index.ts';
export type { Registry } from './methods/registry.ts';
export {
  phrasePieces,
  sayMarked,
  sayPlain,
  type PhrasePiece,
  type Voice,
} from './phrases/phrasebook.ts';
export { Speaker } from './phrases/speaker.ts';
export {
  decodeVocabulary,
  DEFAULT_VOCABULARY,
  VOCABULARY,
  type Vocabulary,
  type VocabularyKey,
} from './phrases/vocabulary.ts';
export type { Box, Ruling, Sheet } from './sheet/sheet.ts';
export { drawSheet, type Drawing, type Figure } from './sheet/drawing.ts';
export { sheetSvg } from './sheet/svg-sink.ts';
export { sheetText } from './sheet/text-sink.ts';
export { marksById, markState, timeline, type MarkState, type Timeline } from './sheet/visible.ts';
export { areaTotals, type AreaTotals } from './ground/area-totals.ts';
export { areaGround, type AreaGround } from './ground/area.ts';
export { compare, type Choice, type Comparison, type Lane } from './compare/compare.ts';
export { stepLabels } from './compare/step-labels.ts';
export { nextStop, previousStop } from './compare/stops.ts';
export {
  isOneNumber,
  pointAt,
  sameAmounts,
  type Counterpart,
  type Pointed,
  type Relation,
  type SameAmount,
  type Subject,
} from './compare/amounts.ts';
export { levels, shareOf, type Level } from './compare/levels.ts';
export { cost, type Cost } from './compare/cost.ts';
export {
  agreement,
  type Agreement,
  type Expression as SumExpression,
  type MethodAgreement,
  type Move,
} from './compare/agreement.ts';
export {
  agreementLatex,
  agreementMarkdown,
  amountText,
  expressionLine,
  LAW_LABELS,
  LAW_NAMES,
  movesLatex,
  notationOf,
  sumTex,
  texText,
  type Notation,
} from './compare/agreement-export.ts';
export { verifyAgreement, type Verification } from './compare/verify-agreement.ts';
export { traceDocument, type TraceDocument } from './formats/trace-document.ts';
export { traceMarkdown } from './formats/trace-markdown.ts';
export { comparisonReport, type ComparisonReport } from './formats/comparison-report.ts';
export {
  choicesOf,
  decodeComparison,
  JUDGEMENTS,
  MAX_PAPERS,
  PACES,
  TEXT_LIMITS,
  type ComparisonDocument,
  type DecodedComparison,
  type EstimateRecord,
  type Judgement,
  type Pace,
  type PaperChoice,
} from './formats/comparison-document.ts';
