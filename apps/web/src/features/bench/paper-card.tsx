import { foresee, sayMarked } from '@levee/core';
import CloseIcon from '@mui/icons-material/Close';
import OpenInFullIcon from '@mui/icons-material/OpenInFull';
import CloseFullscreenIcon from '@mui/icons-material/CloseFullscreen';
import { IconButton } from '@mui/material';
import { memo } from 'react';
import { dispatch, useComparison } from '../../store/comparison-store.ts';
import { putAway } from '../../store/edits.ts';
import { useSession } from '../../store/session-store.ts';
import { MathText } from '../../ui/math-text.tsx';
import { Spoken } from '../../ui/spoken.tsx';
import { useSpeaker, useVoice } from '../../worked/use-worked.ts';
import type { Lit } from '../../worked/lit.ts';
import { answerWithUnit } from '../../worked/answer.ts';
import type { Paper } from '../../worked/work.ts';
import { CostStrip } from './cost-strip.tsx';
import { foresightText } from './foresight-text.ts';
import { HopsStrip } from './hops-strip.tsx';
import { PointableStage } from './pointable-stage.tsx';
import { MethodMenu, SchoolMenus } from './paper-menus.tsx';

export interface PaperCardProps {
  readonly paper: Paper;
  readonly step: number;
  readonly lit: Lit;
  readonly removable: boolean;
}

/** One method on its sheet of squared paper, with its schools, its sentence and its cost. */
export const PaperCard = memo(function PaperCard({ paper, step, lit, removable }: PaperCardProps) {
  const active = useSession((session) => session.active === paper.id);
  return (
    <article
      className={active ? 'paper active' : 'paper'}
      aria-label={paper.method.name}
      data-paper={paper.index}
      onPointerDown={() => useSession.setState({ active: paper.id })}
    >
      <header className="paper-head">
        <MethodMenu paper={paper} />
        <span className="count figures">
          {step} of {paper.last}
        </span>
        <PaperButtons paper={paper} removable={removable} />
        <SchoolMenus paper={paper} />
        <HopsStrip paper={paper} />
      </header>
      <PointableStage paper={paper} step={step} lit={lit} most={30} />
      <Sentence paper={paper} step={step} />
      <CostStrip paper={paper} />
    </article>
  );
});

const PaperButtons = memo(function PaperButtons({
  paper,
  removable,
}: {
  readonly paper: Paper;
  readonly removable: boolean;
}) {
  const isLarge = useSession((session) => session.large !== null);
  return (
    <span className="icons">
      <IconButton
        size="small"
        aria-label={
          isLarge ? `Close ${paper.method.shortName}` : `Open ${paper.method.shortName} large`
        }
        onClick={() => useSession.setState({ large: isLarge ? null : paper.id })}
      >
        {isLarge ? <CloseFullscreenIcon /> : <OpenInFullIcon />}
      </IconButton>
      {removable && !isLarge && (
        <IconButton
          size="small"
          aria-label={`Put ${paper.method.shortName} away`}
          onClick={() => dispatch(putAway(paper.id))}
        >
          <CloseIcon />
        </IconButton>
      )}
    </span>
  );
});

/** What the method does, and what these numbers will make it do. */
function BeforeWorking({ paper }: { readonly paper: Paper }) {
  const say = useSpeaker();
  const foreseen = foresightText(foresee(paper.lane.trace), say);
  return (
    <span className="caption">
      <strong>{foreseen}</strong> {paper.method.summary}
    </span>
  );
}

/** The answer with its unit, once the paper is done. */
function Answer({ paper }: { readonly paper: Paper }) {
  const unit = useComparison((state) => state.content.unit);
  const say = useSpeaker();
  if (unit === '') return null;
  return (
    <span className="answer-label">
      {' '}
      Answer:{' '}
      <strong>
        <MathText text={answerWithUnit(paper.lane.trace, unit, say)} />
      </strong>
    </span>
  );
}

/** Characters from which on a sentence is set smaller, so that it need not be scrolled. */
const LONG = 118;

/** What the last step did, in the chosen voice. */
export function Sentence({ paper, step }: { readonly paper: Paper; readonly step: number }) {
  const say = useSpeaker();
  const voice = useVoice();
  const done = paper.lane.trace.steps[step - 1];
  const marked = done ? sayMarked(paper.method.phrases, done.phrase, voice, say) : '';
  return (
    <p
      className={marked.length > LONG ? 'sentence long' : 'sentence'}
      role="status"
      aria-label={`${paper.method.shortName}, step ${step}`}
    >
      {done ? <Spoken marked={marked} /> : <BeforeWorking paper={paper} />}
      {step === paper.last && <Answer paper={paper} />}
    </p>
  );
}
