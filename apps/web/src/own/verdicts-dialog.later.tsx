import { Button, Dialog, DialogActions, DialogContent, DialogTitle } from '@mui/material';

/** What is said of a line, by its sign. */
const VERDICTS = [
  ['✓', 'equal, and the law is named; or the same amount where Levee finds no law for the step'],
  ['✓', 'several moves: right, and a line between is offered'],
  ['✗', 'not equal: by how much, and the true line that is nearest'],
  ['=', 'run-on: the sign means “and then”; offered are a line for each statement, or arrows'],
  ['?', 'reads only so far: the place is marked, and the line is kept as it is'],
] as const;

const WRITTEN = [
  ['= 46 × 60 − 46 × 2', 'a rewriting of the line before'],
  ['40 × 50 = 2000', 'a line aside; a number alone after such lines is their total'],
  ['387 +13→ 400 +242→ 642', 'jumps; sizes that are left out are offered'],
  ['10 | 70', 'a pair of a ratio table'],
  ['387 + □ = 642', 'an open sentence; □ is also written ?'],
  ['= 136 r 3', 'a whole quotient with what is left over'],
  ['half of 46, 4 tens, 9 twelfths', 'amounts; any other words are a note'],
  ['||||| ||, ●●●○', 'a sketch: kept, and not judged'],
] as const;

const KEYS = [
  ['Enter', 'next line; within a line it is split there'],
  ['Backspace', 'at the beginning, joins the line before'],
  ['↑ ↓', 'to the line above or below'],
  ['→', 'at the end of a line, takes the offer'],
  ['Alt ↓', 'chooses another offer'],
  ['Alt x', 'strikes the line, and takes the stroke away'],
  ['Tab, Esc', 'leaves the paper'],
] as const;

/** What Levee says of a line, how lines are written, and the keys. */
export default function VerdictsDialog(props: {
  readonly open: boolean;
  readonly close: () => void;
}) {
  return (
    <Dialog open={props.open} onClose={props.close} maxWidth="md" fullWidth>
      <DialogTitle>What Levee says of a line</DialogTitle>
      <DialogContent className="verdicts">
        <List rows={VERDICTS} />
        <h3>How lines are written</h3>
        <List rows={WRITTEN} />
        <h3>Keys</h3>
        <List rows={KEYS} />
      </DialogContent>
      <DialogActions>
        <Button variant="contained" onClick={props.close}>
          Close
        </Button>
      </DialogActions>
    </Dialog>
  );
}

function List({ rows }: { readonly rows: readonly (readonly [string, string])[] }) {
  return (
    <dl>
      {rows.map(([sign, text]) => (
        <div key={text}>
          <dt>{sign}</dt>
          <dd>{text}</dd>
        </div>
      ))}
    </dl>
  );
}
