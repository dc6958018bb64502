import { Popover } from '@mui/material';
import type { ReactNode } from 'react';

interface RestOfLineProps {
  readonly anchor: HTMLElement | null;
  readonly close: () => void;
  readonly children: ReactNode;
}

/** Whether what was pressed is done with: a button that opens no menu, or a choice in one. */
function isDone(pressed: Element): boolean {
  const what = pressed.closest('button, [role="menuitem"]');
  return what !== null && !what.hasAttribute('aria-haspopup');
}

/** All that is in a line, wrapped, below the button that opened it. */
export default function RestOfLine({ anchor, close, children }: RestOfLineProps) {
  return (
    <Popover
      open={anchor !== null}
      anchorEl={anchor}
      onClose={close}
      anchorOrigin={{ vertical: 'bottom', horizontal: 'right' }}
      transformOrigin={{ vertical: 'top', horizontal: 'right' }}
    >
      <div
        className="one-line-rest"
        role="presentation"
        onClick={(event) => isDone(event.target as Element) && close()}
      >
        {children}
      </div>
    </Popover>
  );
}
