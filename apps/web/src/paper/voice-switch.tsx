import type { Voice } from '@levee/core';
import { ToggleButton, ToggleButtonGroup } from '@mui/material';
import { useSettings } from '../store/settings-store.ts';

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
