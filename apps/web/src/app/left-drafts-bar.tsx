import { Button, Dialog, DialogActions, DialogContent, DialogTitle } from '@mui/material';
import { useEffect, useState } from 'react';
import { useMatch } from 'react-router';
import { discard, keepAsCopy, settleLeftDrafts, useLeft, type Left } from '../store/left-drafts.ts';

/** Changes that closed tabs left and that cannot be sent without asking: said in a line, settled in a dialog. */
export function LeftDraftsBar() {
  const left = useLeft((state) => state.left);
  const [open, setOpen] = useState(false);
  const opening = useMatch('/c/:id/*')?.params.id ?? null;
  const [first] = useState(opening);
  useEffect(() => void settleLeftDrafts(first), [first]);
  if (left.length === 0) return null;
  const many = left.length === 1 ? 'A change was' : `${left.length} changes were`;
  return (
    <div className="left-drafts" role="status">
      {many} not kept when a tab was closed.{' '}
      <button type="button" className="link" onClick={() => setOpen(true)}>
        Look at {left.length === 1 ? 'it' : 'them'}
      </button>
      <Dialog open={open} onClose={() => setOpen(false)} maxWidth="sm" fullWidth>
        <DialogTitle>Not kept when a tab was closed</DialogTitle>
        <DialogContent className="left-list">
          {left.map((one) => (
            <LeftRow key={`${one.id}/${one.tab}`} left={one} />
          ))}
        </DialogContent>
        <DialogActions>
          <Button onClick={() => setOpen(false)}>Later</Button>
        </DialogActions>
      </Dialog>
    </div>
  );
}

const WHY: Record<Left['why'], string> = {
  'changed-elsewhere': 'The comparison was changed elsewhere since.',
  gone: 'The comparison was deleted since.',
};

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
