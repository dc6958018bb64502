import { areTogether, type Pace } from '@levee/core';
import FirstPageIcon from '@mui/icons-material/FirstPage';
import LastPageIcon from '@mui/icons-material/LastPage';
import NavigateBeforeIcon from '@mui/icons-material/NavigateBefore';
import PauseIcon from '@mui/icons-material/Pause';
import PlayArrowIcon from '@mui/icons-material/PlayArrow';
import { Button, ToggleButton, ToggleButtonGroup } from '@mui/material';
import { dispatch, useComparison } from '../../../store/comparison-store.ts';
import { paced } from '../../../store/edits.ts';
import { useSession } from '../../../store/session-store.ts';
import { useSteps, useWorked } from '../../../worked/use-worked.ts';
import type { Worked } from '../../../worked/work.ts';
import { IconCommand } from '../../../commands/icon-command.tsx';
import { useCommand } from '../../../commands/scene.tsx';

const PACE_NAMES: Record<Pace, string> = {
  amount: 'by amount',
  step: 'by step',
  alone: 'one alone',
};

/** Whether the papers have come to the same terms; one alone has nothing to be together with. */
function togetherText({ comparison: { lanes } }: Worked, steps: readonly number[]): string {
  if (lanes.length < 2) return 'one paper';
  return areTogether(lanes, steps) ? 'together' : 'side by side';
}

/** Moves the papers: the pace, next and back, and whether they have come to the same terms. */
export function Transport() {
  const worked = useWorked();
  const steps = useSteps();
  const pace = useComparison((state) => state.progress.pace);
  const playing = useSession((session) => session.playing);
  const next = useCommand('next');
  return (
    <div className="transport">
      <ToggleButtonGroup
        exclusive
        size="small"
        value={pace}
        aria-label="Pace"
        onChange={(_, chosen: Pace | null) => chosen && dispatch(paced(chosen))}
      >
        {(Object.keys(PACE_NAMES) as Pace[]).map((one) => (
          <ToggleButton key={one} value={one}>
            {PACE_NAMES[one]}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      <div className="transport-buttons">
        <IconCommand id="start" icon={<FirstPageIcon />} />
        <IconCommand id="back" icon={<NavigateBeforeIcon />} />
        <Button variant="contained" onClick={next.run} disabled={!next.can} className="next">
          next
        </Button>
        <IconCommand id="play" icon={playing ? <PauseIcon /> : <PlayArrowIcon />} />
        <IconCommand id="end" icon={<LastPageIcon />} />
      </div>
      <p className="caption">
        <strong role="status">{togetherText(worked, steps)}</strong> · → step ·{' '}
        {worked.papers.length > 1 && `1–${worked.papers.length} one paper · `}? keys
      </p>
    </div>
  );
}
