import { VOCABULARY, type VocabularyKey } from '@levee/core';
import {
  Button,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  FormControlLabel,
  MenuItem,
  Switch,
  TextField,
} from '@mui/material';
import { useSession } from '../../store/session-store.ts';
import { useSettings, type Settings } from '../../store/settings-store.ts';

const KEYS = Object.keys(VOCABULARY) as VocabularyKey[];

const SWITCHES = [
  ['notes', 'Side notes and small workings'],
  ['notches', 'Place notches under figures'],
  ['letterKeys', 'Single letters as shortcuts'],
  ['costs', 'Costs in sight below papers'],
  ['oneLaw', 'Own lines: one law a line, so that leaps tell their moves'],
] as const satisfies readonly (readonly [keyof Settings, string])[];

function ThemeChoice() {
  const theme = useSettings((settings) => settings.theme);
  return (
    <TextField
      select
      size="small"
      label="Light or dark"
      value={theme}
      onChange={(event) => useSettings.setState({ theme: event.target.value as Settings['theme'] })}
    >
      <MenuItem value="system">as the device</MenuItem>
      <MenuItem value="light">light</MenuItem>
      <MenuItem value="dark">dark</MenuItem>
    </TextField>
  );
}

/** The words that everything is said in, and what is shown. */
export function WordsDialog() {
  const open = useSession((session) => session.dialog === 'words');
  const settings = useSettings();
  const close = () => useSession.setState({ dialog: null });
  return (
    <Dialog open={open} onClose={close} maxWidth="sm" fullWidth>
      <DialogTitle>Words and settings</DialogTitle>
      <DialogContent className="form-column">
        {KEYS.map((key) => (
          <TextField
            key={key}
            select
            size="small"
            label={VOCABULARY[key].label}
            value={settings.words[key]}
            onChange={(event) =>
              useSettings.setState({ words: { ...settings.words, [key]: event.target.value } })
            }
          >
            {VOCABULARY[key].options.map((word) => (
              <MenuItem key={word} value={word}>
                {word}
              </MenuItem>
            ))}
          </TextField>
        ))}
        <ThemeChoice />
        <div>
          {SWITCHES.map(([key, label]) => (
            <FormControlLabel
              key={key}
              label={label}
              control={
                <Switch
                  size="small"
                  checked={settings[key]}
                  onChange={(_, checked) => useSettings.setState({ [key]: checked })}
                />
              }
            />
          ))}
        </div>
      </DialogContent>
      <DialogActions>
        <Button variant="contained" onClick={close}>
          Done
        </Button>
      </DialogActions>
    </Dialog>
  );
}
