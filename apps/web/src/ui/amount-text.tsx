import { Fragment } from 'react';
import { MathText } from './math-text.tsx';

/** An amount that may go on on a next line before the sign of a term, never behind it. */
export function AmountText({ text }: { readonly text: string }) {
  return text.split(/ (?=[+−] )/).map((term, k) => (
    <Fragment key={k}>
      {k > 0 && ' '}
      <span className="unbroken">
        <MathText text={term} />
      </span>
    </Fragment>
  ));
}
