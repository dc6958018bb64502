import { inNotation, numberText, type Exact, type Notation } from '@levee/core';
import BackspaceIcon from '@mui/icons-material/BackspaceOutlined';
import { Button, IconButton, TextField } from '@mui/material';
import { useRef, useState } from 'react';
import { calculate, type Calculated } from './calculate.ts';

/** What was keyed in last, and what it made. */
export interface Keyed {
  readonly text: string;
  readonly value: Exact;
}

interface CalculatorProps {
  readonly keyed: Keyed | null;
  /** The computation of the comparison, one press away; null where it has letters, for which numbers are put in first. */
  readonly offer: string | null;
  readonly notation: Notation;
  readonly done: (keyed: Keyed) => void;
  readonly record: () => void;
}

const KEYS = [
  '7',
  '8',
  '9',
  '÷',
  '4',
  '5',
  '6',
  '×',
  '1',
  '2',
  '3',
  '−',
  '0',
  '.',
  '(',
  '+',
] as const;

/** An exact calculator: whole numbers of any length, decimals and fractions without rounding. */
export function Calculator({ keyed, offer, notation, done, record }: CalculatorProps) {
  const [text, setText] = useState('');
  const [shown, setShown] = useState<Calculated | null>(null);
  const field = useRef<HTMLInputElement>(null);
  const work = () => {
    if (text.trim() === '') return;
    const result = calculate(text, notation);
    setShown(result);
    if (result.ok) done({ text, value: result.value });
  };
  const put = (change: (typed: string) => string) => {
    setText(change);
    setShown(null);
  };
  const type = (key: string) => {
    put((typed) => typed + (/[÷×−+]/.test(key) ? ` ${key} ` : key));
    field.current?.focus();
  };
  return (
    <section className="calculator" aria-label="Calculator">
      <h2>Calculator</h2>
      <TextField
        fullWidth
        size="small"
        inputRef={field}
        label="Key in a computation"
        value={text}
        slotProps={{ htmlInput: { maxLength: 400, spellCheck: false, autoComplete: 'off' } }}
        onChange={(event) => put(() => event.target.value)}
        onKeyDown={(event) => event.key === 'Enter' && work()}
      />
      <p className="display figures" role="status" aria-label="Calculator display">
        {shown === null ? (
          ' '
        ) : shown.ok ? (
          `= ${inNotation(numberText(shown.value, 10), notation)}`
        ) : (
          <span className="fault">{shown.fault}</span>
        )}
      </p>
      <Keypad
        type={type}
        back={() => put((typed) => typed.trimEnd().slice(0, -1))}
        offer={offer === null ? null : inNotation(offer, notation)}
        take={(taken) => put(() => taken)}
      />
      <p className="chips">
        <Button size="small" variant="contained" onClick={work} disabled={text.trim() === ''}>
          Work out
        </Button>
        <Button size="small" variant="outlined" onClick={record} disabled={keyed === null}>
          Record the check
        </Button>
      </p>
    </section>
  );
}

interface KeypadProps {
  readonly type: (key: string) => void;
  readonly back: () => void;
  /** The computation on the bench, ready to be keyed in; null where it cannot be. */
  readonly offer: string | null;
  readonly take: (text: string) => void;
}

function Keypad({ type, back, offer, take }: KeypadProps) {
  return (
    <div className="keypad">
      {KEYS.map((key) => (
        <button key={key} type="button" className="chip" onClick={() => type(key)}>
          {key}
        </button>
      ))}
      <button type="button" className="chip" onClick={() => type(')')}>
        )
      </button>
      <IconButton size="small" aria-label="Take the last character away" onClick={back}>
        <BackspaceIcon fontSize="inherit" />
      </IconButton>
      {offer !== null && (
        <button type="button" className="chip wide" onClick={() => take(offer)}>
          {offer.length > 14 ? 'this computation' : offer}
        </button>
      )}
    </div>
  );
}
