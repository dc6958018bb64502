/** What the structure of a problem is called; ten and nine are the words of base ten. */
const FINDING_TEXTS = {
  'no-place-reaches-ten': (base) => `no place reaches ${base === 10 ? 'ten' : 'the base'}`,
  'own-way-only': () => 'no method yet; own lines',
  'one-fact': () => 'one fact',
  'one-carry': () => 'one carry',
  'several-carries': () => 'several carries',
  'a-carry-above-nine': (base) => (base === 10 ? 'a carry above nine' : 'a carry of two figures'),
  'no-place-is-short': () => 'no place is short',
  'one-place-is-short': () => 'one place is short',
  'several-places-are-short': () => 'several places are short',
  'short-across-a-zero': () => 'short across a zero',
  'the-larger-is-taken-away': () => 'the larger is taken away',
  'every-place-comes-out': () => 'every place comes out',
  'a-remainder-at-the-end': () => 'a remainder at the end',
  'one-remainder-is-carried-on': () => 'one remainder is carried on',
  'several-remainders-are-carried-on': () => 'several remainders are carried on',
  'a-zero-in-the-quotient': () => 'a zero in the quotient',
  'a-divisor-of-several-figures': () => 'a divisor of several figures',
  'all-parts-are-alike': () => 'all parts are alike',
  'the-parts-overfill-a-whole': () => 'the parts overfill a whole',
  'one-denominator-holds-the-others': () => 'one denominator holds the others',
  'denominators-with-a-common-factor': () => 'denominators with a common factor',
  'denominators-without-a-common-factor': () => 'denominators without a common factor',
  'mixed-numbers-become-parts': () => 'mixed numbers become parts',
  'a-factor-can-be-cancelled': () => 'a factor can be cancelled',
  'nothing-can-be-cancelled': () => 'nothing can be cancelled',
  'a-whole-must-be-opened': () => 'a whole must be opened',
  'only-pluses': () => 'only pluses',
  'a-minus-travels-with-its-term': () => 'a minus travels with its term',
  'minus-meets-minus': () => 'minus meets minus',
  'a-bracket-is-taken-away': () => 'a bracket is taken away',
  'a-minus-before-a-minus': () => 'a minus before a minus',
  'three-brackets-and-more': () => 'three brackets and more',
  'one-pair': () => 'one pair',
  'two-pairs': () => 'two pairs',
  'three-pairs-and-more': () => 'three pairs and more',
  'a-zero-in-the-root': () => 'a zero in the root',
  'the-root-does-not-come-out': () => 'the root does not come out',
} as const satisfies Readonly<Record<string, (base: number) => string>>;

/** A finding in words, for a problem of this base. */
export function findingText(finding: Finding, base: number): string {
  return FINDING_TEXTS[finding](base);
}

/** What makes a problem as hard as it is; said by `findingText`. */
export type Finding = keyof typeof FINDING_TEXTS;
