import CloseIcon from '@mui/icons-material/Close';
import LastPageIcon from '@mui/icons-material/LastPage';
import FirstPageIcon from '@mui/icons-material/FirstPage';
import NavigateBeforeIcon from '@mui/icons-material/NavigateBefore';
import NavigateNextIcon from '@mui/icons-material/NavigateNext';
import { useComparison } from '../../store/comparison-store.ts';
import { ProblemText } from '../../ui/problem-text.tsx';
import type { Lit } from '../../worked/lit.ts';
import { useLarge, useSpeaker, useSteps, useSubject, useWorked } from '../../worked/use-worked.ts';
import type { Paper } from '../../worked/work.ts';
import { VoiceSwitch } from '../../paper/voice-switch.tsx';
import { IconCommand } from '../../commands/icon-command.tsx';
import { Sentence } from '../../paper/sentence.tsx';
import { PointableStage } from '../../paper/pointable-stage.tsx';
import { useLit } from '../../paper/use-lit.ts';
import { MathText } from '../../ui/math-text.tsx';
import './present.css';

/** For a projector: the papers and their sentences as large as they get, and nothing else. */
export function PresentPage() {
  const { papers } = useWorked();
  const steps = useSteps();
  const lit = useLit();
  const large = useLarge();
  const { problem, story, unit } = useComparison((state) => state.content);
  const shown = large ? [large] : papers;
  return (
    <main className="present">
      <header className="present-head">
        <h1>
          <ProblemText problem={problem} />
        </h1>
        <p>
          {story}
          {unit && ` · in ${unit}`}
        </p>
        <Pointed />
        <span className="spacer" />
        <VoiceSwitch />
        <IconCommand id="start" icon={<FirstPageIcon />} />
        <IconCommand id="back" icon={<NavigateBeforeIcon />} />
        <IconCommand id="next" icon={<NavigateNextIcon />} />
        <IconCommand id="end" icon={<LastPageIcon />} />
        <IconCommand id="bench" icon={<CloseIcon />} />
      </header>
      <div className="present-papers">
        {shown.map((paper) => (
          <Shown key={paper.id} paper={paper} step={steps[paper.index]!} lit={lit[paper.index]!} />
        ))}
      </div>
    </main>
  );
}

/** The worth of what is pointed at, read from the back row. */
function Pointed() {
  const subject = useSubject();
  const say = useSpeaker();
  if (!subject) return null;
  return (
    <p className="present-worth figures">
      <MathText text={say.worth(subject.worth)} />
    </p>
  );
}

interface ShownProps {
  readonly paper: Paper;
  readonly step: number;
  readonly lit: Lit;
}

function Shown({ paper, step, lit }: ShownProps) {
  return (
    <article className="present-paper" aria-label={paper.method.name}>
      <h2>{paper.method.name}</h2>
      <PointableStage paper={paper} step={step} lit={lit} most={64} />
      <Sentence paper={paper} step={step} />
    </article>
  );
}
