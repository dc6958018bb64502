import { Exact, numeral, numeralValue, scaleOf, type HopVerdict } from '@levee/core';
import { dispatch } from '../store/comparison-store.ts';
import { hopped } from '../store/edits.ts';
import { notify } from '../ui/notices.tsx';
import type { Paper } from '../worked/work.ts';

/** The hops she has chosen on a paper, with what is said of each. */
export function ownHops(paper: Paper): readonly { by: Exact; verdict: HopVerdict }[] {
  const { problem, choice, school } = paper.lane.trace;
  const verdicts = paper.method.ownHops?.judge(problem, choice.hops, school) ?? [];
  return choice.hops.map((by, k) => ({ by, verdict: verdicts[k]! }));
}

/** What would become of one more hop: where it lands, or why it cannot be made. */
export function judgeNext(paper: Paper, by: Exact): HopVerdict {
  const { problem, choice, school } = paper.lane.trace;
  const { ownHops: taker } = paper.method;
  if (!taker) return { ok: false, fault: `${paper.method.name} takes no hops of your own.` };
  if (choice.hops.length >= taker.most) {
    return { ok: false, fault: `Up to ${taker.most} are taken here; take one away first.` };
  }
  return taker.judge(problem, [...choice.hops, by], school).at(-1)!;
}

/** Adds a hop when it can be made, and goes to the step that makes it; says why when it cannot. */
export function takeHop(paper: Paper, by: Exact): boolean {
  const verdict = judgeNext(paper, by);
  if (!verdict.ok) {
    notify(verdict.fault);
    return false;
  }
  const hops = [...paper.lane.trace.choice.hops, by];
  setHops(paper, hops);
  return true;
}

/** Replaces the hops of a paper; its steps go to the last of them. */
export function setHops({ id }: Paper, hops: readonly Exact[]): void {
  dispatch(
    hopped(
      id,
      hops.map((hop) => hop.toString()),
    ),
  );
}

/** Reads a hop typed in some base: `13`, `+13`, `-5`, `−5`, `0.5` or `0,5`; null for anything else. */
export function readHop(text: string, base: number): Exact | null {
  const [, minus, plain] =
    /^\+?([-−]?)([0-9A-F]{1,18}([.,][0-9A-F]{1,12})?)$/i.exec(text.trim()) ?? [];
  const figures = '0123456789ABCDEF'.slice(0, base) + '.';
  const number = plain?.toUpperCase().replace(',', '.');
  if (!number || [...number].some((figure) => !figures.includes(figure))) return null;
  const worth = numeralValue(numeral(number, base));
  return minus ? worth.negate() : worth;
}

/**
 * Where the next hop would land for a place on the line that is pointed at: the roundest number within
 * `near` of it, and how far that is from where the last hop ended; null when it goes nowhere.
 */
export function landingOf(
  paper: Paper,
  at: Exact,
  near: Exact,
): { readonly to: Exact; readonly by: Exact } | null {
  const { problem, choice } = paper.lane.trace;
  const taker = paper.method.ownHops;
  if (!taker) return null;
  const base = Exact.of(problem.base);
  let unit = scaleOf(problem)?.unit ?? Exact.ONE;
  while (unit.times(base).compare(near.times(Exact.of(2))) <= 0) unit = unit.times(base);
  const to = nearestMultiple(at, unit);
  const by = to.minus(taker.from(problem, choice.hops));
  return by.isZero ? null : { to, by };
}

function nearestMultiple(at: Exact, unit: Exact): Exact {
  const count = at.dividedBy(unit).plus(Exact.of(1, 2));
  const whole = count.numerator / count.denominator;
  return Exact.of(whole > 0n ? whole : 0n).times(unit);
}
