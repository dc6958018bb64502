import { phrasePieces } from '@levee/core';
import { MathText } from './math-text.tsx';

/** A sentence with its stressed words, its mathematics typeset. */
export function Spoken({ marked }: { readonly marked: string }) {
  return (
    <>
      {phrasePieces(marked).map(({ text, stressed }, i) =>
        stressed ? (
          <strong key={i}>
            <MathText text={text} />
          </strong>
        ) : (
          <span key={i}>
            <MathText text={text} />
          </span>
        ),
      )}
    </>
  );
}
