import { useWorked } from '../worked/use-worked.ts';
import { AreaPicture } from './area-picture.tsx';
import { KindsPicture } from './kinds-picture.tsx';
import { SquarePicture } from './square-picture.tsx';
import { LinePanel } from './line-panel.tsx';
import './pictures.css';

/** The picture that all methods of the problem share: a rectangle, a square, a line, or kinds of terms. */
export function SharedPicture() {
  const { ground, problem } = useWorked();
  if (problem.kind === 'expression' && ground === null) return <NoPicture />;
  switch (ground?.kind) {
    case 'line':
      return <LinePanel ground={ground} />;
    case 'square':
      return <SquarePicture ground={ground} />;
    case 'kinds':
      return <KindsPicture ground={ground} />;
    default:
      return <AreaPicture />;
  }
}

/** What no method works has no picture where letters stand in it, or nothing is left of it. */
function NoPicture() {
  return (
    <section className="panel area" aria-label="Shared picture">
      <h2>No one picture</h2>
      <p className="caption">
        No method works this computation, and there is no one length that holds all of it.
      </p>
    </section>
  );
}
