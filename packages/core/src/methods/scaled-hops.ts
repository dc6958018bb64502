import { Exact } from '../exact/exact.ts';
import { numberText } from '../exact/numeral.ts';
import type { Problem } from '../problem/problem.ts';
import { scaleOf } from '../problem/scale.ts';
import type { HopVerdict, OwnHops } from './method-spec.ts';

/** Hops in whole numbers turned into hops of the numbers as they are, point and all. */
export function scaledHops(own: OwnHops): OwnHops {
  return {
    ...own,
    from: (problem, hops) => {
      const scale = scaleOf(problem);
      if (!scale) return own.from(problem, hops);
      return own
        .from(
          scale.whole,
          hops.map((hop) => hop.dividedBy(scale.unit)),
        )
        .times(scale.unit);
    },
    judge: (problem, hops, school) => {
      const scale = scaleOf(problem);
      const unit = scale?.unit ?? Exact.ONE;
      const counts = hops.map((hop) => hop.dividedBy(unit));
      const fine = problem.kind === 'quotient' ? -1 : counts.findIndex((hop) => !hop.isWhole);
      const judged = own.judge(
        scale?.whole ?? problem,
        fine < 0 ? counts : counts.slice(0, fine),
        school,
      );
      const verdicts = judged.map((verdict): HopVerdict =>
        verdict.ok
          ? { ok: true, lands: verdict.lands.times(unit), left: verdict.left.times(unit) }
          : verdict,
      );
      return fine < 0 ? verdicts : [...verdicts, tooFine(problem, unit)];
    },
  };
}

function tooFine({ base }: Problem, unit: Exact): HopVerdict {
  return {
    ok: false,
    fault: `The numbers here go down to ${numberText(unit, base)}; nothing finer is needed.`,
  };
}
