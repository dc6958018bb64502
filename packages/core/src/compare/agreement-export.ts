import type { Law } from '../account/account.ts';
import { Exact } from '../exact/exact.ts';
import { inNotation, pointTex, timesTex, type Notation } from '../exact/notation.ts';
import { fractionText, numberText } from '../exact/numeral.ts';
import type { Agreement, Expression, Move } from './agreement.ts';

/** Each law in a few words, for people. */
export const LAW_NAMES: Record<Law, string> = {
  'place-value': 'place value: ten of one place is one of the next',
  distribute: 'distributive law',
  reorder: 'order and brackets of a sum are free',
  evaluate: 'working out',
  'same-change': 'the same change to both',
  'scale-both': 'the same scaling of both',
  inverse: 'inverse operation',
  sign: 'rule of signs',
  square: 'square of a sum',
  'like-terms': 'like terms gathered',
  'pair-factors': 'equal factors in pairs',
};

/** The same two laws as fractions have them. */
const PART_LAW_NAMES: Partial<Record<Law, string>> = {
  'place-value': 'a mixed number is a whole and a part',
  'scale-both': 'n/n is one: both numbers of a fraction scaled alike',
};

/** A law in a few words, as a certificate's numbers have it. */
export function lawName(
  law: Law,
  certificate: { readonly operands: readonly { readonly text: string }[] },
): string {
  return (isOfFractions(certificate) ? PART_LAW_NAMES[law] : undefined) ?? LAW_NAMES[law];
}

/** Shorter names, for narrow screens. */
export const LAW_LABELS: Record<Law, string> = {
  'place-value': 'place value',
  distribute: 'distribute',
  reorder: 'reorder',
  evaluate: 'work out',
  'same-change': 'same change',
  'scale-both': 'scale both',
  inverse: 'inverse',
  sign: 'signs',
  square: 'square of a sum',
  'like-terms': 'like terms',
  'pair-factors': 'pair factors',
};

export interface ExportNames {
  /** The name of a method id. */
  readonly method: (id: string) => string;
  readonly notation: Notation;
}

/** What is needed to write an expression: the terms' own texts and the base of the figures. */
export interface TermTexts {
  readonly terms: ReadonlyMap<string, string>;
  readonly base: number;
  /** Whether amounts are written as fractions, whatever their figures. */
  readonly fractions: boolean;
}

export function termTextsOf(certificate: Agreement): TermTexts {
  const { terms, base } = certificate;
  const fractions = isOfFractions(certificate);
  return { terms: new Map(terms.map((term) => [term.id, term.text])), base, fractions };
}

/** Whether a certificate is one of fractions. */
export function isOfFractions({
  operands,
}: {
  readonly operands: readonly { readonly text: string }[];
}): boolean {
  return operands.some(({ text }) => text.includes('/'));
}

/** An amount of a certificate as its problem writes amounts: in figures of its base, or as a fraction. */
export function amountText(worth: string, base: number, fractions = false): string {
  const amount = Exact.parse(worth);
  return fractions ? amount.toString().replace('-', '−') : numberText(amount, base);
}

/** The expression as one line of text, inner sums in brackets. */
export function expressionLine(
  expression: Expression,
  texts: TermTexts,
  notation: Notation,
): string {
  const line = render(expression, texts, (text) => text.replaceAll('×', ' × '), true);
  return inNotation(line, notation);
}

function render(
  expression: Expression,
  texts: TermTexts,
  product: (text: string) => string,
  outer: boolean,
): string {
  if (expression.kind === 'product') {
    return product(expression.scaled ?? texts.terms.get(expression.term) ?? expression.term);
  }
  if (expression.kind === 'amount') {
    return expression.scaled ?? amountText(expression.worth, texts.base, texts.fractions);
  }
  if (expression.parts.length === 0) return '0';
  const parts = expression.parts.map((part) => render(part, texts, product, false));
  const takenAway = parts.length > 1 && parts.every((part) => part.startsWith('−'));
  if (takenAway && !outer) return `−(${parts.map((part) => part.slice(1)).join(' + ')})`;
  const inner = parts.reduce((line, part) =>
    part.startsWith('−') ? `${line} − ${part.slice(1)}` : `${line} + ${part}`,
  );
  return outer ? inner : `(${inner})`;
}

/** The agreement as a Markdown document: a section a method, a table row a move. */
export function agreementMarkdown(agreement: Agreement, { method, notation }: ExportNames): string {
  const texts = termTextsOf(agreement);
  const sections = agreement.methods.map(({ method: id, moves }) =>
    [
      `## ${method(id)}`,
      '',
      '| | line | law |',
      '|---|---|---|',
      ...moves.map(
        ({ expression, law }) =>
          `| = | ${expressionLine(expression, texts, notation)} | ${lawName(law, agreement)} |`,
      ),
    ].join('\n'),
  );
  const { problem, value, base } = agreement;
  const made = texts.fractions ? fractionText(Exact.parse(value)) : amountText(value, base);
  const equation = inNotation(`${problem} = ${made}`, notation);
  return [
    `# Why the methods agree: ${equation}`,
    ...sections,
    inNotation(closing(agreement), notation),
    '',
  ].join('\n\n');
}

function closing(certificate: Agreement): string {
  const { terms, operands, base, kind } = certificate;
  const fractions = isOfFractions(certificate);
  const signs = { product: '', sum: ' + ', difference: ' − ', quotient: ' ÷ ' } as const;
  const cut = operands
    .map(({ parts }) => `(${expanded(parts, base, fractions).join(' + ')})`)
    .join(signs[kind]);
  const count = terms.length === 1 ? 'the one term' : `the same ${terms.length} terms`;
  return `Every method deals with ${count} of ${cut}; only brackets and order differ.`;
}

/** An operand's parts as they are written: largest first, without zeros. */
function expanded(parts: readonly string[], base: number, fractions: boolean): readonly string[] {
  const shown = parts
    .filter((part) => part !== '0')
    .map((part) => amountText(part, base, fractions))
    .reverse();
  return shown.length > 0 ? shown : ['0'];
}

/** A product in braces; one with a minus of its own keeps it in front. */
function texTerm(notation: Notation) {
  return (text: string) =>
    text.startsWith('−')
      ? `−{${texText(text.slice(1), notation)}}`
      : `{${texText(text, notation)}}`;
}

/** An expression of a certificate as LaTeX mathematics. */
export function sumTex(expression: Expression, texts: TermTexts, notation: Notation): string {
  const line = render(expression, texts, texTerm(notation), true);
  return pointTex(fractionsTex(line.replaceAll('−', '-')), notation);
}

/** Fractions of a line that are not typeset yet. */
function fractionsTex(line: string): string {
  return line.replaceAll(/(?<![\d{])(\d+)\/(\d+)/g, '\\tfrac{$1}{$2}');
}

/** A problem or a term in the problem language as LaTeX mathematics. */
export function texText(text: string, notation: Notation): string {
  return pointTex(text, notation)
    .replaceAll(/\s*[×·]\s*/g, ` ${timesTex(notation)} `)
    .replaceAll(/\s*÷\s*/g, ' \\div ')
    .replaceAll('−', '-')
    .replaceAll(/(\d+) (\d+)\/(\d+)/g, '$1\\tfrac{$2}{$3}')
    .replaceAll(/(?<![\d{])(\d+)\/(\d+)/g, '\\tfrac{$1}{$2}')
    .replaceAll(/_(\d+)/g, '_{$1}');
}

/** The moves of one method as LaTeX: an aligned display that needs amsmath. */
export function movesLatex(
  problem: string,
  moves: readonly Move[],
  texts: TermTexts,
  notation: Notation,
): string {
  const lines = moves.map(
    ({ expression, law }) =>
      `  &= ${sumTex(expression, texts, notation)} && \\text{${texts.fractions ? (PART_LAW_NAMES[law] ?? LAW_NAMES[law]) : LAW_NAMES[law]}}`,
  );
  const [first = '', ...rest] = lines;
  const opening = `  ${texText(problem, notation)} ${first.trim()}`;
  return ['\\begin{aligned}', [opening, ...rest].join(' \\\\\n'), '\\end{aligned}'].join('\n');
}

/** The agreement as a LaTeX fragment: a display a method. */
export function agreementLatex(agreement: Agreement, { method, notation }: ExportNames): string {
  const texts = termTextsOf(agreement);
  const sections = agreement.methods.map(
    ({ method: id, moves }) =>
      `\\paragraph{${method(id)}}\n\\[\n${movesLatex(agreement.problem, moves, texts, notation)}\n\\]`,
  );
  return [
    '% needs \\usepackage{amsmath}',
    ...sections,
    inNotation(closing(agreement), notation),
    '',
  ].join('\n\n');
}
