import { answerText } from '../account/answer-text.ts';
import type { Opportunity } from '../account/account.ts';
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
  const { method, trace } = subject.lane;
  return trace.opportunities.slice(0, MOST).flatMap((opportunity): SlipReach[] => {
    const slipped = method.trace(trace.problem, {
      school: trace.school,
      slips: [opportunity],
      order: trace.choice.order,
      hops: trace.choice.hops,
    });
    const { answer, total } = slipped;
    if (answer.equals(total)) return [];
    const label = method.slips.find(({ id }) => id === opportunity.slip)?.label ?? opportunity.slip;
    const { outcome } = check.make(subject, answer, slipped);
    return [{ opportunity, label, answer: answerText(slipped), caught: outcome === 'disagrees' }];
  });
}
