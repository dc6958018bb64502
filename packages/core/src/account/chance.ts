/** What a learner deals with where a slip may be made. */
const WHATS = [
  'operand',
  'place',
  'line',
  'cell',
  'diagonal',
  'row',
  'hop',
  'chunk',
  'term',
  'stage',
  'answer',
] as const;
export type What = (typeof WHATS)[number];

/**
 * Where a slip may be made: by what is dealt with, never by where it is written, so that it stays the same when
 * another slip is made. Numbers count from 0 as in the ids of terms, from the ones; places after the point are
 * negative.
 */
export interface Where {
  readonly what: What;
  readonly at: readonly number[];
  /** The stage of a string of factors, from 0; absent in the first. */
  readonly stage?: number;
}

/** `where('line', 1, 0)` is the figure 0 of line 1. */
export function where(what: What, ...at: readonly number[]): Where {
  return { what, at };
}

/** `line-1.0`; `stage-1/line-1.0` in the second stage of a string of factors. */
export function whereText({ what, at, stage }: Where): string {
  return `${stage === undefined ? '' : `stage-${stage}/`}${what}-${at.join('.')}`;
}

/** What is asked for at one chance; a wrong fact says for what number it is taken. */
export interface Addressed {
  readonly slip: string;
  readonly at: Where;
  readonly value?: number;
}

/** What names one chance of one work: `forget-carry@line-1.0`, `wrong-fact@cell-1.0=25`. */
export function addressText({ slip, at, value }: Addressed): string {
  return `${slip}@${whereText(at)}${value === undefined ? '' : `=${value}`}`;
}

const PLACE = /^(?:stage-(\d{1,3})\/)?([a-z]+)-(-?\d{1,6}(?:\.-?\d{1,6})*)$/;

/** Reads what {@link whereText} has written; null for any other text. */
export function readWhere(text: string): Where | null {
  const [, stage, name, numbers] = PLACE.exec(text) ?? [];
  const what = WHATS.find((one) => one === name);
  if (!what || numbers === undefined) return null;
  const at = numbers.split('.').map(Number);
  return stage === undefined ? { what, at } : { what, at, stage: Number(stage) };
}

/**
 * Reads `forget-carry@line-1.0`, also under an earlier id of the slip, and `wrong-fact@cell-1.0=25`, which alone has a
 * value; null for any other text.
 */
export function readAddress(text: string): Addressed | null {
  const [named = '', place = '', ...more] = text.split('@');
  const [, where = '', figures] = /^([^=]*)(?:=(\d{1,4}))?$/.exec(place) ?? [];
  const at = readWhere(where);
  const slip = currentSlip(named);
  const isKnown = /^[a-z]+(-[a-z]+)*$/.test(slip) && more.length === 0;
  if (!at || !isKnown || (slip === WRONG_FACT) !== (figures !== undefined)) return null;
  return figures === undefined ? { slip, at } : { slip, at, value: Number(figures) };
}

/** The slip of taking a fact for another number, which its address names. */
export const WRONG_FACT = 'wrong-fact';

/** A fact that a work uses: figures put together by a sign, and what they make. */
export interface Fact {
  readonly sign: '×' | '+' | '−';
  readonly of: readonly number[];
  readonly due: number;
  /** The largest number that can be written where it stands; absent where there is room for any. */
  readonly most?: number;
}

/** Whether a fact can be taken for a number at all. */
export function canBeTaken({ due, most = Infinity }: Fact, value: number): boolean {
  return value !== due && value <= most;
}

/** Ids under which earlier versions wrote a slip, and the idea that it is. */
const EARLIER: Readonly<Record<string, string>> = {
  'forget-sum-carry': 'forget-carry',
  'forget-held': 'forget-carry',
  'whole-column-total': 'whole-total-in-place',
  'skip-cell': 'skip-product',
  'straight-pairs-only': 'like-places-only',
  'two-figures-down': 'skip-zero',
};

/** The id of a slip as it is written now. */
export function currentSlip(id: string): string {
  return EARLIER[id] ?? id;
}

/** What the numbers are like at a chance; a learner's habit may go by it. */
export const FEATURES = [
  'zero-above',
  'zero-below',
  'equal-figures',
  'blank-below',
  'neighbour-zero',
  'just-regrouped',
  'carry-of-one',
  'carry-of-more',
  'first',
  'last',
] as const;
export type Feature = (typeof FEATURES)[number];

/** A chance as a method asks about it. */
export interface Chance {
  readonly at: Where;
  readonly features?: readonly Feature[];
  /** How many steps later its first false amount stands, when it is not the next one. */
  readonly ahead?: number;
}

/** What two figures of one place are like; `below` is undefined where nothing stands. */
export function figureFeatures(
  above: number,
  below: number | undefined,
  neighbour?: number,
): readonly Feature[] {
  return [
    ...(above === 0 ? (['zero-above'] as const) : []),
    ...(below === 0 ? (['zero-below'] as const) : []),
    ...(below === above ? (['equal-figures'] as const) : []),
    ...(below === undefined ? (['blank-below'] as const) : []),
    ...(neighbour === 0 ? (['neighbour-zero'] as const) : []),
  ];
}

export function carryFeatures(carried: number): readonly Feature[] {
  return carried === 0 ? [] : [carried === 1 ? 'carry-of-one' : 'carry-of-more'];
}

/** The chances of a stage among those before it: numbered on, by their addresses in the whole work. */
export function chancesOfStage<
  C extends { readonly slip: string; readonly at: Where; readonly step: number },
>(
  own: readonly C[],
  earlier: readonly { readonly slip: string }[],
  { stage, stepsBefore }: { readonly stage: number; readonly stepsBefore: number },
): readonly (C & { readonly occurrence: number })[] {
  const counts = new Map<string, number>();
  for (const { slip } of earlier) counts.set(slip, (counts.get(slip) ?? 0) + 1);
  return own.map((one) => {
    const occurrence = (counts.get(one.slip) ?? 0) + 1;
    counts.set(one.slip, occurrence);
    const at = stage === 0 ? one.at : { ...one.at, stage };
    return { ...one, at, occurrence, step: one.step + stepsBefore };
  });
}

/** Chances with the first and the last of every slip marked as such. */
export function withEnds<
  C extends { readonly slip: string; readonly features: readonly Feature[] },
>(chances: readonly C[]): readonly C[] {
  const first = new Map<string, C>();
  const last = new Map<string, C>();
  for (const chance of chances) {
    if (!first.has(chance.slip)) first.set(chance.slip, chance);
    last.set(chance.slip, chance);
  }
  return chances.map((chance) => ({
    ...chance,
    features: [
      ...chance.features.filter((feature) => feature !== 'first' && feature !== 'last'),
      ...(first.get(chance.slip) === chance ? (['first'] as const) : []),
      ...(last.get(chance.slip) === chance ? (['last'] as const) : []),
    ],
  }));
}
