import { ToggleButton, ToggleButtonGroup } from '@mui/material';
import type { Voice } from '@levee/core';
import RedoIcon from '@mui/icons-material/Redo';
import SwapHorizIcon from '@mui/icons-material/SwapHoriz';
import UndoIcon from '@mui/icons-material/Undo';
import { useState } from 'react';
import { useComparison } from '../../store/comparison-store.ts';
import { useSettings } from '../../store/settings-store.ts';
import { IconCommand } from './icon-command.tsx';
import { useWorked } from '../../worked/use-worked.ts';
import { AboutDialog } from './about-dialog.tsx';
import { BenchMenu } from './bench-menu.tsx';
import { EstimateStrip } from './estimate.tsx';
import { KeepingMark } from './keeping-mark.tsx';
import { ProblemField } from './problem-field.tsx';
import { useCommand } from './scene.tsx';

/** The computation with its context, the estimate, the voice, and whether it is kept. */
export function BenchHead() {
  const { problem } = useWorked();
  const { story, unit } = useComparison((state) => state.content);
  const swap = useCommand('swap');
  const [about, setAbout] = useState(false);
  return (
    <header className="bench-head">
      <ProblemField />
      <div className="context">
        <button type="button" className="link caption story" onClick={() => setAbout(true)}>
          {story || 'what do the numbers stand for?'}
        </button>
        <span className="chips">
          <button
            type="button"
            className="chip"
            onClick={swap.run}
            disabled={!swap.can}
            title="Every record changes, the product does not: factors may change places."
          >
            <SwapHorizIcon fontSize="inherit" /> swap factors
          </button>
          {problem.base !== 10 && <span className="chip plain">base {problem.base}</span>}
          <button type="button" className="chip" onClick={() => setAbout(true)}>
            {unit ? `unit: ${unit}` : 'unit?'}
          </button>
        </span>
      </div>
      <EstimateStrip />
      <span className="spacer" />
      <VoiceSwitch />
      <span className="icons">
        <IconCommand id="undo" icon={<UndoIcon />} />
        <IconCommand id="redo" icon={<RedoIcon />} />
      </span>
      <KeepingMark />
      <BenchMenu onAbout={() => setAbout(true)} />
      <AboutDialog open={about} close={() => setAbout(false)} />
    </header>
  );
}

/** Digit voice or value voice. */
export function VoiceSwitch() {
  const voice = useSettings((settings) => settings.voice);
  return (
    <ToggleButtonGroup
      exclusive
      size="small"
      value={voice}
      aria-label="Voice"
      className="voice"
      onChange={(_, chosen: Voice | null) => chosen && useSettings.setState({ voice: chosen })}
    >
      <ToggleButton value="digit">digits</ToggleButton>
      <ToggleButton value="value">values</ToggleButton>
    </ToggleButtonGroup>
  );
}
