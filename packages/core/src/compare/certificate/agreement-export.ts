import { plainNumber, RAISED_RUN } from '../../exact/terms-text.ts';
import type { Law } from '../../account/account.ts';
import { Exact } from '../../exact/exact.ts';
import {
  inNotation,
  pointTex,
  timesTex,
  type Notation,
  withCoefficients,
} from '../../exact/notation.ts';
import { numberText } from '../../exact/numeral.ts';
import { lettersText, raised } from '../../exact/terms-text.ts';
import type { ProblemKind } from '../../problem/kinds.ts';
import { writeAmount, type Script } from '../../problem/script.ts';
import type { Agreement } from './agreement-shape.ts';
import type { LaidBeyond } from '../laid-beyond.ts';
import { differingCuts, type Reasons } from './reasons.ts';
import type { Expression, MethodAgreement, Move } from '../expressions.ts';

/** Each law in a few words, for people. */
const LAW_NAMES: Record<Law, string> = {
  'place-value': 'place value: ten of one place is one of the next',
  distribute: 'distributive law',
  reorder: 'order and brackets of a sum are free',
  evaluate: 'working out',
  'same-change': 'the same change to both',
  'scale-both': 'the same scaling of both',
  inverse: 'inverse operation',
  sign: 'rule of signs',
  square: 'square of a sum',
  'like-terms': 'like terms together',
  'pair-factors': 'equal factors in pairs',
  unnamed: 'equal by working out both sides',
};

/** The same laws as they are called where numbers are written in other ways. */
const SCRIPT_LAW_NAMES: Record<Script, Partial<Record<Law, string>>> = {
  figures: {},
  fractions: {
    'place-value': 'a mixed number is a whole and a part',
    'scale-both': 'n/n is one: both numbers of a fraction scaled alike',
  },
  terms: {
    'place-value': 'an expression is the sum of its terms',
  },
};

/** A law in a few words, as it is called for numbers of a script. */
export function lawName(
  law: Law,
  { script, kind }: { readonly script: Script; readonly kind?: ProblemKind },
): string {
  if (kind === 'root' && law === 'place-value') return 'a number is the sum of its pieces';
  return SCRIPT_LAW_NAMES[script][law] ?? LAW_NAMES[law];
}

/** The signs in which a certificate is written; a times sign between terms is a dot, as × is a letter there. */
function signsOf({ script }: Pick<TermTexts, 'script'>, notation: Notation): Notation {
  return script === 'terms' ? { ...notation, times: '·' } : notation;
}

/** Shorter names, for narrow screens. */
export const LAW_LABELS: Record<Law, string> = {
  'place-value': 'place value',
  distribute: 'the distributive law',
  reorder: 'another order',
  evaluate: 'working out',
  'same-change': 'the same change',
  'scale-both': 'scaling both numbers',
  inverse: 'the inverse',
  sign: 'the rule of signs',
  square: 'square of a sum',
  'like-terms': 'like terms',
  'pair-factors': 'factors in pairs',
  unnamed: 'working out both sides',
};

export interface ExportNames {
  /** The name of a method id. */
  readonly method: (id: string) => string;
  readonly notation: Notation;
}

/** What is needed to write an expression: the terms' own texts, and how numbers are written. */
export interface TermTexts {
  readonly terms: ReadonlyMap<string, string>;
  readonly base: number;
  readonly script: Script;
  readonly kind: ProblemKind;
}

export function termTextsOf({ terms, base, script, kind }: Agreement): TermTexts {
  return { terms: new Map(terms.map((term) => [term.id, term.text])), base, script, kind };
}

/** An amount of a certificate as its moves write it: in figures of its base, as a fraction, or in terms. */
export function amountText(
  worth: string,
  { base, script }: Pick<TermTexts, 'base' | 'script'>,
): string {
  const amount = Exact.parse(worth);
  switch (script) {
    case 'figures':
      return numberText(amount, base);
    case 'fractions':
      return amount.toString().replace('-', '−');
    case 'terms':
      return lettersText(amount);
  }
}

/** The expression as one line of text, inner sums in brackets. */
export function expressionLine(
  expression: Expression,
  texts: TermTexts,
  notation: Notation,
): string {
  const line = render(expression, texts, (text) => text.replaceAll('×', ' × '), true);
  return inNotation(line, signsOf(texts, notation));
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
    return writtenOut(expression.scaled) ?? amountText(expression.worth, texts);
  }
  if (expression.parts.length === 0) return '0';
  const parts = expression.parts.map((part) => render(part, texts, product, false));
  const takenAway = parts.length > 1 && parts.every((part) => part.startsWith('−'));
  if (takenAway && !outer) return `−(${parts.map((part) => part.slice(1)).join(' + ')})`;
  const inner = joined(parts);
  return outer ? inner : `(${inner})`;
}

/** A text of the problem language with raised exponents, in the figures of its base. */
function writtenOut(scaled: string | undefined): string | undefined {
  return scaled === undefined
    ? undefined
    : raised(scaled.replaceAll('*', '·').replaceAll(/_\d+/g, ''));
}

/** The value of a certificate as its problem writes amounts; of a root the number under it. */
export function valueText({ value, base, script }: Agreement): string {
  return writeAmount(script, base, Exact.parse(value));
}

/** The problem with what its account holds: `46 × 58 = 2668`, and of a root `(√72)² = 72`. */
export function equationText(certificate: Agreement): string {
  const problem = raised(certificate.problem);
  const asked = certificate.kind === 'root' ? `(${problem})²` : problem;
  return `${asked} = ${valueText(certificate)}`;
}

/** The reasons as a Markdown document: a section a method in its own cut, a table row a move, then what is common. */
export function reasonsMarkdown(reasons: Reasons, { method, notation }: ExportNames): string {
  const { common } = reasons;
  const math = (text: string) => inNotation(text, notation);
  const sections = reasons.alone.map((own) => {
    const [{ method: id, title, moves, leak, unfinished }] = own.methods as readonly [
      MethodAgreement,
    ];
    const texts = termTextsOf(own);
    return [
      `## ${title ?? method(id)}`,
      '',
      '| | line | law |',
      '|---|---|---|',
      ...moves.map(
        ({ expression, law }) =>
          `| = | ${expressionLine(expression, texts, notation)} | ${lawName(law, own)} |`,
      ),
      ...(leak ? ['', leakText(leak, math)] : []),
      ...(unfinished && !leak ? ['', UNFINISHED] : []),
    ].join('\n');
  });
  return [
    `# ${common.methods.some(({ leak, unfinished }) => leak ?? unfinished) ? 'How far' : 'Why'} the methods agree: ${math(equationText(common))}`,
    ...sections,
    commonText(reasons, math),
    '',
  ].join('\n\n');
}

/** What is said of someone's own lines that have no answer yet. */
export const UNFINISHED = 'It stops before it has an answer; from there on nothing is claimed.';

/** `Step 3 loses 50; from there on it does not agree.` */
export function leakText(
  { step, amount }: NonNullable<MethodAgreement['leak']>,
  math: (text: string) => string,
): string {
  const isLess = amount.startsWith('-');
  const size = math(isLess ? amount.slice(1) : amount);
  return `Step ${step} ${isLess ? 'loses' : 'gains'} ${size}; from there on it does not agree.`;
}

/**
 * How the cuts of all methods meet: `The cuts meet in 46 = 32 + 8 + 4 + 2: every method deals with the same 8 terms.`
 * Mathematics goes through `math` where the text is not plain.
 */
export function commonText(reasons: Reasons, math: (text: string) => string): string {
  const beyond = reasons.beyond.map((own) => beyondText(own, math));
  return [cutsText(reasons, math), ...beyond].join(' ');
}

/** `Own lines: 92 is added and taken back.` */
function beyondText({ name, amount, isTaken }: LaidBeyond, math: (text: string) => string): string {
  return isTaken
    ? `${name}: ${math(amount)} is taken too much and given back.`
    : `${name}: ${math(amount)} is added and taken back.`;
}

function cutsText(reasons: Reasons, math: (text: string) => string): string {
  const { common } = reasons;
  const { terms, operands } = common;
  const count = terms.length === 1 ? 'the one term' : `the same ${terms.length} terms`;
  const told = (k: number) => {
    const { text, parts } = operands[k]!;
    return math(`${text} = ${expanded(parts, common)}`);
  };
  const cuts = differingCuts(reasons).map(told);
  if (reasons.alone.length < 2)
    return `It deals with ${terms.length === 1 ? 'one term' : `${terms.length} terms`}.`;
  if (cuts.length === 0) {
    return `All cut the numbers alike and deal with ${count}; only brackets and order differ.`;
  }
  return `The cuts meet in ${cuts.join(' and ')}: in these, every method deals with ${count}.`;
}

/** An operand's parts as they are written: largest first, without zeros. */
function expanded(parts: readonly string[], certificate: Agreement): string {
  const shown = parts
    .filter((part) => part !== '0')
    .map((part) => amountText(part, certificate))
    .reverse();
  return shown.length > 0 ? joined(shown) : '0';
}

/** Amounts with their signs, one after the other. */
function joined(parts: readonly string[]): string {
  return parts.reduce((line, part) =>
    part.startsWith('−') ? `${line} − ${part.slice(1)}` : `${line} + ${part}`,
  );
}

/** A product in braces; one with a minus of its own keeps it in front. */
function texTerm(texts: TermTexts, own: Notation) {
  const notation = signsOf(texts, own);
  return (text: string) =>
    text.startsWith('−') && !text.includes('×')
      ? `−{${texText(text.slice(1), notation)}}`
      : `{${texText(text, notation)}}`;
}

/** An expression of a certificate as LaTeX mathematics. */
export function sumTex(expression: Expression, texts: TermTexts, notation: Notation): string {
  const line = render(expression, texts, texTerm(texts, notation), true);
  const signs = line.replaceAll('−', '-').replaceAll('·', timesTex({ ...notation, times: '·' }));
  return pointTex(fractionsTex(raisedTex(withCoefficients(signs, notation))), notation);
}

/** Raised figures as exponents. */
function raisedTex(line: string): string {
  return line.replaceAll(RAISED_RUN, (run) => `^{${plainNumber(run)}}`);
}

/** Fractions of a line that are not typeset yet. */
function fractionsTex(line: string): string {
  return line.replaceAll(/(?<![\d{])(\d+)\/(\d+)/g, '\\tfrac{$1}{$2}');
}

/** A problem or a term in the problem language as LaTeX mathematics. */
export function texText(text: string, notation: Notation): string {
  return raisedTex(pointTex(text, notation))
    .replaceAll(/√([0-9.A-F]+)/g, '\\sqrt{$1}')
    .replaceAll(/\^(\d+)/g, '^{$1}')
    .replaceAll(/\s*[×·]\s*/g, ` ${timesTex(notation)} `)
    .replaceAll(/\s*÷\s*/g, ' \\div ')
    .replaceAll('−', '-')
    .replaceAll(/(?<!\d)(\d+) (\d+)\/(\d+)/g, '$1\\tfrac{$2}{$3}')
    .replaceAll(/(?<![\d{])(\d+)\/(\d+)/g, '\\tfrac{$1}{$2}')
    .replaceAll(/_(\d+)/g, '_{$1}');
}

/** The square of a root, which is the number that its account holds. */
export function squaredTex(root: string): string {
  return `\\left(${root}\\right)^{2}`;
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
      `  &= ${sumTex(expression, texts, notation)} && \\text{${lawName(law, texts)}}`,
  );
  const [first = '', ...rest] = lines;
  const asked = texText(problem, notation);
  const opening = `  ${texts.kind === 'root' ? squaredTex(asked) : asked} ${first.trim()}`;
  return ['\\begin{aligned}', [opening, ...rest].join(' \\\\\n'), '\\end{aligned}'].join('\n');
}

/** The reasons as a LaTeX fragment: a display a method in its own cut, then what is common. */
export function reasonsLatex(reasons: Reasons, { method, notation }: ExportNames): string {
  const math = (text: string) => `$${texText(text, notation)}$`;
  const sections = reasons.alone.map((own) => {
    const [{ method: id, title, moves, leak, unfinished }] = own.methods as readonly [
      MethodAgreement,
    ];
    const lines = movesLatex(own.problem, moves, termTextsOf(own), notation);
    return `\\paragraph{${title ?? method(id)}}\n\\[\n${lines}\n\\]${leak ? `\n${leakText(leak, math)}` : unfinished ? `\n${UNFINISHED}` : ''}`;
  });
  return ['% needs \\usepackage{amsmath}', ...sections, commonText(reasons, math), ''].join('\n\n');
}
