import { displayed, type LetteredWay } from '@levee/core';

/** A text in which the letters of a way stand slanted, as letters for numbers do. */
export function Lettered({
  text,
  way,
}: {
  readonly text: string;
  readonly way: Pick<LetteredWay, 'given' | 'rules'>;
}) {
  // A letter of the way stands alone; words have more of them.
  const pieces = displayed(text).split(/(?<![a-z])([a-z])(?![a-z])/);
  return (
    <span className="lettered">
      {pieces.map((piece, k) =>
        k % 2 === 1 && (way.given.includes(piece) || piece in way.rules) ? (
          <i key={k}>{piece}</i>
        ) : (
          piece
        ),
      )}
    </span>
  );
}
