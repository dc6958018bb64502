import type { Entry, Mark, Trace } from '../../account/account.ts';
import { tally } from '../../account/ledger.ts';
import { foundShares, IN_QUOTIENT, isRewriting } from '../../account/rewriting.ts';
import type { Bounds, TermSet } from '../../account/terms.ts';
import { Exact } from '../../exact/exact.ts';
import { decimalsNeeded, placeValue } from '../../exact/numeral.ts';
import type { Scale } from '../../problem/scale.ts';

/** What is sure of the answer after some step, when owed amounts are known by their places alone. */
export interface Certainty {
  /** What is marked so far: the estimate that the work gives by itself. */
  readonly marked: Exact;
  /** The least and the most the answer can still be. */
  readonly low: Exact;
  readonly high: Exact;
  /** The leading figures that cannot change any more, in the problem's base. */
  readonly figures: string;
  /** How many figures the answer has, when that is sure; else null. */
  readonly length: number | null;
  /** How many of them stand after the point. */
  readonly decimals: number;
}

/** Certainties of works in places; of a work with points or stages those of the work it is read from. */
export function placedCertainties(trace: Trace): readonly Certainty[] {
  if (trace.scale && trace.whole) return scaled(placedCertainties(trace.whole), trace, trace.scale);
  const last = trace.stages.at(-1);
  return last ? afterStages(placedCertainties(last.trace), last.before) : placeCertainties(trace);
}

/** The whole numbers' certainties, counted in the last place after the point; the point step adds nothing. */
function scaled(all: readonly Certainty[], { steps }: Trace, scale: Scale): readonly Certainty[] {
  const own = all.map((one) => ({
    ...one,
    marked: one.marked.times(scale.unit),
    low: one.low.times(scale.unit),
    high: one.high.times(scale.unit),
    decimals: scale.decimals,
  }));
  return own.length > steps.length ? own : [...own, own.at(-1)!];
}

/** Nothing is sure of the whole product before its last factor is taken. */
function afterStages(all: readonly Certainty[], before: number): readonly Certainty[] {
  const none = { ...all[0]!, marked: Exact.ZERO, figures: '', length: null };
  return [...Array<Certainty>(before).fill(none), ...all];
}

function placeCertainties(trace: Trace): readonly Certainty[] {
  const { base } = trace.problem;
  const known = tally(trace, (entry) => (isKnown(entry) ? entry.worth : null));
  const [lows, highs] = (['low', 'high'] as const).map((end) =>
    tally(trace, (entry) => (isKnown(entry) ? null : Exact.of(boundOf(entry.terms, base)[end]))),
  ) as [readonly Exact[], readonly Exact[]];
  return known.map(({ numerator: marked }, step) =>
    certainty(marked, marked + lows[step]!.numerator, marked + highs[step]!.numerator, base),
  );
}

/** What is marked is known, but for a double that stands for all that its row has not kept yet. */
function isKnown(entry: Entry): boolean {
  return entry.standing === 'marked' && entry.role !== 'doubled';
}

/** Fractions and terms have no figures in places: what is put together so far is known, and nothing of the rest. */
export function partCertainties(trace: Trace): readonly Certainty[] {
  const together = tally(trace, ({ standing, worth }, step) =>
    step && standing === 'marked' && !isRewriting(step) ? worth : null,
  );
  const { total } = trace;
  return together.map((marked) => ({
    marked,
    low: total,
    high: total,
    figures: '',
    length: null,
    decimals: 0,
  }));
}

/**
 * The quotient so far and, for what is left, the power of the base it stays below: 252 is less than 100
 * sevens, so that it cannot change the hundreds.
 */
export function quotientCertainties(trace: Trace): readonly Certainty[] {
  const { problem, steps, total } = trace;
  const { base } = problem;
  const figures = steps.flatMap(({ gives }) => gives).filter(({ role }) => IN_QUOTIENT.has(role));
  const decimals = Math.max(0, ...figures.map((mark) => decimalsNeeded(mark.worth, base) ?? 0));
  const unit = placeValue(base, decimals);
  return foundShares(trace).map((marked): Certainty => {
    const least = floor(marked.times(unit));
    const rest = total.minus(marked).times(unit);
    const [low, high] = powersAround(rest, base);
    const one = certainty(least, least + low, least + high, base);
    const down = (amount: Exact) => amount.dividedBy(unit);
    return { ...one, marked, low: down(one.low), high: down(one.high), decimals };
  });
}

/**
 * The digits of a root that are found so far; the rest may still be any. How many there are is known from the
 * pairs of the number at once. Here `marked`, `low` and `high` are roots, not amounts of the account.
 */
export function rootCertainties({ problem, steps, groups }: Trace): readonly Certainty[] {
  const { base } = problem;
  const ids = new Set(groups.at(-1)!.marks);
  const isFigure = ({ id, role, place }: Mark) =>
    ids.has(id) && role === 'answer' && place !== undefined;
  const all = steps.flatMap(({ gives }) => gives).filter(isFigure);
  const decimals = Math.max(0, ...all.map(({ place = 0 }) => -place));
  const length = all.length > 0 ? all.length : null;
  let figures = '';
  const at = (): Certainty => {
    const left = all.length - figures.length;
    const least = wholeOf(figures, base) * BigInt(base) ** BigInt(left);
    const most = least + BigInt(base) ** BigInt(left) - 1n;
    const [low, high] = [least, most].map((n) => Exact.of(n).times(placeValue(base, -decimals)));
    return { marked: low!, low: low!, high: high!, figures, length, decimals };
  };
  const list = [at()];
  for (const { gives } of steps) {
    figures += gives
      .filter(isFigure)
      .map(({ glyph }) => glyph)
      .join('');
    list.push(at());
  }
  return list;
}

function wholeOf(figures: string, base: number): bigint {
  return [...figures].reduce(
    (total, one) => total * BigInt(base) + BigInt(parseInt(one, base)),
    0n,
  );
}

/** The greatest power of the base that an amount reaches, and the last count before the next power. */
function powersAround(amount: Exact, base: number): readonly [bigint, bigint] {
  if (amount.compare(Exact.ONE) < 0) return [0n, 0n];
  let power = 1n;
  while (amount.compare(Exact.of(power * BigInt(base))) >= 0) power *= BigInt(base);
  return [power, power * BigInt(base) - 1n];
}

function floor({ numerator, denominator }: Exact): bigint {
  const whole = numerator / denominator;
  return numerator < 0n && whole * denominator !== numerator ? whole - 1n : whole;
}

/** What is known of some terms by their places alone. */
function boundOf(terms: TermSet, base: number): Bounds {
  let [low, high] = [0n, 0n];
  for (const term of terms.indices()) {
    const bound = terms.space.bounds(term, base);
    low += bound.low;
    high += bound.high;
  }
  return { low, high };
}

function certainty(marked: bigint, low: bigint, high: bigint, base: number): Certainty {
  const none = {
    marked: Exact.of(marked),
    low: Exact.of(low),
    high: Exact.of(high),
    figures: '',
    length: null,
    decimals: 0,
  };
  if (low < 0n !== high < 0n || (low === 0n && high !== 0n)) return none;
  const [least, most] = [low, high].map((n) => n.toString(base).toUpperCase().replace('-', ''));
  if (least!.length !== most!.length) return none;
  let same = 0;
  while (same < least!.length && least![same] === most![same]) same++;
  return { ...none, figures: least!.slice(0, same), length: least!.length };
}
