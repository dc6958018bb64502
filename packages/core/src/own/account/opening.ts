import type { Entry, Trace } from '../../account/account.ts';
import type { Part } from '../../account/cut.ts';
import { Scribe } from '../../account/scribe.ts';
import { choices, PieceSpace } from '../../account/spaces.ts';
import { TermSet } from '../../account/terms.ts';
import { numeralText, numeralValue, type Numeral } from '../../exact/numeral.ts';
import { OWN_LINES } from '../../account/own-lines.ts';
import { termsCut } from '../../account/cut.ts';
import { termShape } from '../../problem/kinds.ts';
import type { Problem } from '../../problem/problem.ts';
import { scriptOf } from '../../problem/script.ts';
import { displayed } from '../say/displayed.ts';
import { ownPhrase } from './phrases.ts';

/** The account of a problem on which nothing is worked yet: all of it owed in as few pieces as it is written in. */
export function traceOfNoLines(problem: Problem): Trace {
  const scribe = new Scribe({ problem, method: OWN_LINES, school: {} });
  return {
    ...scribe.close(opened(scribe, problem), ownPhrase('own.answer', {})),
    isUnfinished: true,
  };
}

/** All of the problem, owed in as few pieces as it is written in. */
export function opened(scribe: Scribe, problem: Problem): readonly Entry[] {
  const cuts = cutsOf(problem);
  const shape = termShape(problem.kind);
  if (shape === 'pieces') return openPiece(scribe, problem, cuts);
  if (shape === 'products') scribe.open(cuts);
  else scribe.openSum(cuts);
  giveWholes(scribe, problem);
  return termsIn(problem, cuts).map((parts) => scribe.owes(...parts));
}

/** The numbers of a problem, each in one piece; brackets in their terms. */
export function cutsOf(problem: Problem): readonly (readonly Part[])[] {
  return problem.operands.map((operand) => pieceOf(operand, problem));
}

/** Part indices of every term of a product, or of every part of the numbers of a sum. */
export function termsIn(
  { kind }: Problem,
  cuts: readonly (readonly Part[])[],
): readonly (readonly number[])[] {
  const numbers = cuts.map((parts) => parts.map((_, k) => k));
  return termShape(kind) === 'products'
    ? choices(numbers)
    : numbers.flatMap((parts, operand) => parts.map((part) => [operand, part]));
}

/** The numbers of the question as they stand over the lines. */
export function giveWholes(scribe: Scribe, problem: Problem): void {
  problem.operands.forEach((operand, column) => {
    const looks = looksOf(operand, problem).replace(/^−/, column > 0 ? '− ' : '−');
    scribe.giveWhole(column, { area: 'question', row: 0, column }, looks);
  });
}

/** A number in one piece; a bracket in its terms, as all papers cut it. */
function pieceOf(operand: Numeral, problem: Problem): readonly Part[] {
  if (problem.kind === 'expression') {
    return [{ worth: numeralValue(operand), text: problem.text, place: undefined }];
  }
  if (scriptOf(problem) === 'terms') return termsCut(operand);
  return [{ worth: numeralValue(operand), text: numeralText(operand), place: undefined }];
}

/** A number of the question as it stands there: a bracket in brackets, a number under its root. */
function looksOf(operand: Numeral, problem: Problem): string {
  const { kind } = problem;
  if (kind === 'expression') return displayed(problem.text);
  const text = displayed(numeralText(operand));
  if (kind === 'root') return `√${text}`;
  return (operand.terms?.list.length ?? 1) > 1 ? `(${text})` : text;
}

function openPiece(
  scribe: Scribe,
  problem: Problem,
  cuts: readonly (readonly Part[])[],
): readonly Entry[] {
  const [number, by] = cuts.map(([only]) => only);
  const space = new PieceSpace(cuts);
  const terms = TermSet.run(space, 0, 1);
  const text = by ? `${number!.text}÷${by.text}` : number!.text;
  const owed = scribe.openShares(space, [{ text, worth: space.worthOf([0]), terms }]);
  problem.operands.forEach((operand, column) => {
    const own = numeralText(operand);
    scribe.giveFigure({
      text: own,
      glyph: looksOf(operand, problem),
      worth: numeralValue(operand),
      terms,
      role: 'operand part',
      spot: { area: 'question', row: 0, column },
      operand: column,
      place: undefined,
      owed: null,
    });
  });
  return owed;
}
