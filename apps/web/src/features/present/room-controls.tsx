import { ROOM_PARTS, type Cover } from '@levee/core';
import { ToggleButton, ToggleButtonGroup } from '@mui/material';
import { dispatch } from '../../store/comparison-store.ts';
import { lifted, shownOrNot } from '../../store/edits.ts';
import { useCovered, useRoom } from './use-room.ts';

const COVER_NAMES: Partial<Readonly<Record<Cover, string>>> = {
  verdicts: 'verdicts',
  gauge: 'account',
};

/** What is shown, each part for itself, and the covers that can be lifted. */
export function RoomControls() {
  const { shown } = useRoom();
  return (
    <>
      <ToggleButtonGroup size="small" aria-label="Shown" value={shown}>
        {ROOM_PARTS.map((part) => (
          <ToggleButton key={part} value={part} onClick={() => dispatch(shownOrNot(part))}>
            {part}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      {useCovered().map((cover) => (
        <button key={cover} type="button" className="chip" onClick={() => dispatch(lifted(cover))}>
          uncover {COVER_NAMES[cover]}
        </button>
      ))}
    </>
  );
}
