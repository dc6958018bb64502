import {
  addressText,
  inNotation,
  reachOf,
  type Addressed,
  type CheckFinding,
  type CheckSpec,
  type CheckSubject,
} from '@levee/core';
import { Button } from '@mui/material';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { useComparison } from '../../store/comparison-store.ts';
import { MathText } from '../../ui/math-text.tsx';
import { useNotation, useSpeaker } from '../../worked/use-worked.ts';
import { OUTCOME_TEXTS } from '../../worked/outcome-texts.ts';

interface CheckRowProps {
  readonly check: CheckSpec;
  readonly subject: CheckSubject;
  readonly make: () => void;
}

/** One check: what it finds on the chosen paper, and which slips it would and would not catch here. */
export function CheckRow({ check, subject, make }: CheckRowProps) {
  const notation = useNotation();
  const lack = check.lacks(subject);
  const { answer, total } = subject.lane.trace;
  const isRight = answer.equals(total);
  const finding = lack === null ? check.make(subject, answer) : null;
  return (
    <article className="check" aria-label={check.name} data-check={check.id}>
      <header>
        <h2>{check.name}</h2>
        {finding && <Outcome finding={finding} />}
        <span className="spacer" />
        <Button size="small" variant="outlined" onClick={make} disabled={lack !== null}>
          Record
        </Button>
      </header>
      {finding ? (
        finding.lines.map((line) => (
          <p key={line} className="figures">
            <MathText text={inNotation(line, notation)} />
          </p>
        ))
      ) : (
        <p className="caption">{lack}</p>
      )}
      <p className="caption">
        <strong>Catches:</strong> {check.catches} <strong>Lets through:</strong> {check.misses}
      </p>
      {finding && isRight && finding.outcome === 'agrees' && (
        <Reach check={check} subject={subject} />
      )}
      {finding && isRight && finding.outcome !== 'agrees' && (
        <p className="caption">
          It does not pass the right answer here, so it cannot tell slips from right work.
        </p>
      )}
      {finding && !isRight && (
        <p className="caption">
          {finding.outcome === 'disagrees'
            ? 'The paper’s answer is wrong, and this check notices it.'
            : 'The paper’s answer is wrong, and this check lets it through.'}
        </p>
      )}
    </article>
  );
}

function Outcome({ finding: { outcome } }: { readonly finding: CheckFinding }) {
  return <span className={`outcome ${outcome}`}>{OUTCOME_TEXTS[outcome]}</span>;
}

/** The slips of this very work, each tried on this check. */
function Reach({ check, subject }: { readonly check: CheckSpec; readonly subject: CheckSubject }) {
  const say = useSpeaker();
  const reach = useMemo(() => reachOf(check, subject), [check, subject]);
  if (reach.length === 0) return null;
  const caught = reach.filter((slip) => slip.caught).length;
  return (
    <details className="reach">
      <summary className="caption">
        On these numbers it would catch {caught} of {reach.length}{' '}
        {reach.length === 1 ? 'slip' : 'slips'} of this paper
      </summary>
      <table>
        <thead>
          <tr>
            <th scope="col">slip</th>
            <th scope="col">at step</th>
            <th scope="col">answer it would give</th>
            <th scope="col">caught?</th>
          </tr>
        </thead>
        <tbody>
          {reach.map(({ opportunity, label, answer, caught: found }) => (
            <tr key={`${opportunity.slip}@${opportunity.occurrence}`}>
              <td>
                <Link to={slipPath(subject, opportunity)} className="link">
                  {label}
                </Link>
              </td>
              <td className="figures">{opportunity.step}</td>
              <td className="figures">
                <MathText text={say.pointed(answer)} />
              </td>
              <td>{found ? '✓ caught' : '— let through'}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}

/** Where a slip of the checked paper is seen with its right paper beside it. */
function slipPath({ comparison, lane }: CheckSubject, { slip, at }: Addressed): string {
  const { papers } = useComparison.getState().content;
  const paper = papers[comparison.lanes.indexOf(lane)]?.id ?? '';
  return `../slips?${new URLSearchParams({ paper, slip: addressText({ slip, at }) }).toString()}`;
}
