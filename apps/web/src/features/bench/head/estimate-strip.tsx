import {
  canBeRounded,
  Exact,
  proposedOperands,
  type EstimateRecord,
  type Problem,
} from '@levee/core';
import { dispatch, useComparison } from '../../../store/comparison-store.ts';
import { changed } from '../../../store/edits.ts';
import { withEstimate } from '../../../store/content.ts';
import { OneLine } from '../../../ui/one-line.tsx';
import { MathText } from '../../../ui/math-text.tsx';
import { useSpeaker, useSteps, useWorked } from '../../../worked/use-worked.ts';
import { worthOf } from './estimate-worth.ts';
import { estimateLine } from '../../../worked/estimate-line.ts';
import { useCommand } from '../../../commands/scene.tsx';

export function record(estimate: EstimateRecord): void {
  dispatch(changed((content) => withEstimate(content, estimate)));
}

function useProposal(problem: Problem, untouched: boolean): EstimateRecord {
  const operands = proposedOperands(problem);
  const value = worthOf(problem.kind, operands, problem.base) ?? Exact.ZERO;
  return { operands, value: value.toString(), judgement: '', beforeWorking: untouched };
}

/** The estimate in the head of the bench: offered until it is recorded, then kept in sight. */
export function EstimateStrip() {
  const { problem } = useWorked();
  const untouched = useSteps().every((step) => step === 0);
  const estimate = useComparison((state) => state.content.estimate);
  const proposal = useProposal(problem, untouched);
  const open = useCommand('estimate');
  const shown = estimate ?? proposal;
  const isOffered = estimate !== null || canBeRounded(problem);
  return (
    <div className={estimate ? 'estimate' : 'estimate offered'}>
      <span className="caption">
        {estimate
          ? `estimate, ${estimate.beforeWorking ? 'before working' : 'made while working'}`
          : untouched
            ? 'estimate first?'
            : 'an estimate?'}
      </span>
      <OneLine name="about the estimate" className="estimate-line">
        {isOffered ? (
          <EstimateText estimate={shown} problem={problem} />
        ) : (
          <span className="caption">nothing to round here</span>
        )}
        {estimate ? (
          <button type="button" className="link" onClick={open.run}>
            {estimate.judgement === '' ? 'judge it' : `“${estimate.judgement}”`}
          </button>
        ) : (
          <>
            {isOffered && (
              <button type="button" className="chip" onClick={() => record(proposal)}>
                record
              </button>
            )}
            <button type="button" className="chip" onClick={open.run}>
              other…
            </button>
          </>
        )}
      </OneLine>
    </div>
  );
}

function EstimateText(props: { readonly estimate: EstimateRecord; readonly problem: Problem }) {
  const { estimate, problem } = props;
  const say = useSpeaker();
  return (
    <span className="figures">
      <MathText
        text={`${estimateLine(estimate, problem.kind, say)} ≈ ${say.worth(Exact.parse(estimate.value))}`}
      />
    </span>
  );
}

/** Her own rounding of each operand, and how near is near enough. */
