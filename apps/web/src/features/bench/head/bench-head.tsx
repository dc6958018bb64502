import { VoiceSwitch } from '../../../paper/voice-switch.tsx';
import { operandName, scriptOf } from '@levee/core';
import RedoIcon from '@mui/icons-material/Redo';
import SwapHorizIcon from '@mui/icons-material/SwapHoriz';
import UndoIcon from '@mui/icons-material/Undo';
import { useComparison } from '../../../store/comparison-store.ts';
import { useSession } from '../../../store/session-store.ts';
import { IconCommand } from '../../../commands/icon-command.tsx';
import { useWorked } from '../../../worked/use-worked.ts';
import { WhenOpened } from '../../../ui/when-opened.tsx';
import { BaseChip } from './base-chip.tsx';
import { OneLine } from '../../../ui/one-line.tsx';
import { MathText } from '../../../ui/math-text.tsx';
import { ReadingChip } from './reading-chip.tsx';
import { BenchMenu } from './bench-menu.tsx';
import { EstimateStrip } from './estimate-strip.tsx';
import { KeepingMark } from './keeping-mark.tsx';
import { ContextNotes, DirectionChip, StructureChip } from './problem-notes.tsx';
import { ProblemField } from './problem-field.tsx';
import { useCommand } from '../../../commands/scene.tsx';
import './head.css';
import { later } from '../../../ui/later.ts';

const AboutDialog = later(async () => ({
  default: (await import('./about-dialog.tsx')).AboutDialog,
}));

/** The computation with its context, and, when `all` is drawn, what there is to know of it and to do with it. */
export function BenchHead({ all = true }: { readonly all?: boolean }) {
  return (
    <header className="bench-head">
      <ProblemField />
      {all && <AroundProblem />}
    </header>
  );
}

/** What stands beside the computation: its story, the estimate, the voice, and whether it is kept. */
function AroundProblem() {
  const { problem } = useWorked();
  const { story, unit } = useComparison((state) => state.content);
  const operands = `${operandName(problem.kind, 0)}s`;
  const swap = useCommand('swap');
  const about = useSession((session) => session.dialog === 'about');
  const setAbout = (open: boolean) => useSession.setState({ dialog: open ? 'about' : null });
  return (
    <>
      <div className="context">
        <button type="button" className="link caption story" onClick={() => setAbout(true)}>
          <MathText text={story || 'what do the numbers stand for?'} />
        </button>
        <OneLine name="about these numbers" className="chips">
          <ContextNotes problem={problem} />
          {swap.can && (
            <button
              type="button"
              className="chip"
              onClick={swap.run}
              title={`Every record changes, the ${problem.kind} does not: ${operands} may change places.`}
            >
              <SwapHorizIcon fontSize="inherit" />{' '}
              {problem.operands.length > 2 ? 'reverse' : 'swap'} {operands}
            </button>
          )}
          <StructureChip problem={problem} />
          <DirectionChip problem={problem} />
          <BaseChip problem={problem} />
          <ReadingChip problem={problem} />
          <button type="button" className="chip" onClick={() => setAbout(true)}>
            {unit ? `unit: ${unit}` : 'unit?'}
          </button>
        </OneLine>
      </div>
      {scriptOf(problem) === 'terms' ? null : <EstimateStrip />}
      <span className="spacer" />
      <VoiceSwitch />
      <span className="icons">
        <IconCommand id="undo" icon={<UndoIcon />} />
        <IconCommand id="redo" icon={<RedoIcon />} />
      </span>
      <KeepingMark />
      <BenchMenu onAbout={() => setAbout(true)} />
      <WhenOpened open={about}>
        <AboutDialog open={about} close={() => setAbout(false)} />
      </WhenOpened>
    </>
  );
}
