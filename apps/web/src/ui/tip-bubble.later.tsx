import { Popper } from '@mui/material';
import './tip.css';

interface TipBubbleProps {
  readonly id: string;
  readonly anchor: HTMLElement;
  readonly text: string;
}

/** The sentence of a tip, beside what it is about. */
export default function TipBubble({ id, anchor, text }: TipBubbleProps) {
  return (
    <Popper id={id} open anchorEl={anchor} role="tooltip" className="tip-bubble" placement="bottom">
      {text}
    </Popper>
  );
}
