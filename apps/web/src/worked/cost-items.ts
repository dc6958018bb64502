import {
  scriptOf,
  termShape,
  type Cost,
  type Problem,
  type ProblemKind,
  type Speaker,
} from '@levee/core';

export interface CostItem {
  /** What is counted, in full. */
  readonly name: string;
  readonly amount: string;
  /** Amount and name in a word or two. */
  readonly short: string;
}

/** What the method costs on this problem, counted from its work; the most telling first. */
export function costItems(counted: Cost, problem: Problem, say: Speaker): readonly CostItem[] {
  const { figures, lines, passes } = counted;
  const isPlaced = scriptOf(problem) !== 'terms' && problem.kind !== 'root';
  const largest = say.worth(counted.largestWritten);
  return [
    ...factItems(counted, problem),
    item('figures written, the question not counted', figures, 'figure'),
    ...(isPlaced ? headItems(counted, say) : []),
    item('rows that hold written figures', lines, 'line'),
    item('times the work starts over somewhere else', passes, 'pass', 'passes'),
    { name: 'largest number written', amount: largest, short: `numbers to ${largest}` },
    {
      name: 'largest number that each step writes',
      amount: sizesText(counted, say),
      short: '',
    },
    ...scriptItems(counted, problem),
    ...(isPlaced ? [certainItem(counted)] : []),
  ];
}

/** What is worked out and put together, as it is called for the kind of problem. */
const FACT_ITEMS: Record<ProblemKind, (counted: Cost) => readonly CostItem[]> = {
  product: placeItems,
  sum: placeItems,
  difference: differenceItems,
  expression: placeItems,
  quotient: placeItems,
  root: ({ facts, additions }) => [
    item(
      'digits that are tried, and divisions by primes',
      facts,
      'trial or division',
      'trials and divisions',
    ),
    item('times something is taken away', additions, 'subtraction'),
  ],
};

function factItems(counted: Cost, problem: Problem): readonly CostItem[] {
  return scriptOf(problem) === 'terms'
    ? termItems(counted, termShape(problem.kind) === 'products')
    : FACT_ITEMS[problem.kind](counted);
}

function termItems({ facts, additions }: Cost, multiplies: boolean): readonly CostItem[] {
  return [
    ...(multiplies ? [item('products of two terms', facts, 'product')] : []),
    item('times one term is put together with a like one', additions, 'like pair'),
  ];
}

function differenceItems({ facts, additions, carries }: Cost): readonly CostItem[] {
  return [
    item('facts that are worked out', facts, 'fact'),
    item('times one amount is taken from another or put to it', additions, 'change'),
    item('places opened, or pairs of little ones', carries, 'place opened', 'places opened'),
  ];
}

function placeItems({ facts, additions, carries }: Cost): readonly CostItem[] {
  return [
    item('facts that are worked out', facts, 'fact'),
    item('times one amount is added to another', additions, 'addition'),
    item('carries, places opened, scratches or pairs of little ones', carries, 'carry', 'carries'),
  ];
}

/** What is held in the head, where anything ever is. */
function headItems({ heldAtOnce, largestHeld }: Cost, say: Speaker): readonly CostItem[] {
  const held = say.worth(largestHeld);
  return [
    item('most numbers held at once: needed later and written nowhere', heldAtOnce, 'held', 'held'),
    { name: 'largest number held', amount: held, short: `${held} the largest held` },
  ];
}

function certainItem({ leadingCertainAt }: Cost): CostItem {
  return {
    name: 'step after which the leading figure of the answer is certain',
    amount: String(leadingCertainAt),
    short: `leading figure sure at step ${leadingCertainAt}`,
  };
}

/** The size of numbers met on the way: `3, 6, 24, 22, 11`; a long work only begins and ends. */
export function sizesText({ numbersMet }: Cost, say: Speaker): string {
  const sizes = numbersMet.filter(({ isZero }) => !isZero).map((amount) => say.worth(amount));
  const shown = sizes.length > 16 ? [...sizes.slice(0, 9), '…', ...sizes.slice(-5)] : sizes;
  return shown.join(', ');
}

/** What costs only where numbers are written as fractions or with letters. */
function scriptItems(counted: Cost, problem: Problem): readonly CostItem[] {
  switch (scriptOf(problem)) {
    case 'figures':
      return [];
    case 'fractions':
      return [
        {
          name: 'times a fraction is tried for lowest terms',
          amount: String(counted.simplifications),
          short: `${counted.simplifications} tried for lowest terms`,
        },
      ];
    case 'terms':
      return [
        item(
          'most terms beside each other at once',
          counted.terms,
          'term at once',
          'terms at once',
        ),
        item('times minus meets minus', counted.signs, 'minus by minus', 'minus by minus'),
      ];
  }
}

function item(name: string, amount: number, one: string, many = `${one}s`): CostItem {
  return { name, amount: String(amount), short: `${amount} ${amount === 1 ? one : many}` };
}
