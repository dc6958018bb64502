/** What the figures are like where a learner may slip. */
export interface State {
  readonly above?: number;
  readonly below?: number | undefined;
  /** The upper figure of the next place. */
  readonly next?: number | undefined;
  readonly carried?: number;
}

/** A learner's mind: where it slips, by the slip's name and its place, and what it takes facts for. */
export interface Mind {
  readonly slips: (slip: string, at: string, state: State) => boolean;
  readonly product?: (a: number, b: number, at: string) => number | undefined;
  readonly difference?: (a: number, b: number, at: string) => number | undefined;
}

/** A mind that slips once. */
export function once(slip: string, at: string): Mind {
  return { slips: (id, place) => id === slip && place === at };
}

/** A mind that slips wherever a figure is so. */
export function always(slip: string, when: (state: State) => boolean = () => true): Mind {
  return { slips: (id, _, state) => id === slip && when(state) };
}

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

/** A learner of decomposition who slips, with figures alone: nothing of the account, terms or steps is used. */
export function subtracted(minuend: number, subtrahend: number, mind: Mind): number {
  const upper = figures(minuend);
  const given = figures(minuend);
  const lower = figures(subtrahend);
  const slips = (id: string, place: number) =>
    mind.slips(id, `place-${place}`, {
      above: given[place]!,
      below: lower[place],
      next: given[place + 1],
    });
  const fill = (place: number, target = place): void => {
    const next = place + 1;
    const isEmpty = upper[next] === 0;
    const there = upper.flatMap((figure, k) => (k > place && figure > 0 ? [k] : []));
    const lends = (id: string) =>
      mind.slips(id, `place-${next}`, {
        above: given[next]!,
        below: lower[next],
        next: given[target + 1],
      });
    if (isEmpty && slips('zero-skipped', place)) upper[there[0]!]! -= 1;
    else if (isEmpty && slips('zero-made-nine', place)) upper[next] = 9;
    else if (!isEmpty && there.at(-1)! > next && slips('lends-from-leftmost', place)) {
      upper[there.at(-1)!]! -= 1;
    } else {
      if (isEmpty) fill(next, target);
      const mayStay = upper[next]! - (lower[next] ?? 0) < 10;
      const stays = mayStay && lends('lender-not-reduced');
      const twice = upper[next]! > 1 && lends('lender-reduced-twice');
      if (!stays) upper[next]! -= twice ? 2 : 1;
      const raises = !stays && next < lower.length && slips('upper-and-lower-changed', next);
      if (raises) lower[next]! += 1;
    }
    upper[place]! += 10;
  };
  const column = (place: number): number | undefined => {
    const below = lower[place];
    const spare = (upper[place + 1] ?? 0) - (lower[place + 1] ?? 0);
    const isEnough = below !== undefined && upper[place]! >= below && spare > 0;
    if (isEnough && slips('regrouped-without-need', place)) {
      upper[place + 1]! -= 1;
      return upper[place]! + 10 - below;
    }
    if (upper[place]! < (below ?? 0)) {
      if (slips('smaller-from-larger', place)) return below! - upper[place]!;
      if (slips('zero-minus-is-zero', place) && given[place] === 0) return 0;
      if (!upper.some((figure, k) => k > place && figure > 0)) return below! - upper[place]!;
      fill(place);
    }
    const above = upper[place]!;
    if (place >= lower.length && slips('blank-not-brought-down', lower.length)) return undefined;
    if (below === 0 && slips('minus-zero-is-zero', place)) return 0;
    if (above === below && slips('equal-stays', place)) return above;
    const last = lower.at(-1)!;
    if (below === undefined && above >= last && slips('last-figure-again', place))
      return above - last;
    if (below && above + below < 10 && slips('one-column-added', place)) return above + below;
    const taken = mind.difference?.(above, below ?? 0, `place-${place}`);
    return taken ?? above - (below ?? 0);
  };
  const written = given.map((_, place) => column(place));
  // Two figures in one column are known for what they are.
  const isWhole = written.some((one) => (one ?? 0) > 9);
  return isWhole ? written.reduce<number>((n, one, k) => n + one! * 10 ** k, 0) : read(written);
}

/** A learner of column multiplication who slips, with figures alone. */
export function multiplied(upper: number, lower: number, mind: Mind): number {
  const top = figures(upper);
  const isShort = top.length === 1 || figures(lower).length === 1;
  if (!isShort && mind.slips('column-by-column', 'answer-0', {})) return likeASum(upper, lower);
  let before: readonly number[] = [];
  const lines = figures(lower).map((figure, j) => {
    const here = (id: string) => mind.slips(id, `line-${j}`, { below: figure });
    if (figure === 0) return [...Array<number>(j).fill(0), ...top.map(() => 0)];
    const shifts: Readonly<Record<string, number>> = {
      'omit-placeholder': 0,
      'one-placeholder-for-two': j > 1 ? j - 1 : -1,
      'extra-placeholder': j + 1,
    };
    const due = Object.entries(shifts).find(([id, to]) => to >= 0 && (j > 0 || to > j) && here(id));
    const shift = due?.[1] ?? j;
    const first = figures(lower)[0]!;
    const multiplier = j > 0 && first > 0 && here('first-figure-again') ? first : figure;
    const written = Array<number>(shift).fill(0);
    let [carried, old] = [0, 0];
    const used: number[] = [];
    top.forEach((digit, i) => {
      const slips = (id: string) =>
        mind.slips(id, `line-${j}.${i}`, { above: digit, below: multiplier, carried });
      const isLast = i === top.length - 1;
      if (carried > 0 && digit === 0 && !isLast && slips('carry-over-zero')) {
        used.push(carried);
        return written.push(0);
      }
      const product = mind.product?.(digit, multiplier, `cell-${i}.${j}`) ?? digit * multiplier;
      let total = product + carried;
      if (slips('forget-carry')) total = product;
      if (slips('carry-before-multiplying')) total = (digit + carried) * multiplier;
      if (carried > 1 && digit > 0 && slips('carry-multiplied'))
        total = digit * multiplier * carried;
      const alone = isLast && carried > 0 && digit > 0 && multiplier > 1;
      if (alone && slips('leftmost-not-multiplied')) total = digit + carried;
      if (carried > 0 && slips('old-carry-again')) total += old;
      if (multiplier === 1 && digit > 1 && slips('times-one-as-one')) total = 1 + carried;
      const above = before[i] ?? 0;
      if (above > 0 && above !== carried && slips('carry-to-wrong-line')) total = product + above;
      used.push(carried);
      old = carried;
      const isWhole = isLast || slips('whole-product-in-place');
      written.push(...(isWhole ? figures(total) : [total % 10]));
      carried = isWhole ? 0 : Math.floor(total / 10);
      return undefined;
    });
    before = used;
    return written;
  });
  if (lines.length === 1) return read(lines[0]!);
  const width = Math.max(...lines.map((line) => line.length));
  const sum: number[] = [];
  let carried = 0;
  for (let place = 0; place < width; place++) {
    const kept = mind.slips('forget-carry', `place-${place}`, { carried }) ? 0 : carried;
    const total = lines.reduce((all, line) => all + (line[place] ?? 0), kept);
    sum.push(...(place === width - 1 ? figures(total) : [total % 10]));
    carried = Math.floor(total / 10);
  }
  return read(sum);
}

/** Each figure with the one under it alone, worked like a sum. */
function likeASum(upper: number, lower: number): number {
  const [top, bottom] = [figures(upper), figures(lower)];
  const width = Math.max(top.length, bottom.length);
  const written: number[] = [];
  let carried = 0;
  for (let place = 0; place < width; place++) {
    const total = (top[place] ?? 1) * (bottom[place] ?? 1) + carried;
    written.push(...(place === width - 1 ? figures(total) : [total % 10]));
    carried = Math.floor(total / 10);
  }
  return read(written);
}

/** A learner of column addition who slips, with figures alone. */
export function added(addends: readonly number[], mind: Mind): number {
  const own = addends.map(figures);
  const whole = (id: string) => mind.slips(id, 'answer-0', {});
  const ofAddend = (id: string, k: number) => mind.slips(id, `operand-${k}`, {});
  const broad = Math.max(...own.map((column) => column.length));
  if (whole('all-figures-added')) return own.flat().reduce((sum, figure) => sum + figure, 0);
  const columns = own.map((column, k): (number | undefined)[] => {
    const by = broad - column.length;
    if (by > 0 && ofAddend('set-from-the-left', k)) return [...Array<undefined>(by), ...column];
    const isLone = column.length === 1 && own.length === 2 && broad > 1;
    if (isLone && ofAddend('lone-figure-everywhere', k))
      return Array<number>(broad).fill(column[0]!);
    return column;
  });
  if (columns.length > 0 && rightward(columns, mind)) return carriedRightward(columns);
  return addedColumns(columns, mind);
}

type Columns = readonly (readonly (number | undefined)[])[];

function widthOf(columns: Columns): number {
  return Math.max(...columns.map((column) => column.length));
}

/** The column where a learner who works from the left first has something over. */
function rightward(columns: Columns, mind: Mind): boolean {
  const sums = Array.from({ length: widthOf(columns) }, (_, place) =>
    columns.reduce((all, column) => all + (column[place] ?? 0), 0),
  );
  let carried = 0;
  for (let place = sums.length - 1; place > 0; place--) {
    const total = sums[place]! + carried;
    if (total > 9) return mind.slips('carry-to-the-right', `place-${place}`, {});
    carried = 0;
  }
  return false;
}

function carriedRightward(columns: Columns): number {
  let carried = 0;
  let text = '';
  for (let place = widthOf(columns) - 1; place >= 0; place--) {
    const total = columns.reduce((all, column) => all + (column[place] ?? 0), carried);
    text += place === 0 ? total : total % 10;
    carried = Math.floor(total / 10);
  }
  return Number(text);
}

function addedColumns(columns: Columns, mind: Mind): number {
  const width = widthOf(columns);
  const written: number[] = [];
  let [carried, before] = [0, 0];
  for (let place = 0; place < width; place++) {
    const state = { above: columns[0]![place]!, below: columns[1]?.[place], carried };
    const slips = (id: string) => mind.slips(id, `place-${place}`, state);
    const standing = (at: number) => columns.filter((column) => column[at] !== undefined).length;
    const isBlank = place > 0 && standing(place) === 1 && standing(place - 1) > 1 && carried === 0;
    if (isBlank && slips('blank-column-left-out')) break;
    const eleven = carried === 1 && before === 1 && slips('carries-as-eleven');
    const joins = slips('forget-carry') ? 0 : eleven ? 11 : carried;
    const total = columns.reduce((all, column) => all + (column[place] ?? 0), joins);
    const parts = standing(place) + (joins > 0 ? 1 : 0);
    const [ones, tens] = [total % 10, Math.floor(total / 10)];
    const isLast = place === width - 1;
    const isWhole = slips('whole-total-in-place') || (isLast && !slips('carry-over-blank-lost'));
    const mayTurn = !isLast && tens > 0 && tens < 10;
    const turns = mayTurn && slips('carry-the-ones');
    if (turns) written.push(tens);
    else written.push(...(isWhole ? figures(total) : [ones]));
    before = carried;
    carried = isWhole ? 0 : tens;
    if (turns) carried = ones;
    if (!isLast && tens > 1 && slips('carry-always-one')) carried = 1;
    if (!isLast && tens === 0 && parts > 1 && slips('carry-where-none')) carried = 1;
  }
  return read(written);
}

/** A learner of equal additions who slips, with figures alone. */
export function evenedOut(minuend: number, subtrahend: number, mind: Mind): number {
  const [upper, lower] = [figures(minuend), figures(subtrahend)];
  const raised = upper.map(() => 0);
  const written = upper.map((given, place) => {
    const state = { above: given, below: lower[place], next: upper[place + 1] };
    const slips = (id: string) => mind.slips(id, `place-${place}`, state);
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

/** A learner of partial differences who slips, with figures alone. */
export function putTogether(minuend: number, subtrahend: number, mind: Mind): number {
  const lower = figures(subtrahend);
  const signed = figures(minuend).map((figure, place) => {
    const difference = figure - (lower[place] ?? 0);
    const isLost = mind.slips('lost-sign', `place-${place}`, {});
    return (
      (isLost || mind.slips('signs-dropped', 'answer-0', {}) ? Math.abs(difference) : difference) *
      10 ** place
    );
  });
  return signed.reduce(
    (all, part, place) =>
      all + (mind.slips('second-shortfall-given-back', `place-${place}`, {}) ? -part : part),
    0,
  );
}

/** A learner of crosswise multiplication from the ones who slips, with figures alone. */
export function crossed(upper: number, lower: number, mind: Mind): number {
  const [top, bottom] = [figures(upper), figures(lower)];
  const places = top.length + bottom.length - 1;
  const written: number[] = [];
  let [carried, moved] = [0, 0];
  for (let place = 0; place < places; place++) {
    const slips = (id: string) => mind.slips(id, `place-${place}`, { carried });
    const pairs = top
      .map((_, i) => [i, place - i] as const)
      .filter(([, j]) => j >= 0 && j < bottom.length)
      .sort(([i], [k]) => i - k);
    const products = pairs.map(([i, j]) => top[i]! * bottom[j]!);
    let count = products.reduce((all, one) => all + one, moved);
    moved = 0;
    pairs.forEach(([i, j], k) => {
      const may = place < places - 1 && products[k]! > 0;
      if (!may || !mind.slips('pair-in-next-place', `cell-${i}.${j}`, {})) return;
      count -= products[k]!;
      moved += products[k]!;
    });
    if (slips('pair-twice')) count += products.find((one) => one > 0) ?? 0;
    if (slips('miss-pair')) count -= products.find((one, k) => k > 0 && one > 0) ?? 0;
    if (slips('like-places-only')) {
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

/** A learner of halving and doubling who slips, with numbers alone. */
export function halved(left: number, right: number, mind: Mind): number {
  const isAll = left > 1 && mind.slips('no-row-struck', 'answer-0', {});
  const shrinks = left > 1 && mind.slips('both-columns-halved', 'answer-0', {});
  let [sum, half, double] = [0, left, right];
  for (let row = 0; half > 0; row++) {
    const slips = (id: string) => mind.slips(id, `row-${row}`, {});
    const isOdd = half % 2 === 1;
    const isKept = isOdd && !slips('strike-odd') && !(half === 1 && slips('stops-before-one'));
    if (isKept || isAll || slips('keep-even')) sum += double;
    const rounds = isOdd && half > 1 && slips('odd-half-rounded-up');
    half = Math.floor(half / 2) + (rounds ? 1 : 0);
    double = shrinks ? Math.floor(double / 2) : double * 2;
  }
  return sum;
}

/** A learner of the lattice who slips, with figures alone: cells first, then the totals of the diagonals. */
export function latticed(upper: number, lower: number, mind: Mind): number {
  const [top, bottom] = [figures(upper), figures(lower)];
  const places = top.length + bottom.length;
  const diagonals = Array.from({ length: places }, (): number[] => []);
  top.forEach((above, i) =>
    bottom.forEach((below, j) => {
      const slips = (id: string) => mind.slips(id, `cell-${i}.${j}`, { above, below });
      const [tens, ones] = [Math.floor((above * below) / 10), (above * below) % 10];
      if (tens !== ones && slips('swap-cell')) {
        diagonals[i + j]!.push(tens);
        diagonals[i + j + 1]!.push(ones);
      } else if (tens === 0 && ones > 0 && slips('zero-tens-left-out')) {
        diagonals[i + j + 1]!.push(ones);
      } else {
        diagonals[i + j]!.push(ones);
        diagonals[i + j + 1]!.push(tens);
      }
    }),
  );
  if (mind.slips('diagonals-other-way', 'answer-0', {})) return readAcross(top, bottom);
  const written: number[] = [];
  let carried = 0;
  diagonals.forEach((cells, place) => {
    const slips = (id: string) => mind.slips(id, `diagonal-${place}`, { carried });
    if (slips('skip-diagonal')) {
      carried = 0;
      return;
    }
    const edge = slips('add-edge-digit') ? (bottom[place] ?? 0) : 0;
    const total = cells.reduce(
      (all, one) => all + one,
      edge + (slips('forget-carry') ? 0 : carried),
    );
    const isWhole = place === places - 1 || slips('whole-total-in-place');
    written.push(...(isWhole ? figures(total) : [total % 10]));
    carried = isWhole ? 0 : Math.floor(total / 10);
  });
  if (!mind.slips('read-from-wrong-end', 'answer-0', {})) return read(written);
  const length = String(upper * lower).length;
  return read([...written.slice(0, length)].reverse());
}

/** What a lattice gives whose figures are added from the upper left to the lower right. */
function readAcross(top: readonly number[], bottom: readonly number[]): number {
  const lines = Array<number>(top.length + bottom.length - 1).fill(0);
  top.forEach((above, i) =>
    bottom.forEach((below, j) => {
      const product = above * below;
      lines[i + bottom.length - 1 - j]! += Math.floor(product / 10) + (product % 10);
    }),
  );
  return lines.reduce((sum, line, k) => sum + line * 10 ** k, 0);
}

/** A learner of partial products who slips; the products are added in columns. */
export function listed(upper: number, lower: number, mind: Mind): number {
  const lines = figures(lower).flatMap((below, j) =>
    figures(upper).flatMap((above, i) => {
      if (above === 0 || below === 0) return [];
      const here = (id: string) => mind.slips(id, `cell-${i}.${j}`, { above, below });
      if (here('skip-product')) return [];
      if (i !== j && mind.slips('like-places-only', 'answer-0', {})) return [];
      return [above * below * (here('drop-zeros') ? 1 : 10 ** (i + j))];
    }),
  );
  const columns = lines.map(figures);
  const width = Math.max(0, ...columns.map((column) => column.length));
  const sum: number[] = [];
  let carried = 0;
  for (let place = 0; place < width; place++) {
    const kept = mind.slips('forget-carry', `place-${place}`, { carried }) ? 0 : carried;
    const total = columns.reduce((all, column) => all + (column[place] ?? 0), kept);
    sum.push(...(place === width - 1 ? figures(total) : [total % 10]));
    carried = Math.floor(total / 10);
  }
  return read(sum);
}
