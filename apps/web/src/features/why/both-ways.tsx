import { areaTotals, numeralText, numeralValue, type AreaTotals, type Exact } from '@levee/core';
import { useSpeaker, useWorked } from '../../worked/use-worked.ts';
import { MathText } from '../../ui/math-text.tsx';
import './why.css';

/** A number with a sign of its own, or a sum, in a bracket. */
function closed(text: string): string {
  return /^−| /.test(text) ? `(${text})` : text;
}

/** Row totals against column totals: the rectangle added both ways. */
export function BothWays() {
  const { comparison, problem } = useWorked();
  const say = useSpeaker();
  const { times } = say;
  const totals = areaTotals(comparison.space);
  const [first, second] = problem.operands.map((operand) =>
    operand.terms ? `(${say.worth(numeralValue(operand))})` : say.pointed(numeralText(operand)),
  );
  if (!totals || totals.rows.length === 0) return null;
  const text = (amount: Exact) => say.worth(amount);
  const sum = (strips: AreaTotals['rows'], name: (part: string) => string, total: Exact) => (
    <p className="figures">
      <MathText
        text={[...strips]
          .reverse()
          .map(({ text: part, worth }) => `${name(closed(say.pointed(part)))} = ${text(worth)}`)
          .join(', ')}
      />
      :{' '}
      <MathText
        text={[...strips]
          .reverse()
          .map(({ worth }) => closed(text(worth)))
          .join(' + ')}
      />{' '}
      ={' '}
      <strong>
        <MathText text={text(total)} />
      </strong>
    </p>
  );
  return (
    <section className="why-same" aria-label="Both ways">
      <h2>The rectangle added both ways</h2>
      {sum(totals.rows, (part) => `${first} ${times} ${part}`, totals.rowSum)}
      {sum(totals.columns, (part) => `${part} ${times} ${second}`, totals.columnSum)}
      <p className="caption">
        {totals.rowSum.equals(totals.columnSum)
          ? 'Row totals and column totals agree ✓ This finds a slip in adding; a wrong product it cannot find, since both ways add it.'
          : 'Row totals and column totals differ.'}
      </p>
    </section>
  );
}
