import type { OwnLinesMethod } from '@levee/core';
import { useState } from 'react';
import { later } from '../../ui/later.ts';
import { WhenOpened } from '../../ui/when-opened.tsx';
import type { Paper } from '../../worked/work.ts';

const OtherNumbersDialog = later(() => import('./other-numbers-dialog.later.tsx'));

/** Opens the way of a paper with letters for its numbers; there once the paper has come to the answer. */
export function OtherNumbersButton({
  paper,
  method,
}: {
  readonly paper: Paper;
  readonly method: OwnLinesMethod;
}) {
  const [isOpen, setOpen] = useState(false);
  const { complete, right } = method.judged(paper.lane.trace.problem).paper;
  if (!complete || !right) return null;
  return (
    <>
      <button
        type="button"
        className="school"
        aria-label="This way on other numbers"
        aria-haspopup="dialog"
        onClick={() => setOpen(true)}
      >
        numbers…
      </button>
      <WhenOpened open={isOpen}>
        <OtherNumbersDialog
          open={isOpen}
          close={() => setOpen(false)}
          paper={paper}
          method={method}
        />
      </WhenOpened>
    </>
  );
}
