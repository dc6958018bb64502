import { answerText } from '../account/answer-text.ts';
import type { Opportunity, Trace } from '../account/account.ts';
import type { Lane } from '../compare/comparison.ts';
import type { CheckSpec, CheckSubject } from './check.ts';

/** A slip that could happen on a paper, the answer it would give, and whether a check would notice. */
export interface SlipReach {
  readonly opportunity: Opportunity;
  readonly label: string;
  /** As the paper gives it. */
  readonly answer: string;
  readonly caught: boolean;
}

/** The most slips that are tried. */
const MOST = 60;

/**
 * What a check would and would not catch on these very numbers: every slip that the paper's method has a
 * chance of is made once, and the check is asked about the answer. Slips whose wrong amounts happen to
 * leave the answer right are no matter for a check and are left out.
 */
export function reachOf(check: CheckSpec, subject: CheckSubject): readonly SlipReach[] {
  return slippedWorks(subject.lane).map(({ opportunity, label, trace }): SlipReach => {
    const { outcome } = check.make(subject, trace.answer, trace);
    return { opportunity, label, answer: answerText(trace), caught: outcome === 'disagrees' };
  });
}

interface SlippedWork {
  readonly opportunity: Opportunity;
  readonly label: string;
  readonly trace: Trace;
}

/** As many chances as are tried, in their order: of every slip its first ones, so that none is left out by another. */
function tried(chances: readonly Opportunity[]): readonly Opportunity[] {
  const first = [...chances].sort((a, b) => a.occurrence - b.occurrence).slice(0, MOST);
  const chosen = new Set(first);
  return chances.filter((chance) => chosen.has(chance));
}

const SLIPPED = new WeakMap<Trace, readonly SlippedWork[]>();

/** Every slip of a work made once, those that leave the answer right left out; the same works for every check. */
function slippedWorks({ method, trace }: Lane): readonly SlippedWork[] {
  const known = SLIPPED.get(trace);
  if (known) return known;
  const { school, choice, problem, total } = trace;
  const made = tried(trace.opportunities).flatMap((opportunity): SlippedWork[] => {
    const request = { school, slips: [opportunity], order: choice.order, hops: choice.hops };
    if (method.light(problem, request).answer.equals(total)) return [];
    const label = method.slips.find(({ id }) => id === opportunity.slip)?.label ?? opportunity.slip;
    return [{ opportunity, label, trace: method.trace(problem, request) }];
  });
  SLIPPED.set(trace, made);
  return made;
}
