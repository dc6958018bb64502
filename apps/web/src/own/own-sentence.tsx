import {
  amountsOf,
  briefOf,
  displayed,
  inNotation,
  quietSaysOf,
  saysOf,
  type JudgedLine,
  type OwnLinesMethod,
} from '@levee/core';
import { useState } from 'react';
import { Sentence } from '../paper/sentence.tsx';
import { MathText } from '../ui/math-text.tsx';
import { useSettings } from '../store/settings-store.ts';
import { useSession } from '../store/session-store.ts';
import { useNotation } from '../worked/use-worked.ts';
import type { Paper } from '../worked/work.ts';
import { useSlipSaid } from './use-slip-said.ts';
import { FollowNumbers, useFollowed } from './way/follow-numbers.tsx';

/** What the last step did; of a line that is not simply lawful, what is to be said of it. */
export function OwnSentence(props: {
  readonly paper: Paper;
  readonly method: OwnLinesMethod;
  readonly step: number;
  readonly inRoom?: boolean;
}) {
  const { paper, method, step, inRoom = false } = props;
  const line = useShownLine(props);
  const notation = useNotation();
  const oneLaw = useSettings((settings) => settings.oneLaw);
  // The line of which the moves were asked.
  const [told, tell] = useState<string | null>(null);
  const followed = useFollowed(paper, method);
  const { asked, paper: judged } = method.judged(paper.lane.trace.problem);
  const isAsked = line?.verdict === 'unequal' && line.falseRule === null && !followed;
  const slip = useSlipSaid(
    asked.text,
    judged.lines.map(({ text }) => text),
    isAsked ? line.n : null,
  );
  if (followed && !inRoom) return <FollowNumbers paper={paper} followed={followed} />;
  if (!line) return <Unworked paper={paper} method={method} step={step} />;
  if (line.verdict === 'lawful' && step > 0) return <Sentence paper={paper} step={step} />;
  const write = amountsOf(asked);
  const isQuiet = line.verdict === 'leap' && !oneLaw && told !== line.text;
  const says = isQuiet ? quietSaysOf(line, write) : saysOf(line, write);
  return (
    <p className="sentence" role="group" aria-label={`${paper.method.shortName}, line ${line.n}`}>
      <span className={`verdict ${line.verdict}`}>{briefOf(line)?.sign}</span>{' '}
      <MathText text={inNotation(displayed(says), notation)} />
      {isQuiet && !inRoom && (
        <>
          {' '}
          <button type="button" className="school" onClick={() => tell(line.text)}>
            which?
          </button>
        </>
      )}
      {slip !== null && (
        <span className="caption by-slip">
          {' '}
          <MathText text={inNotation(slip, notation)} />
        </span>
      )}
    </p>
  );
}

/** Before the first step of the account; what stands on the paper has no amount of its own yet. */
function Unworked({ paper, method, step }: Omit<Parameters<typeof OwnSentence>[0], 'inRoom'>) {
  const { paper: judged, failed, isWaiting } = method.judged(paper.lane.trace.problem);
  const { lines } = judged;
  if (failed !== undefined) return <Failed title={method.shortName} fault={failed} />;
  if (step > 0) return <Sentence paper={paper} step={step} />;
  const isWorked = paper.last > 0;
  const text = isWaiting
    ? 'The lines are being judged …'
    : lines.length === 0
      ? 'Nothing is worked yet.'
      : isWorked
        ? 'The lines come one after the other.'
        : 'What stands here goes into nothing yet.';
  return (
    <p className="sentence" role="group" aria-label={`${method.shortName}, step 0`}>
      <span className="caption">{text}</span>
    </p>
  );
}

/** On a paper on which the judge itself has failed; its lines stand as they were typed. */
function Failed({ title, fault }: { readonly title: string; readonly fault: string }) {
  return (
    <p className="sentence" role="alert" aria-label={`${title}, not judged`}>
      Levee fails on these lines, so that nothing is said of them; they are kept as they stand.
      Write one of them otherwise, or strike it. <span className="caption">({fault})</span>
    </p>
  );
}

/** The line of what is pointed at, else that of the last step. */
function useShownLine(props: {
  readonly paper: Paper;
  readonly method: OwnLinesMethod;
  readonly step: number;
}): JudgedLine | null {
  const { paper, method, step } = props;
  const { trace } = paper.lane;
  const pointed = useSession(({ pointed: at }) =>
    at?.kind === 'entry' && at.paper === paper.id ? at.id : null,
  );
  const { paper: judged } = method.judged(trace.problem);
  const marked = trace.steps.flatMap(({ gives }) => gives).find(({ id }) => id === pointed);
  const last = trace.steps[step - 1]?.phase;
  const of = marked ? marked.spot.row : last?.kind === 'line' ? last.of : null;
  return judged.lines.find(({ n }) => n === of) ?? null;
}
