export { rowOf } from './account/row-of.ts';
export { Exact } from './exact/exact.ts';
export { inNotation, onPaper, PLAIN_NOTATION, ungrouped, type Notation } from './exact/notation.ts';
export { mixedNumeral, numberText, numeral, numeralText, numeralValue } from './exact/numeral.ts';
export { failureText } from './problem/failure.ts';
export { benchFailure, comparingFailure } from './problem/limits.ts';
export { LIMITS } from './problem/bounds.ts';
export {
  inBase,
  makeProblem,
  productProblem,
  operandName,
  problemSign,
  problemText,
  readProblem,
  canSwap,
  isTaken,
  type Beside,
  type Problem,
} from './problem/problem.ts';

export { PROBLEM_KINDS, termShape, type ProblemKind } from './problem/kinds.ts';
export { readExpression } from './problem/read-expression.ts';
export { contextWarnings, contextWarningText } from './problem/context.ts';
export { evaluate } from './problem/evaluate.ts';
export { asBrackets, asFigures, bridgeLetter, bridgeRows } from './problem/bridge.ts';
export { substitutionOf, substitutionText } from './problem/substitution.ts';
export { letterRuns } from './sheet/drawing.ts';
export { isLinkShown } from './sheet/sheet.ts';
export { notationFor } from './phrases/speaker.ts';
export { raised, raisedNumber, termText } from './exact/terms-text.ts';
export { type SquareGround, type SquarePart } from './ground/square.ts';
export { type KindsGround } from './ground/kinds.ts';
export { amountWriter, scriptOf, type Script } from './problem/script.ts';
export { sortNamed, sortOf } from './problem/sorts/sorts.ts';
export { scaleOf, type Scale } from './problem/scale.ts';
export {
  addressText,
  currentSlip,
  readAddress,
  readWhere,
  whereText,
  WRONG_FACT,
  type Addressed,
  type Feature,
  type Where,
} from './account/chance.ts';
export { structureOf, type Structure } from './problem/structure.ts';
export { answerUnit, unitFaultText } from './problem/units.ts';
export { findingText } from './problem/structure-text.ts';
export { expressionTex } from './problem/expression-tex.ts';
export { estimateOf, canBeRounded, proposedOperands, roundings } from './problem/estimate.ts';
export type {
  EntryId,
  Given,
  Group,
  Law,
  Mark,
  OwedEntry,
  School,
  SlipRequest,
  Step,
  Trace,
} from './account/account.ts';
export { answerText } from './account/answer-text.ts';
export { rootOf } from './account/root.ts';
export { owedEntries } from './account/owed.ts';
export { audit } from './laws/audit.ts';
export { TermSet } from './account/terms.ts';
export { PieceSpace, ProductSpace, SumSpace } from './account/spaces.ts';
export { Surd } from './exact/surd.ts';
export {
  hasOpportunity,
  mostTelling,
  refusalText,
  resolveSchool,
  schoolFailureText,
  schoolsOf,
  type HopVerdict,
  type Method,
  type Refusal,
  type SchoolSpec,
} from './methods/method.ts';
export { registry } from './methods/index.ts';
export { phrasePieces, sayMarked, sayPlain, type Voice } from './phrases/phrasebook.ts';
export { Speaker, speakerFor } from './phrases/speaker.ts';
export {
  decodeVocabulary,
  DEFAULT_VOCABULARY,
  VOCABULARY,
  type Vocabulary,
  type VocabularyKey,
} from './phrases/vocabulary.ts';
export { type Box, type Sheet } from './sheet/sheet.ts';
export { drawSheet, type Drawing } from './sheet/drawing.ts';
export {
  figuresMarkup,
  linksMarkup,
  notesMarkup,
  rulingsMarkup,
  signsMarkup,
  slotsMarkup,
} from './sheet/markup.ts';
export { screenBrush, type Brush } from './sheet/brush.ts';
export {
  framedClass,
  framedEdges,
  framedTextures,
  MOST_FRAMED,
  type Framed,
} from './sheet/framed.ts';
export { sheetSvg } from './sheet/svg-sink.ts';
export { sheetText } from './sheet/text-sink.ts';
export { allEntries } from './account/owed.ts';
export { onPages, type OnPages } from './sheet/page-parts.ts';
export { paperRows } from './sheet/rows.ts';
export { givenState, markState, timeline, type Timeline } from './sheet/visible.ts';
export { blockPlaces, blocksAt, type BlockRun } from './ground/blocks.ts';
export { lineAt, type LineHop, type LineSegment } from './ground/line.ts';
export { areaTotals, type AreaTotals } from './ground/area-totals.ts';
export { type AreaGround } from './ground/area.ts';
export { compare, workOfChoice, type Choice } from './compare/compare.ts';
export { type Comparison } from './compare/comparison.ts';
export { type Lane } from './compare/comparison.ts';
export { stepLabels } from './compare/looked-at.ts';
export { dealtSteps, areTogether, nextStop, previousStop } from './compare/stops.ts';
export {
  isOneNumber,
  pointAt,
  sameAmounts,
  type Counterpart,
  type Pointed,
  type Subject,
} from './compare/amounts.ts';
export { levels, shareOf, type Level } from './compare/counted/levels.ts';
export { certainties } from './compare/looked-at.ts';
export { foresee } from './compare/looked-at.ts';
export { type Foresight } from './compare/counted/foresight.ts';
export { checkOf, checks } from './checks/index.ts';
export { directions, directionText, type Direction } from './checks/direction-check.ts';
export { certainText } from './checks/leading-figures-check.ts';
export { reachOf } from './checks/reach.ts';
export type { CheckFinding, CheckId, CheckSpec, CheckSubject, Outcome } from './checks/check.ts';
export { cost, type Cost } from './compare/counted/cost.ts';
export { agreement } from './compare/certificate/agreement.ts';
export type { Agreement } from './compare/certificate/agreement-shape.ts';
export { leavesOf } from './compare/expressions.ts';
export { differingCuts, reasonsOf, type Reasons } from './compare/certificate/reasons.ts';
export type { Expression as SumExpression, MethodAgreement, Move } from './compare/expressions.ts';
export {
  commonText,
  leakText,
  UNFINISHED,
  amountText,
  expressionLine,
  squaredTex,
  valueText,
  lawName,
  LAW_LABELS,
  movesLatex,
  reasonsLatex,
  reasonsMarkdown,
  termTextsOf,
  sumTex,
  texText,
  type TermTexts,
} from './compare/certificate/agreement-export.ts';
export { verifyAgreement, type Verification } from './compare/certificate/verify-agreement.ts';
export { CERTIFICATE_NOT_CHECKED } from './compare/certificate/certificate-claims.ts';
export { traceDocument } from './formats/trace-document.ts';
export { traceMarkdown } from './formats/trace-markdown.ts';
export { comparisonReport } from './formats/comparison-report.ts';
export { methodsDocument } from './formats/methods-document.ts';
export { DOCUMENTS, schemaFile } from './formats/documents.ts';
export { jsonSchemaOf, type Read, type ReadFault } from './describe/describe.ts';
export { choicesOf } from './formats/choices.ts';
export {
  COVERS,
  FRESH_ROOM,
  ROOM_PARTS,
  type Cover,
  type Room,
  type RoomPart,
} from './formats/room.ts';
export { titleWith } from './formats/title-with.ts';
export { decodeComparison, readComparison } from './formats/comparison-document.ts';
export {
  JUDGEMENTS,
  MAX_CHECKS,
  MAX_EARLIER,
  MAX_PAPERS,
  MAX_TAGS,
  TEXT_LIMITS,
  type Pace,
} from './formats/comparison-limits.ts';
export {
  COMPARISON,
  type CheckRecord,
  type ComparisonDocument,
  type EstimateRecord,
  type PaperChoice,
  type PaperId,
  type PaperWork,
} from './formats/comparison-shape.ts';
export { COMPARISON_FORMAT, freshComparison } from './formats/fresh-comparison.ts';
export { decodeAgreement } from './formats/agreement-document.ts';
export { watchTraces } from './methods/watch.ts';
export { auditDocument } from './formats/trace-audit.ts';
export { TRACE_NOT_CHECKED } from './formats/trace-claims.ts';
export { LAW_TABLE } from './laws/table.ts';
export { groundOf, type Ground, type LineGround } from './ground/ground.ts';
export { Budget } from './diagnose/budget.ts';
export { Search, SEARCH_BUDGET } from './diagnose/search.ts';
export { diagnose, type Diagnosis, type Explanation } from './diagnose/diagnose.ts';
export { answerFaultText, readAnswer } from './diagnose/answer.ts';
export { isCode, MAX_ROWS, readRows, type AnswerRow, type ReadRows } from './diagnose/rows.ts';
export { diagnosedDocument, learnerDocument, sheetDocument } from './formats/diagnosis-document.ts';
export { FEATURES } from './account/chance.ts';
export { isWrongCopy, wrongCopies, type WrongCopy } from './slips/copies.ts';
export { linesForAll, wholeItems, type WholeItem } from './diagnose/whole-item.ts';
export { workWithHabits, type Habit, type SlipHabit } from './habits/habits.ts';
export { SLIP_IDEAS, slipIdea } from './slips/catalogue.ts';
export { methodsFor } from './diagnose/works.ts';
export { ClassSimulation, type Loss, type PaperResult } from './classroom/simulation.ts';
export { usualRates, type Rates, type SlipRate } from './classroom/rates.ts';
export { observedSlips, type Observed } from './classroom/observed.ts';
export { habitSheet, type HabitItem, type HabitSheet } from './habits/habit-sheet.ts';
export { factErrors } from './slips/fact-errors.ts';
export { problemValue } from './problem/problem.ts';
export { tellApart, type Suspect } from './diagnose/tell-apart.ts';
export {
  readPaper,
  squareName,
  type MarkStanding,
  type PaperReading,
} from './diagnose/read-paper.ts';
export { readComputation } from './problem/computation.ts';
export { nameOfMethod, shortNameOfMethod } from './methods/names.ts';
export { OWN_LINES } from './account/own-lines.ts';
export { OWN_LINES_NAME } from './account/own-lines.ts';
export { methodOfPaper } from './formats/choices.ts';
export { judgedLines, ownLinesMethod } from './own/paper/method.ts';
export {
  isOwnLines,
  isAwaiting,
  knownLinesMethod,
  unjudgedLinesMethod,
  waitingLinesMethod,
  type KnownLines,
  type OwnLinesMethod,
} from './own/paper/lines-method.ts';
export {
  isCounted,
  NO_LINES,
  OWN_LIMITS,
  workOf,
  type OwnLine,
  type OwnWork,
} from './own/paper/own-work.ts';
export { lineBands, type LineBand } from './own/paper/own-sheet.ts';
export { stripsBeyond, type StripBeyond } from './ground/area-beyond.ts';
export { nearestMethod } from './own/paper/nearest-method.ts';
export { briefOf } from './own/say/says.ts';
export { offersFor, typedLine, type Offer } from './own/paper/offers.ts';
export { displayed } from './own/say/displayed.ts';
export { amountsOf, readAsked, type Asked } from './own/read/asked.ts';
export { lineSlip, wrongWorking } from './own/paper/line-slip.ts';
export { judgeLines } from './own/judge/judge-lines.ts';
export type { JudgedPaper } from './own/judge/judged-paper.ts';
export type { JudgedLine, Reading, Verdict } from './own/judge/judged.ts';
export { quietSaysOf, saysOf } from './own/say/says.ts';
export { FALSE_RULES } from './own/judge/mistakes/table.ts';
export { linesDocument } from './formats/lines-document.ts';
export { type OwnLinesDocument } from './formats/lines-shape.ts';
export { waysFor } from './own/ways/ways.ts';
export { wayOf } from './own/lettered/way.ts';
export { type LetteredWay } from './own/lettered/lettered-way.ts';
export { layOn, type Laid } from './own/lettered/lay.ts';
export { readRule, ruleSays } from './own/lettered/rule-text.ts';
export { conditionSays, readCondition } from './own/lettered/conditions.ts';
export { choicesFor, suggestedFor, withRule } from './own/lettered/choices.ts';
export { readWay, wayDocument } from './formats/way-document.ts';
export { waysDocument } from './formats/ways-document.ts';
export { looksLikeName } from './own/read/like-a-name.ts';
export { decodeReport, REPORT_NOT_CHECKED, verifyReport } from './formats/report-claims.ts';
export {
  fitOf,
  inRoom,
  measured,
  ON_BENCH,
  USUAL_VIEW,
  type Fit,
  type Legible,
} from './sheet/fit.ts';
export { answerAlso, type AnswerAlso } from './account/answer-also.ts';
