import { TEXT_LIMITS } from '@levee/core';
import {
  Button,
  Checkbox,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  FormControlLabel,
  TextField,
} from '@mui/material';
import { useState } from 'react';
import { dispatch, useComparison } from '../../../store/comparison-store.ts';
import { changed } from '../../../store/edits.ts';

type Texts = Record<keyof typeof TEXT_LIMITS, string>;

const FIELDS: readonly {
  readonly key: keyof Texts;
  readonly label: string;
  readonly help: string;
}[] = [
  { key: 'title', label: 'Title', help: 'How the comparison is found again.' },
  {
    key: 'story',
    label: 'Story',
    help: 'What the numbers stand for: sandbags on 46 pallets of 58.',
  },
  { key: 'unit', label: 'Unit', help: 'What the answer counts or measures.' },
];

/** Title, story and unit of the comparison. */
export function AboutDialog({
  open,
  close,
}: {
  readonly open: boolean;
  readonly close: () => void;
}) {
  return (
    <Dialog open={open} onClose={close} maxWidth="sm" fullWidth>
      {open && <AboutForm close={close} />}
    </Dialog>
  );
}

function AboutForm({ close }: { readonly close: () => void }) {
  const { title, story, unit, counted: kept } = useComparison((state) => state.content);
  const [counted, setCounted] = useState(kept);
  const [texts, setTexts] = useState<Texts>({ title, story, unit });
  const save = () => {
    const trimmed = Object.fromEntries(
      Object.entries(texts).map(([key, text]) => [key, text.trim()]),
    ) as Texts;
    dispatch(changed((content) => ({ ...content, ...trimmed, counted })));
    close();
  };
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        save();
      }}
    >
      <DialogTitle>About this comparison</DialogTitle>
      <DialogContent className="form-column">
        {FIELDS.map(({ key, label, help }, i) => (
          <TextField
            key={key}
            label={label}
            helperText={help}
            value={texts[key]}
            autoFocus={i === 0}
            slotProps={{ htmlInput: { maxLength: TEXT_LIMITS[key] } }}
            onChange={(event) => setTexts({ ...texts, [key]: event.target.value })}
          />
        ))}
        <FormControlLabel
          label="counted in wholes: they cannot be split, and there are never fewer than none"
          control={<Checkbox checked={counted} onChange={(_, on) => setCounted(on)} />}
        />
      </DialogContent>
      <DialogActions>
        <Button onClick={close}>Leave</Button>
        <Button type="submit" variant="contained">
          Keep
        </Button>
      </DialogActions>
    </form>
  );
}
