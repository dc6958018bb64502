import { figures, read, type Mind } from './mind.ts';

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
