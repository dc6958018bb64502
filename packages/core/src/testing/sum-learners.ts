import type { Mind } from './learners.ts';

const figures = (number: number): number[] => [...String(number)].reverse().map(Number);

/**
 * The second addend in the parts in which it is added, the first of them last. Who bridges splits a part so that it lands on a
 * round number, where nothing lower stands in the way.
 */
function partsOf(first: number, second: number, bridges: boolean): number[] {
  return figures(second).flatMap((figure, place) => {
    const unit = 10 ** place;
    const over = Math.floor(first / unit) % 10;
    const splits = bridges && first % unit === 0 && over > 0 && over + figure > 10;
    const parts = splits ? [figure - (10 - over), 10 - over] : [figure];
    return parts.filter((part) => part > 0).map((part) => part * unit);
  });
}

/** A learner who keeps the first addend whole and adds the second one part by part. */
export function addedInParts(first: number, second: number, mind: Mind, bridges: boolean): number {
  const parts = partsOf(first, second, bridges);
  return parts.reduce((sum, part, k) => {
    const asOnes = mind.slips('part-as-ones', `term-1.${k}`, {});
    return sum + (asOnes ? Number(String(part)[0]) : part);
  }, first);
}

/** A learner who holds a running total of a string of addends. */
export function totalled(addends: readonly number[], mind: Mind): number {
  return addends.reduce(
    (sum, one, k) => (mind.slips('skip-addend', `operand-${k}`, {}) ? sum : sum + one),
    0,
  );
}

/** A learner of scratches: whenever ten are reached an addend is scratched, and only what is over is kept. */
export function scratched(addends: readonly number[], mind: Mind): number {
  const width = Math.max(...addends.map((one) => String(one).length));
  let [sum, carried] = [0, 0];
  for (let place = 0; place < width; place++) {
    let [kept, scratches] = [carried, 0];
    addends.forEach((addend, k) => {
      kept += figures(addend)[place] ?? 0;
      if (kept < 10) return;
      kept -= 10;
      if (!mind.slips('miss-scratch', `operand-${k}.${place}`, {})) scratches += 1;
    });
    sum += kept * 10 ** place;
    carried = mind.slips('forget-scratches', `place-${place}`, {}) ? 0 : scratches;
  }
  return sum + carried * 10 ** width;
}

/** A learner of partial sums: every place by itself, and then all together. */
export function placeByPlace(addends: readonly number[], mind: Mind): number {
  const width = Math.max(...addends.map((one) => String(one).length));
  const totals = Array.from({ length: width }, (_, place) =>
    addends.reduce((sum, one) => sum + (figures(one)[place] ?? 0), 0),
  );
  return totals.reduce((sum, total, place) => {
    const bare = mind.slips('drop-zeros', `place-${place}`, {});
    return sum + (bare ? total : total * 10 ** place);
  }, 0);
}
