import {
  leavesOf,
  sumTex,
  squaredTex,
  termTextsOf,
  texText,
  type Agreement,
  type Law,
  type MethodAgreement,
  type Notation,
  type SumExpression,
  type TermTexts,
} from '@levee/core';

/** A line of a method as it is typeset. */
export interface MoveLine {
  readonly law: Law;
  /** How many amounts and terms stand in it. */
  readonly size: number;
  /** The whole line, or only what changes in it with what stands around that. */
  readonly tex: (whole: boolean) => string;
}

/** Most amounts and terms of a line that is told whole at once. */
export const MOST_TOLD = 24;
/** Of a longer line: the first and the last parts, and as many of those that are new in it. */
const [FIRST, LAST, NEW] = [3, 2, 8];

/** The moves of a method as typeset lines; the first begins with the problem itself. Nothing is typeset before it is asked for. */
export function moveLines(
  { moves }: MethodAgreement,
  certificate: Agreement,
  notation: Notation,
): readonly MoveLine[] {
  const texts = termTextsOf(certificate);
  const asked = texText(certificate.problem, notation);
  const problem = certificate.kind === 'root' ? squaredTex(asked) : asked;
  return moves.map(({ expression, law }, i) => ({
    law,
    size: leavesOf(expression).length,
    tex: (whole) => {
      const line = whole
        ? sumTex(expression, texts, notation)
        : shortTex(expression, partsIn(moves[i - 1]?.expression), (part) =>
            texOf(part, texts, notation),
          );
      return `${i === 0 && (whole || problem.length < 120) ? problem : ''} = ${line}`;
    },
  }));
}

function texOf(part: SumExpression, texts: TermTexts, notation: Notation): string {
  return sumTex(part, texts, notation);
}

/** Everything that stands in a line, brackets and what is in them, as it is told apart. */
function partsIn(expression: SumExpression | undefined): ReadonlySet<string> {
  const known = new Set<string>();
  const look = (one: SumExpression) => {
    known.add(JSON.stringify(one));
    if (one.kind === 'sum') one.parts.forEach(look);
  };
  if (expression) look(expression);
  return known;
}

/** A long sum by its ends and by what was not in the line before; dots stand for the rest. */
function shortTex(
  expression: SumExpression,
  before: ReadonlySet<string>,
  texOfPart: (part: SumExpression) => string,
): string {
  if (expression.kind !== 'sum' || leavesOf(expression).length <= MOST_TOLD) {
    return texOfPart(expression);
  }
  const { parts } = expression;
  const fresh = parts.flatMap((part, k) => (before.has(JSON.stringify(part)) ? [] : [k]));
  const isNew = new Set(before.size === 0 ? [] : fresh.slice(0, NEW));
  const kept = parts.flatMap((_, k) =>
    k < FIRST || k >= parts.length - LAST || isNew.has(k) ? [k] : [],
  );
  let line = '';
  kept.forEach((k, n) => {
    const part = parts[k]!;
    const inner = shortTex(part, before, texOfPart);
    const told = part.kind === 'sum' ? `(${inner})` : inner;
    if (n > 0 && k > kept[n - 1]! + 1) line += ' + \\cdots';
    if (n === 0) line = told;
    else line += /^[-−]/.test(told) ? ` - ${told.slice(1)}` : ` + ${told}`;
  });
  return line;
}
