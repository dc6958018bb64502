import { useEffect, useState } from 'react';
import { useMatch } from 'react-router';
import { settleLeftDrafts, useLeft } from '../store/left-drafts.ts';
import { WhenOpened } from '../ui/when-opened.tsx';
import { later } from '../ui/later.ts';

const LeftDraftsDialog = later(() => import('./left-drafts-dialog.tsx'));

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
      <WhenOpened open={open}>
        <LeftDraftsDialog left={left} open={open} close={() => setOpen(false)} />
      </WhenOpened>
    </div>
  );
}
