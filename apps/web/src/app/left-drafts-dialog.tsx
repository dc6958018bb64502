import { Button, Dialog, DialogActions, DialogContent, DialogTitle } from '@mui/material';
import { useState } from 'react';
import { discard, keepAsCopy, type Left } from '../store/left-drafts.ts';

const WHY: Record<Left['why'], string> = {
  'changed-elsewhere': 'The comparison was changed elsewhere since.',
  gone: 'The comparison was deleted since.',
};

interface LeftDraftsDialogProps {
  readonly left: readonly Left[];
  readonly open: boolean;
  readonly close: () => void;
}

/** What closed tabs left, one by one: kept as a comparison of its own, or let go. */
export default function LeftDraftsDialog({ left, open, close }: LeftDraftsDialogProps) {
  return (
    <Dialog open={open} onClose={close} maxWidth="sm" fullWidth>
      <DialogTitle>Not kept when a tab was closed</DialogTitle>
      <DialogContent className="left-list">
        {left.map((one) => (
          <LeftRow key={`${one.id}/${one.tab}`} left={one} />
        ))}
      </DialogContent>
      <DialogActions>
        <Button onClick={close}>Later</Button>
      </DialogActions>
    </Dialog>
  );
}

function LeftRow({ left }: { readonly left: Left }) {
  const [fault, setFault] = useState<string | null>(null);
  const { document, at } = left.draft;
  return (
    <section>
      <h3>{document.title || document.problem}</h3>
      <p className="figures">{document.problem}</p>
      <p className="caption">
        {WHY[left.why]} {at && `Changed ${new Date(at).toLocaleString([], { hour12: false })}.`}
      </p>
      {fault && <p className="dialog-fault">It could not be kept. {fault}</p>}
      <Button size="small" onClick={() => void keepAsCopy(left).then(setFault)}>
        Keep as a copy
      </Button>
      <Button size="small" onClick={() => discard(left)}>
        Let it go
      </Button>
    </section>
  );
}
