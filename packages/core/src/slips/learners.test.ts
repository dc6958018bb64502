import fc from 'fast-check';
import { addressText, whereText, type Where } from '../account/chance.ts';
import { registry } from '../methods/index.ts';
import { problemFrom } from '../testing/work.ts';

/** Figures of a number, ones first. */
const figures = (number: number): number[] => [...String(number)].reverse().map(Number);

/** The number that figures make, ones first; what was not written is not read. */
const read = (written: readonly (number | undefined)[]): number =>
  Number(
    [...written]
      .map((one) => one ?? '')
      .reverse()
      .join('') || '0',
  );

/** A learner of decomposition who slips once, with figures alone: nothing of the account, terms or steps is used. */
function subtracted(minuend: number, subtrahend: number, slip: string, at: number): number {
  const upper = figures(minuend);
  const given = figures(minuend);
  const lower = figures(subtrahend);
  const slips = (id: string, place: number) => slip === id && at === place;
  const fill = (place: number): void => {
    const next = place + 1;
    const isEmpty = upper[next] === 0;
    const there = upper.flatMap((figure, k) => (k > place && figure > 0 ? [k] : []));
    if (slips('zero-skipped', place) && isEmpty) upper[there[0]!]! -= 1;
    else if (slips('zero-made-nine', place) && isEmpty) upper[next] = 9;
    else if (slips('lends-from-leftmost', place) && !isEmpty) upper[there.at(-1)!]! -= 1;
    else {
      if (isEmpty) fill(next);
      if (slips('lender-reduced-twice', next)) upper[next]! -= 2;
      else if (!slips('lender-not-reduced', next)) upper[next]! -= 1;
    }
    upper[place]! += 10;
  };
  const column = (place: number): number | undefined => {
    const below = lower[place];
    if (upper[place]! < (below ?? 0)) {
      if (slips('smaller-from-larger', place)) return below! - upper[place]!;
      if (slips('zero-minus-is-zero', place) && given[place] === 0) return 0;
      if (!upper.some((figure, k) => k > place && figure > 0)) return below! - upper[place]!;
      fill(place);
    }
    const above = upper[place]!;
    if (slip === 'blank-not-brought-down' && place >= lower.length) return undefined;
    if (slips('minus-zero-is-zero', place)) return 0;
    if (slips('equal-stays', place)) return above;
    if (slips('last-figure-again', place)) return above - lower.at(-1)!;
    if (slips('one-column-added', place)) return above + below!;
    return above - (below ?? 0);
  };
  return read(given.map((_, place) => column(place)));
}

/** A learner of column multiplication who slips once, with figures alone. */
function multiplied(upper: number, lower: number, slip: string, at: string): number {
  const top = figures(upper);
  const lines = figures(lower).map((figure, j) => {
    const here = at === `line-${j}`;
    if (figure === 0) return [...Array<number>(j).fill(0), ...top.map(() => 0)];
    const shifts: Readonly<Record<string, number>> = {
      'omit-placeholder': 0,
      'one-placeholder-for-two': j - 1,
      'extra-placeholder': j + 1,
    };
    const shift = (here ? shifts[slip] : undefined) ?? j;
    const multiplier = here && slip === 'first-figure-again' ? figures(lower)[0]! : figure;
    const written = Array<number>(shift).fill(0);
    let [carried, old] = [0, 0];
    top.forEach((digit, i) => {
      const slips = (id: string) => slip === id && at === `line-${j}.${i}`;
      const isLast = i === top.length - 1;
      if (slips('carry-over-zero')) return written.push(0);
      let total = digit * multiplier + carried;
      if (slips('forget-carry')) total = digit * multiplier;
      if (slips('carry-before-multiplying')) total = (digit + carried) * multiplier;
      if (slips('carry-multiplied')) total = digit * multiplier * carried;
      if (slips('leftmost-not-multiplied')) total = digit + carried;
      if (slips('old-carry-again')) total += old;
      if (slips('times-one-as-one')) total = 1 + carried;
      old = carried;
      const isWhole = isLast || slips('whole-product-in-place');
      written.push(...(isWhole ? figures(total) : [total % 10]));
      carried = isWhole ? 0 : Math.floor(total / 10);
      return undefined;
    });
    return written;
  });
  if (lines.length === 1) return read(lines[0]!);
  const width = Math.max(...lines.map((line) => line.length));
  const sum: number[] = [];
  let carried = 0;
  for (let place = 0; place < width; place++) {
    const kept = slip === 'forget-carry' && at === `place-${place}` ? 0 : carried;
    const total = lines.reduce((all, line) => all + (line[place] ?? 0), kept);
    sum.push(...(place === width - 1 ? figures(total) : [total % 10]));
    carried = Math.floor(total / 10);
  }
  return read(sum);
}

/** A learner of column addition who slips once, with figures alone. */
function added(addends: readonly number[], slip: string, at: number): number {
  const columns = addends.map(figures);
  const width = Math.max(...columns.map((column) => column.length));
  const written: number[] = [];
  let carried = 0;
  for (let place = 0; place < width; place++) {
    const slips = (id: string) => slip === id && at === place;
    const total = columns.reduce(
      (all, column) => all + (column[place] ?? 0),
      slips('forget-carry') ? 0 : carried,
    );
    const [ones, tens] = [total % 10, Math.floor(total / 10)];
    const isLast = place === width - 1;
    const isWhole = slips('whole-total-in-place') || (isLast && !slips('carry-over-blank-lost'));
    if (slips('carry-the-ones')) written.push(tens);
    else written.push(...(isWhole ? figures(total) : [ones]));
    carried = isWhole ? 0 : tens;
    if (slips('carry-the-ones')) carried = ones;
    if (slips('carry-always-one') || slips('carry-where-none')) carried = 1;
  }
  return read(written);
}

/** A learner of equal additions who slips once, with figures alone. */
function evenedOut(minuend: number, subtrahend: number, slip: string, at: number): number {
  const [upper, lower] = [figures(minuend), figures(subtrahend)];
  const raised = upper.map(() => 0);
  const written = upper.map((given, place) => {
    const slips = (id: string) => slip === id && at === place;
    let above = given;
    let below = (lower[place] ?? 0) + raised[place]!;
    if (above < below) {
      if (slips('little-one-as-one')) above += 1;
      else if (!slips('forget-upper')) above += 10;
      if (slips('lower-in-wrong-place')) below += 1;
      else if (slips('lower-taken-off')) raised[place + 1]! -= 1;
      else if (!slips('forget-lower')) raised[place + 1]! += 1;
    }
    return Math.abs(above - below);
  });
  return read(written);
}

/** A learner of partial differences who slips once, with figures alone. */
function putTogether(minuend: number, subtrahend: number, slip: string, at: number): number {
  const lower = figures(subtrahend);
  const signed = figures(minuend).map((figure, place) => {
    const difference = figure - (lower[place] ?? 0);
    const isLost = slip === 'lost-sign' && at === place;
    return (isLost || slip === 'signs-dropped' ? Math.abs(difference) : difference) * 10 ** place;
  });
  return signed.reduce(
    (all, part, place) =>
      all + (slip === 'second-shortfall-given-back' && at === place ? -part : part),
    0,
  );
}

/** A learner of crosswise multiplication from the ones who slips once, with figures alone. */
function crossed(upper: number, lower: number, slip: string, at: number): number {
  const [top, bottom] = [figures(upper), figures(lower)];
  const places = top.length + bottom.length - 1;
  const written: number[] = [];
  let carried = 0;
  for (let place = 0; place < places; place++) {
    const slips = (id: string) => slip === id && at === place;
    const pairs = top
      .map((_, i) => [i, place - i] as const)
      .filter(([, j]) => j >= 0 && j < bottom.length)
      .sort(([i], [k]) => i - k);
    const products = pairs.map(([i, j]) => top[i]! * bottom[j]!);
    let count = products.reduce((all, one) => all + one, 0);
    if (slips('pair-twice')) count += products.find((one) => one > 0)!;
    if (slips('miss-pair')) count -= products.find((one, k) => k > 0 && one > 0)!;
    if (slips('straight-pairs-only')) {
      count = products
        .filter((_, k) => pairs[k]![0] === pairs[k]![1])
        .reduce((all, one) => all + one, 0);
    }
    const total = count + (slips('forget-carry') ? 0 : carried);
    written.push(...(place === places - 1 ? figures(total) : [total % 10]));
    carried = Math.floor(total / 10);
  }
  return read(written);
}

/** A learner of halving and doubling who slips once, with numbers alone. */
function halved(left: number, right: number, slip: string, at: number): number {
  let sum = 0;
  for (
    let [row, half, double] = [0, left, right];
    half > 0;
    row++, half = Math.floor(half / 2), double *= 2
  ) {
    const slips = (id: string) => slip === id && at === row;
    const keeps =
      slips('keep-even') || (half % 2 === 1 && !slips('strike-odd') && !slips('stops-before-one'));
    if (keeps) sum += double;
  }
  return sum;
}

/** A learner of partial products who slips once; the products are added in columns. */
function listed(upper: number, lower: number, slip: string, at: string): number {
  const lines = figures(lower).flatMap((below, j) =>
    figures(upper).flatMap((above, i) => {
      if (above === 0 || below === 0) return [];
      const here = at === `cell-${i}.${j}`;
      if (here && slip === 'skip-product') return [];
      if (slip === 'like-places-only' && i !== j) return [];
      return [above * below * (here && slip === 'drop-zeros' ? 1 : 10 ** (i + j))];
    }),
  );
  const columns = lines.map(figures);
  const width = Math.max(0, ...columns.map((column) => column.length));
  const sum: number[] = [];
  let carried = 0;
  for (let place = 0; place < width; place++) {
    const kept = slip === 'forget-carry' && at === `place-${place}` ? 0 : carried;
    const total = columns.reduce((all, column) => all + (column[place] ?? 0), kept);
    sum.push(...(place === width - 1 ? figures(total) : [total % 10]));
    carried = Math.floor(total / 10);
  }
  return read(sum);
}

/** What a learner answers, given the numbers, the slip and where it is made. */
type Learner = (numbers: readonly [number, number], slip: string, at: Where) => number;

const upTo = (a: number, b: number) =>
  fc.tuple(fc.integer({ min: 1, max: a }), fc.integer({ min: 1, max: b }));
const differences = upTo(90_909, 90_909).map(([a, b]): [number, number] => [
  Math.max(a, b),
  Math.min(a, b),
]);
const first = ({ at }: Where) => at[0]!;

interface Held {
  readonly method: string;
  readonly sign: string;
  readonly numbers: fc.Arbitrary<[number, number]>;
  readonly learner: Learner;
  /** Numbers that are tried in any case. */
  readonly always: readonly (readonly [number, number])[];
}

const HELD: readonly Held[] = [
  {
    method: 'decomposition',
    sign: '−',
    numbers: differences,
    learner: ([a, b], slip, at) => subtracted(a, b, slip, first(at)),
    always: [
      [305, 127],
      [90_000, 7],
      [308, 120],
      [5558, 128],
    ],
  },
  {
    method: 'equal-additions',
    sign: '−',
    numbers: differences,
    learner: ([a, b], slip, at) => evenedOut(a, b, slip, first(at)),
    always: [
      [653, 387],
      [648, 389],
    ],
  },
  {
    method: 'partial-differences',
    sign: '−',
    numbers: differences,
    learner: ([a, b], slip, at) => putTogether(a, b, slip, first(at)),
    always: [[523, 287]],
  },
  {
    method: 'column-multiplication',
    sign: '×',
    numbers: upTo(9090, 909),
    learner: ([a, b], slip, at) => multiplied(a, b, slip, whereText(at)),
    always: [
      [406, 8],
      [46, 258],
      [346, 111],
      [9999, 999],
    ],
  },
  {
    method: 'partial-products',
    sign: '×',
    numbers: upTo(909, 909),
    learner: ([a, b], slip, at) => listed(a, b, slip, whereText(at)),
    always: [
      [46, 58],
      [406, 37],
    ],
  },
  {
    method: 'crosswise',
    sign: '×',
    numbers: upTo(9090, 909),
    learner: ([a, b], slip, at) => crossed(a, b, slip, first(at)),
    always: [
      [46, 58],
      [406, 37],
    ],
  },
  {
    method: 'halving-doubling',
    sign: '×',
    numbers: upTo(909, 909),
    learner: ([a, b], slip, at) => halved(a, b, slip, first(at)),
    always: [
      [46, 58],
      [406, 37],
    ],
  },
];

/** Slips that these numbers and schools have no chance of: of a point, and of the list of powers. */
const ELSEWHERE: ReadonlySet<string> = new Set(['point-one-off', 'miss-power']);

/** At every chance of a problem the method answers as the learner does; the slips that were met. */
function held(id: string, text: string, learner: (slip: string, at: Where) => number): string[] {
  const method = registry.get(id);
  const problem = problemFrom(text);
  return method.trace(problem).opportunities.map((chance) => {
    const { answer } = method.light(problem, { slips: [chance] });
    const address = addressText(chance);
    const expected = String(learner(chance.slip, chance.at));
    expect([text, address, answer.toString()]).toEqual([text, address, expected]);
    return chance.slip;
  });
}

/** Every slip of the method was met. */
function expectAll(id: string, met: ReadonlySet<string>): void {
  const all = registry.get(id).slips.map(({ id: slip }) => slip);
  expect(all.filter((slip) => !met.has(slip) && !ELSEWHERE.has(slip))).toEqual([]);
}

describe('learners who slip once', () => {
  it.each(HELD)(
    'answer by $method as those who work with figures alone',
    ({ method, sign, numbers, learner, always }) => {
      const met = new Set<string>();
      fc.assert(
        fc.property(numbers, (pair) => {
          const slips = held(method, pair.join(` ${sign} `), (slip, at) => learner(pair, slip, at));
          for (const slip of slips) met.add(slip);
        }),
        { numRuns: 200, examples: always.map(([a, b]): [[number, number]] => [[a, b]]) },
      );
      expectAll(method, met);
    },
  );

  it('answer by column-addition, of two to five addends, likewise', () => {
    const met = new Set<string>();
    const addends = fc.array(fc.integer({ min: 1, max: 9090 }), { minLength: 2, maxLength: 5 });
    fc.assert(
      fc.property(addends, (all) => {
        const slips = held('column-addition', all.join(' + '), (slip, at) =>
          added(all, slip, first(at)),
        );
        for (const slip of slips) met.add(slip);
      }),
      { numRuns: 200, examples: [[[58, 76]], [[999, 999, 999, 9]]] },
    );
    expectAll('column-addition', met);
  });
});
