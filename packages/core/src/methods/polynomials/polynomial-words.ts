import type { Exact } from '../../exact/exact.ts';
import { raised, termText } from '../../exact/terms-text.ts';
import { definePhrases, fixed, plain, type Wording } from '../../phrases/phrasebook.ts';
import type { Speaker } from '../../phrases/speaker.ts';
import { isNegative } from './term-list.ts';

/** A factor of a spoken product: one with a minus of its own in a bracket. */
function closed(term: Exact): string {
  const text = termText(term);
  return text.startsWith('−') ? `(${text})` : text;
}

function size(term: Exact): string {
  const { coefficient } = term;
  return termText(coefficient.absolute());
}

/** A number before letters is not written when it is one; the letters alone are counted all the same. */
function unwritten(terms: readonly Exact[]): string {
  const [bare] = terms.filter((term) => term.letters !== '' && size(term) === '1');
  return bare ? `Here ${raised(bare.letters)} is 1${raised(bare.letters)}. ` : '';
}

type ProductValues = {
  readonly left: Exact;
  readonly right: Exact;
  /** What is written, which a slip may have made wrong. */
  readonly product: Exact;
  /** `First`, `Outer`, `Inner`, `Last`, or nothing. */
  readonly named: string;
  readonly slip: string;
};

const product: Wording<ProductValues> = {
  digit: ({ left, right, product: made, named, slip }, say) => {
    const pair = `${closed(left)} · ${closed(right)}`;
    const lead = named === '' ? '' : `${named}: `;
    if (slip === 'missed-product') return say.opening(`${lead}${pair} is left out.`);
    if (slip !== '' && slip !== 'lost-sign') {
      return say.opening(`${lead}${pair} is taken for **${termText(made)}**.`);
    }
    const both = isNegative(left) && isNegative(right);
    const sign = slip === '' && both ? ', minus times minus is plus' : '';
    return `${lead}${pair} = **${termText(made)}**${sign}.`;
  },
  value: ({ left, right, product: made, named, slip }, say) => {
    const lead = named === '' ? '' : `${named}: `;
    const each = `every ${termText(left)} meets every ${termText(right)}`;
    if (slip === 'missed-product') return say.opening(`${lead}${each}, but this one is left out.`);
    if (slip !== '' && slip !== 'lost-sign') {
      return say.opening(
        `${lead}${each}, ${termText(left.times(right))} in all, but **${termText(made)}** is written.`,
      );
    }
    const isBare = size(left) === '1' && size(right) === '1' && left.times(right).letters !== '';
    const facts = [
      ...(isBare ? [] : [`${size(left)} · ${size(right)} = ${size(left.times(right))}`]),
      ...(left.letters !== '' && right.letters !== ''
        ? [
            `${raised(left.letters)} · ${raised(right.letters)} = ${raised(left.times(right).letters)}`,
          ]
        : []),
    ];
    const fact =
      facts.length > 0
        ? facts.join(' and ')
        : `${[left, right].map((term) => raised(term.letters) || '1').join(' · ')} = ${raised(left.times(right).letters)}`;
    const alone = left.letters === '' && right.letters === '' ? 'numbers alone, ' : '';
    const text = `${lead}${alone}${fact}${signNote(left, right, slip)}: **${termText(made)}**.`;
    return say.opening(text);
  },
};

function signNote(left: Exact, right: Exact, slip: string): string {
  const minuses = [left, right].filter(isNegative).length;
  if (slip === 'lost-sign')
    return minuses === 2 ? ', but a minus is kept' : ', and the minus is lost';
  if (minuses === 2) return ', minus times minus is plus';
  return minuses === 1 ? ', and the minus travels with its term' : '';
}

type GatherValues = {
  readonly terms: readonly Exact[];
  /** What is written; zero when the terms cancel. */
  readonly made: Exact;
  readonly letters: string;
  readonly slip: string;
};

function sum(terms: readonly Exact[]): string {
  return terms
    .map(termText)
    .reduce((line, text) =>
      text.startsWith('−') ? `${line} − ${text.slice(1)}` : `${line} + ${text}`,
    );
}

function kind(letters: string): string {
  return letters === '' ? 'numbers alone' : `${raised(letters)} terms`;
}

const GATHER_WORDS: Readonly<Record<string, string>> = {
  'minus-and-minus-plus': ', the minuses made plus',
  'minus-cut-off': ', with what follows the minus gathered first',
  'exponents-added-in-sum': ', the exponents added',
  'unwritten-one-as-zero': ', the unwritten 1 counted as nothing',
};

const gather: Wording<GatherValues> = {
  digit: ({ terms, made, slip }) => {
    const line = sum(terms);
    if (slip !== '' && slip !== 'unlike-gathered') {
      return `${line} is taken for **${termText(made)}**${GATHER_WORDS[slip] ?? ''}.`;
    }
    if (slip !== '') return `${line}, though they are unlike: **${termText(made)}**.`;
    return made.isZero
      ? `${line} = **0**: they cancel, and nothing is written.`
      : `${line} = **${termText(made)}**.`;
  },
  value: ({ terms, made, letters, slip }, say) => {
    const counts = terms.map((term) => termText(term.coefficient));
    if (slip !== '' && slip !== 'unlike-gathered') {
      return `${say.opening(say.list(terms.map(termText)))} should be counted together as they are, but **${termText(made)}** is written${GATHER_WORDS[slip] ?? ''}.`;
    }
    if (slip !== '') {
      return `${say.opening(say.list(terms.map(termText)))} count different things, yet they are put together: **${termText(made)}**.`;
    }
    const all =
      letters === ''
        ? `the numbers alone, ${say.list(counts)}`
        : `${say.list(counts)} times ${raised(letters)}`;
    const line = say.opening(`${unwritten(terms)}${say.opening(say.words.gather)} ${all}`);
    return made.isZero
      ? `${line}: as much is there as is missing, they cancel and **nothing** is written.`
      : `${line}: **${termText(made)}**.`;
  },
};

type AloneValues = { readonly term: Exact; readonly letters: string };

const alone: Wording<AloneValues> = {
  digit: ({ term }) => `**${termText(term)}** stands alone and is copied.`,
  value: ({ term, letters }) =>
    letters === ''
      ? `No other number stands alone: **${termText(term)}** stays.`
      : `No other term has ${raised(letters)}: **${termText(term)}** stays.`,
};

type TurnValues = {
  readonly term: Exact;
  readonly made: Exact;
  readonly slip: string;
};

const turn: Wording<TurnValues> = {
  digit: ({ term, made, slip }) =>
    slip === ''
      ? `The sign of ${termText(term)} is turned: **${termText(made)}**.`
      : `${termText(term)} is copied as it is: **${termText(made)}**.`,
  value: ({ term, made, slip }) => {
    if (slip !== '')
      return `The minus before the bracket does not reach ${termText(term)}: **${termText(made)}**.`;
    const why = isNegative(term) ? ', and minus times minus is plus' : '';
    return `Taking the bracket away takes ${termText(term)} away: (−1) · ${closed(term)} = **${termText(made)}**${why}.`;
  },
};

type AgainValues = { readonly terms: readonly Exact[] };

const again: Wording<AgainValues> = {
  digit: ({ terms }, say) =>
    `The row is turned already, and is taken away all the same: ${say.list(terms.map((term) => `**${termText(term.negate())}**`))}.`,
  value: ({ terms }, say) =>
    `Taking away what is turned already counts it with its old signs: ${say.list(terms.map((term) => `**${termText(term.negate())}**`))}.`,
};

type CopyValues = {
  readonly terms: readonly Exact[];
  readonly letters: string;
  readonly missed: boolean;
};

const copy: Wording<CopyValues> = {
  digit: ({ terms, missed }, say) =>
    `${say.list(terms.map((term) => `**${termText(term)}**`))}: crossed and copied${missed ? ', one is overlooked' : ''}.`,
  value: ({ terms, letters, missed }, say) => {
    const many = terms.length > 1 ? 'are brought side by side' : 'is brought down';
    const all = letters === '' ? 'The numbers alone' : `All ${kind(letters)}`;
    return `${all}: ${say.list(terms.map((term) => `**${termText(term)}**`))} ${many}${missed ? '; one is overlooked' : ''}.`;
  },
};

type OpenValues = { readonly terms: readonly Exact[] };

const unbracket: Wording<OpenValues> = {
  digit: ({ terms }, say) => `${listed(terms, say)}: copied.`,
  value: ({ terms }, say) =>
    `A plus before a bracket changes no sign: ${listed(terms, say)} ${terms.length === 1 ? 'is' : 'are'} copied.`,
};

function listed(terms: readonly Exact[], say: Speaker): string {
  return say.list(terms.map((term) => `**${termText(term)}**`));
}

/** The wordings of all methods for expressions with letters. */
export const polynomialPhrases = definePhrases({
  'terms.product': product,
  'terms.squares-only': fixed(
    'Each term is multiplied with itself alone, and that is thought to be all.',
  ),
  'terms.joined': plain(
    ({ terms, made }: { terms: readonly Exact[]; made: Exact }) =>
      `${sum(terms)} is joined to one term: **${termText(made)}**.`,
  ),
  'terms.gather': gather,
  'terms.alone': alone,
  'terms.turn': turn,
  'terms.again': again,
  'terms.copy': copy,
  'terms.unbracket': unbracket,
  'terms.nothing': fixed('Everything has cancelled: **0**.'),
  'terms.pair': plain(
    ({ left, right }: { left: Exact; right: Exact }) => `${closed(left)} · ${closed(right)}`,
  ),
  'terms.kind': plain(({ letters }: { letters: string }) => `the ${kind(letters)}`),
  'terms.kind made': plain(({ letters }: { letters: string }) => `the ${kind(letters)} together`),
  'terms.line': fixed('the products as they stand'),
  'terms.answer': fixed('the answer'),
});
