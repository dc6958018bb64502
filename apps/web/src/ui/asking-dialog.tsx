import { Button, Dialog, DialogActions, DialogContent, DialogTitle } from '@mui/material';
import { useRef, useState, type ReactNode } from 'react';
import { enterGoesOn } from './next-field.ts';

interface AskingDialogProps {
  readonly title: string;
  /** What its button that keeps is called. */
  readonly keepText: string;
  readonly canKeep: boolean;
  /** Whether something was typed that is not kept yet. */
  readonly hasTyped: boolean;
  /** Keeps what was typed and closes, when that can be. */
  readonly keep: () => void;
  readonly close: () => void;
  readonly className?: string;
  readonly children: ReactNode;
}

/** A dialog in which things are typed: left by Esc or by a click beside it, it asks before what was typed is thrown away. */
export function AskingDialog(props: AskingDialogProps) {
  const { title, keepText, canKeep, hasTyped, keep, close, className, children } = props;
  const [asks, setAsks] = useState(false);
  const typing = useRef<Element>(null);
  const leave = () => {
    if (!hasTyped) return close();
    if (!asks) typing.current = document.activeElement;
    setAsks(!asks);
  };
  const goOn = () => {
    setAsks(false);
    if (typing.current instanceof HTMLElement) typing.current.focus();
  };
  return (
    <Dialog open onClose={leave} maxWidth="sm" fullWidth>
      <form
        onKeyDown={enterGoesOn}
        onSubmit={(event) => {
          event.preventDefault();
          keep();
        }}
      >
        <DialogTitle>{title}</DialogTitle>
        <DialogContent {...(className ? { className } : {})}>{children}</DialogContent>
        {asks && hasTyped ? (
          <DialogActions role="alertdialog" aria-label="What was typed is not kept yet">
            <span className="caption">What was typed is not kept yet.</span>
            <span className="spacer" />
            <Button onClick={close}>Throw it away</Button>
            <Button onClick={goOn}>Go on typing</Button>
            <Button variant="contained" autoFocus onClick={keep}>
              Keep it
            </Button>
          </DialogActions>
        ) : (
          <DialogActions>
            <Button onClick={close}>Leave</Button>
            <Button type="submit" variant="contained" disabled={!canKeep}>
              {keepText}
            </Button>
          </DialogActions>
        )}
      </form>
    </Dialog>
  );
}
