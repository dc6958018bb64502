import CloseIcon from '@mui/icons-material/Close';
import LastPageIcon from '@mui/icons-material/LastPage';
import FirstPageIcon from '@mui/icons-material/FirstPage';
import NavigateBeforeIcon from '@mui/icons-material/NavigateBefore';
import NavigateNextIcon from '@mui/icons-material/NavigateNext';
import { inRoom, isOwnLines, USUAL_VIEW } from '@levee/core';
import { Suspense, useEffect } from 'react';
import { Gauge } from '../../account/gauge.tsx';
import { useComparison } from '../../store/comparison-store.ts';
import { useViewWidth } from '../../ui/use-view-width.ts';
import { ProblemText } from '../../ui/problem-text.tsx';
import type { Lit } from '../../worked/lit.ts';
import { useLarge, useSpeaker, useSteps, useSubject, useWorked } from '../../worked/use-worked.ts';
import type { Paper } from '../../worked/work.ts';
import { VoiceSwitch } from '../../paper/voice-switch.tsx';
import { useCommand } from '../../commands/scene.tsx';
import { useSession } from '../../store/session-store.ts';
import { IconCommand } from '../../commands/icon-command.tsx';
import { useBare } from '../../own/bare-paper.ts';
import { AnySentence } from '../../own/any-sentence.tsx';
import { PointableStage } from '../../paper/pointable-stage.tsx';
import { useLit } from '../../paper/use-lit.ts';
import { FramedList } from '../../paper/framed-list.tsx';
import { MathText } from '../../ui/math-text.tsx';
import { Announcer } from '../../paper/announcer.tsx';
import { SharedPicture } from '../../pictures/lazy-picture.ts';
import { Pointer } from './pointer.tsx';
import { RoomControls } from './room-controls.tsx';
import { useCovered, useRoom } from './use-room.ts';
import './present.css';

/** For a projector: the papers and their sentences as large as they get, and nothing else. */
export function PresentPage() {
  const { papers } = useWorked();
  const steps = useSteps();
  const lit = useLit();
  const large = useLarge();
  const laid = large ? [large] : papers;
  const { shown } = useRoom();
  const isCovered = useCovered().includes('gauge');
  const [hasPapers, hasAccount, hasPicture] = (['papers', 'account', 'picture'] as const).map(
    (part) => shown.includes(part),
  );
  useLeaving();
  return (
    <main className="present">
      <Head />
      {(hasPapers || hasAccount) && (
        <div className="present-papers">
          {hasPapers &&
            laid.map((paper) => (
              <Shown
                key={paper.id}
                paper={paper}
                step={steps[paper.index]!}
                lit={lit[paper.index]!}
              />
            ))}
          {hasAccount && (isCovered ? <CoveredAccount /> : <Gauge />)}
        </div>
      )}
      {!hasPapers && !hasAccount && !hasPicture && (
        <p className="present-nothing">Papers, picture and account are put away.</p>
      )}
      <Announcer />
      {hasPicture && (
        <div
          className={
            hasPapers || hasAccount
              ? 'picture-alone present-picture'
              : 'picture-alone present-picture only'
          }
        >
          <Suspense>
            <SharedPicture />
          </Suspense>
        </div>
      )}
    </main>
  );
}

/** The question, what is pointed at, and what is shown. */
function Head() {
  const { problem, story, unit } = useComparison((state) => state.content);
  return (
    <header className="present-head">
      <h1 className={problem.length > LONG ? 'long' : undefined}>
        <ProblemText problem={problem} />
      </h1>
      <p>
        {story}
        {unit && ` · in ${unit}`}
      </p>
      <Pointed />
      <FramedList />
      <span className="spacer" />
      <VoiceSwitch />
      <RoomControls />
      <span className="present-tools">
        <IconCommand id="start" icon={<FirstPageIcon />} />
        <IconCommand id="back" icon={<NavigateBeforeIcon />} />
        <IconCommand id="next" icon={<NavigateNextIcon />} />
        <IconCommand id="end" icon={<LastPageIcon />} />
        <IconCommand id="bench" icon={<CloseIcon />} />
      </span>
    </header>
  );
}

/** The room of the account while it lies under its cover. */
function CoveredAccount() {
  return (
    <aside className="gauge" aria-label="Account">
      <h2>Account</h2>
      <p className="caption">covered</p>
    </aside>
  );
}

/** Esc leaves, when nothing is pointed at that it lets go of first. */
function useLeaving(): void {
  const bench = useCommand('bench');
  const leave = bench.run;
  useEffect(() => {
    const press = (event: globalThis.KeyboardEvent) => {
      const { pointed, dialog } = useSession.getState();
      if (event.key === 'Escape' && !pointed && dialog === null) leave();
    };
    window.addEventListener('keydown', press, { capture: true });
    return () => window.removeEventListener('keydown', press, { capture: true });
  }, [leave]);
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

/** Characters of a problem from which on it is written smaller, so that the papers keep their room. */
const LONG = 34;
/** Most pixels of a square on a usual view. */
const MOST = 64;

interface ShownProps {
  readonly paper: Paper;
  readonly step: number;
  readonly lit: Lit;
}

function Shown({ paper, step, lit }: ShownProps) {
  const { method } = paper;
  const bare = useBare(paper);
  const width = useViewWidth();
  const counts = useRoom().shown.includes('steps');
  const isCovered = useCovered().includes('verdicts') && isOwnLines(method);
  return (
    <article className="present-paper" aria-label={method.name}>
      <h2>
        {method.name}
        {counts && (
          <span className="caption figures">
            {step} of {paper.last}
          </span>
        )}
      </h2>
      <PointableStage
        paper={bare}
        step={step}
        lit={lit}
        legible={inRoom(width)}
        most={(MOST * width) / USUAL_VIEW}
        over={(square, _, view) => <Pointer paper={bare} square={square} view={view} />}
      />
      {isCovered ? (
        <p className="sentence caption">What is to be said of these lines is covered.</p>
      ) : (
        <AnySentence paper={paper} step={step} foretells={false} inRoom />
      )}
    </article>
  );
}
