import { Button, DialogActions } from '@mui/material';
import { useRef, useState, type ReactNode } from 'react';

export interface AskingState {
  /** Whether it is asked what becomes of what was typed. */
  readonly asks: boolean;
  /** Closes, or asks first when something was typed. */
  readonly close: () => void;
  readonly goOn: () => void;
  readonly throwAway: () => void;
}

/** A dialog that is left by Esc or by a click beside it asks before what was typed is thrown away. */
export function useAsking(hasTyped: boolean, close: () => void): AskingState {
  const [asks, setAsks] = useState(false);
  const typing = useRef<Element>(null);
  const ask = () => {
    if (!asks) typing.current = document.activeElement;
    setAsks(!asks);
  };
  return {
    asks: asks && hasTyped,
    close: () => (hasTyped ? ask() : close()),
    goOn: () => {
      setAsks(false);
      if (typing.current instanceof HTMLElement) typing.current.focus();
    },
    throwAway: close,
  };
}

/** The buttons of a dialog, or the question what becomes of what was typed. */
export function Asking(props: {
  readonly asking: AskingState;
  readonly keep: () => void;
  readonly children: ReactNode;
}) {
  const { asking, keep, children } = props;
  if (!asking.asks) return children;
  return (
    <DialogActions role="alertdialog" aria-label="What was typed is not kept yet">
      <span className="caption">What was typed is not kept yet.</span>
      <span className="spacer" />
      <Button onClick={asking.throwAway}>Throw it away</Button>
      <Button onClick={asking.goOn}>Go on typing</Button>
      <Button variant="contained" autoFocus onClick={keep}>
        Keep it
      </Button>
    </DialogActions>
  );
}
