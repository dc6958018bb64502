import fc from 'fast-check';
import { addressText, whereText } from '../account/chance.ts';
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

const differences = fc
  .tuple(fc.integer({ min: 1, max: 90_909 }), fc.integer({ min: 1, max: 90_909 }))
  .map(([a, b]) => [Math.max(a, b), Math.min(a, b)] as const);

describe('a learner of decomposition', () => {
  const method = registry.get('decomposition');

  it('answers as one who works with figures alone, at every chance of every slip', () => {
    const met = new Set<string>();
    fc.assert(
      fc.property(differences, ([a, b]) => {
        const problem = problemFrom(`${a} − ${b}`);
        for (const chance of method.trace(problem).opportunities) {
          met.add(chance.slip);
          const { answer } = method.light(problem, { slips: [chance] });
          expect([a, b, addressText(chance), answer.toString()]).toEqual([
            a,
            b,
            addressText(chance),
            String(subtracted(a, b, chance.slip, chance.at.at[0]!)),
          ]);
        }
      }),
      { numRuns: 200, examples: [[[305, 127]], [[90_000, 7]], [[308, 120]], [[5558, 128]]] },
    );
    expect(method.slips.map(({ id }) => id).filter((id) => !met.has(id))).toEqual([]);
  });
});

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

describe('a learner of column multiplication', () => {
  const method = registry.get('column-multiplication');
  const factors = fc.tuple(fc.integer({ min: 1, max: 9090 }), fc.integer({ min: 1, max: 909 }));

  it('answers as one who works with figures alone, at every chance of every slip', () => {
    const met = new Set<string>();
    fc.assert(
      fc.property(factors, ([a, b]) => {
        const problem = problemFrom(`${a} × ${b}`);
        for (const chance of method.trace(problem).opportunities) {
          met.add(chance.slip);
          const { answer } = method.light(problem, { slips: [chance] });
          const address = addressText(chance);
          const expected = multiplied(a, b, chance.slip, whereText(chance.at));
          expect([a, b, address, answer.toString()]).toEqual([a, b, address, String(expected)]);
        }
      }),
      { numRuns: 200, examples: [[[406, 8]], [[46, 258]], [[346, 111]], [[9999, 999]]] },
    );
    const all = method.slips.map(({ id }) => id).filter((id) => id !== 'point-one-off');
    expect(all.filter((id) => !met.has(id))).toEqual([]);
  });
});

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

describe('a learner of column addition', () => {
  const method = registry.get('column-addition');
  const addends = fc.array(fc.integer({ min: 1, max: 9090 }), { minLength: 2, maxLength: 5 });

  it('answers as one who works with figures alone, at every chance of every slip', () => {
    const met = new Set<string>();
    fc.assert(
      fc.property(addends, (all) => {
        const problem = problemFrom(all.join(' + '));
        for (const chance of method.trace(problem).opportunities) {
          met.add(chance.slip);
          const { answer } = method.light(problem, { slips: [chance] });
          const expected = added(all, chance.slip, chance.at.at[0]!);
          const address = addressText(chance);
          expect([all, address, answer.toString()]).toEqual([all, address, String(expected)]);
        }
      }),
      { numRuns: 200, examples: [[[58, 76]], [[999, 999, 999, 9]]] },
    );
    expect(method.slips.map(({ id }) => id).filter((id) => !met.has(id))).toEqual([]);
  });
});

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

describe('a learner of equal additions', () => {
  const method = registry.get('equal-additions');

  it('answers as one who works with figures alone, at every chance of every slip', () => {
    const met = new Set<string>();
    fc.assert(
      fc.property(differences, ([a, b]) => {
        const problem = problemFrom(`${a} − ${b}`);
        for (const chance of method.trace(problem).opportunities) {
          met.add(chance.slip);
          const { answer } = method.light(problem, { slips: [chance] });
          const expected = evenedOut(a, b, chance.slip, chance.at.at[0]!);
          const address = addressText(chance);
          expect([a, b, address, answer.toString()]).toEqual([a, b, address, String(expected)]);
        }
      }),
      { numRuns: 200, examples: [[[653, 387]], [[648, 389]]] },
    );
    expect(method.slips.map(({ id }) => id).filter((id) => !met.has(id))).toEqual([]);
  });
});

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

describe('a learner of partial differences', () => {
  const method = registry.get('partial-differences');

  it('answers as one who works with figures alone, at every chance of every slip', () => {
    const met = new Set<string>();
    fc.assert(
      fc.property(differences, ([a, b]) => {
        const problem = problemFrom(`${a} − ${b}`);
        for (const chance of method.trace(problem).opportunities) {
          met.add(chance.slip);
          const { answer } = method.light(problem, { slips: [chance] });
          const expected = putTogether(a, b, chance.slip, chance.at.at[0]!);
          const address = addressText(chance);
          expect([a, b, address, answer.toString()]).toEqual([a, b, address, String(expected)]);
        }
      }),
      { numRuns: 200, examples: [[[523, 287]]] },
    );
    expect(method.slips.map(({ id }) => id).filter((id) => !met.has(id))).toEqual([]);
  });
});

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

describe('a learner of crosswise multiplication', () => {
  const method = registry.get('crosswise');
  const factors = fc.tuple(fc.integer({ min: 1, max: 9090 }), fc.integer({ min: 1, max: 909 }));

  it('answers as one who works with figures alone, at every chance of every slip', () => {
    const met = new Set<string>();
    fc.assert(
      fc.property(factors, ([a, b]) => {
        const problem = problemFrom(`${a} × ${b}`);
        for (const chance of method.trace(problem).opportunities) {
          met.add(chance.slip);
          const { answer } = method.light(problem, { slips: [chance] });
          const expected = crossed(a, b, chance.slip, chance.at.at[0]!);
          const address = addressText(chance);
          expect([a, b, address, answer.toString()]).toEqual([a, b, address, String(expected)]);
        }
      }),
      { numRuns: 200, examples: [[[46, 58]], [[406, 37]]] },
    );
    const all = method.slips.map(({ id }) => id).filter((id) => id !== 'point-one-off');
    expect(all.filter((id) => !met.has(id))).toEqual([]);
  });
});

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

describe('learners of other products', () => {
  const factors = fc.tuple(fc.integer({ min: 1, max: 909 }), fc.integer({ min: 1, max: 909 }));

  it.each([
    [
      'halving-doubling',
      (a: number, b: number, slip: string, at: string) =>
        halved(a, b, slip, Number(at.split('-')[1])),
    ],
    ['partial-products', listed],
  ] as const)('of %s answer as those who work with numbers alone', (id, work) => {
    const method = registry.get(id);
    const met = new Set<string>();
    fc.assert(
      fc.property(factors, ([a, b]) => {
        const problem = problemFrom(`${a} × ${b}`);
        for (const chance of method.trace(problem).opportunities) {
          met.add(chance.slip);
          const { answer } = method.light(problem, { slips: [chance] });
          const expected = work(a, b, chance.slip, whereText(chance.at));
          const address = addressText(chance);
          expect([a, b, address, answer.toString()]).toEqual([a, b, address, String(expected)]);
        }
      }),
      { numRuns: 200, examples: [[[46, 58]], [[406, 37]]] },
    );
    const otherwise = new Set(['point-one-off', 'miss-power']);
    const all = method.slips.map((slip) => slip.id).filter((slip) => !otherwise.has(slip));
    expect(all.filter((slip) => !met.has(slip))).toEqual([]);
  });
});
