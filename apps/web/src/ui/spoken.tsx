import { phrasePieces } from '@levee/core';

/** A sentence with its stressed words. */
export function Spoken({ marked }: { readonly marked: string }) {
  return (
    <>
      {phrasePieces(marked).map(({ text, stressed }, i) =>
        stressed ? <strong key={i}>{text}</strong> : <span key={i}>{text}</span>,
      )}
    </>
  );
}
