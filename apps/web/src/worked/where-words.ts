import {
  operandName,
  readWhere,
  type Addressed,
  type Problem,
  type Speaker,
  type Trace,
} from '@levee/core';

const NUMBERS = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth'];

/** Where a slip is made, in a few words: `line 2, tens`, `40 × 50`, `hundreds`. */
export function whereWords(
  { at: where }: Pick<Addressed, 'at'>,
  trace: Trace,
  say: Speaker,
): string {
  const { at, stage } = where;
  const [first = 0, second] = at;
  const before = stage === undefined ? '' : `stage ${stage + 1}, `;
  const inPlace = second === undefined ? '' : `, ${say.places(second)}`;
  switch (where.what) {
    case 'operand':
      return `${before}${nameOf(trace.problem, first)}${inPlace}`;
    case 'place':
      return `${before}${say.places(first)}`;
    case 'line':
    case 'row':
      return `${before}${where.what} ${first + 1}${inPlace}`;
    case 'cell':
      return `${before}${termText(trace, at) ?? `cell ${at.map((n) => n + 1).join('.')}`}`;
    case 'diagonal':
      return `${before}diagonal of the ${say.places(first)}`;
    case 'term':
      return `${before}${termText(trace, at) ?? `term ${first + 1}`}`;
    case 'hop':
    case 'chunk':
    case 'stage':
      return `${before}${where.what} ${first + 1}`;
    case 'answer':
      return `${before}all of it`;
  }
}

function nameOf(problem: Problem, operand: number): string {
  const name = operandName(problem.kind, operand);
  const isOnly = problem.operands.every(
    (_, k) => k === operand || operandName(problem.kind, k) !== name,
  );
  return isOnly ? name : `${NUMBERS[operand] ?? `${operand + 1}.`} ${name}`;
}

function termText({ space }: Trace, at: readonly number[]): string | null {
  const index = space.find(at.join('.'));
  return index === null ? null : space.text(index);
}

/** The same from an address as a text; empty for one that cannot be read. */
export function addressWords(text: string, trace: Trace, say: Speaker): string {
  const [, place = ''] = text.split('@');
  const at = readWhere(place.split('=')[0] ?? '');
  return at ? whereWords({ at }, trace, say) : '';
}
