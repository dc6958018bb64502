import { figures, read, type Mind } from './mind.ts';

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
