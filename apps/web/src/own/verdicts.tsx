import { useState } from 'react';
import { WhenOpened } from '../ui/when-opened.tsx';
import { later } from '../ui/later.ts';

const VerdictsDialog = later(() => import('./verdicts-dialog.later.tsx'));

/** Opens what Levee says of a line, and the keys of the paper. */
export function VerdictsButton() {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <button
        type="button"
        className="school"
        aria-label="What Levee says of a line"
        onClick={() => setOpen(true)}
      >
        ?
      </button>
      <WhenOpened open={isOpen}>
        <VerdictsDialog open={isOpen} close={() => setOpen(false)} />
      </WhenOpened>
    </>
  );
}
