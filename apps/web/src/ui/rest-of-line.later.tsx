import { Popover } from '@mui/material';
import type { ReactNode } from 'react';

interface RestOfLineProps {
  readonly anchor: HTMLElement | null;
  readonly close: () => void;
  readonly children: ReactNode;
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
      <div className="one-line-rest">{children}</div>
    </Popover>
  );
}
