import { useWorked } from '../worked/use-worked.ts';
import { AreaPicture } from './area-picture.tsx';
import { KindsPicture } from './kinds-picture.tsx';
import { SquarePicture } from './square-picture.tsx';
import { LinePanel } from './line-panel.tsx';
import './pictures.css';

/** The picture that all methods of the problem share: a rectangle, a square, a line, or kinds of terms. */
export function SharedPicture() {
  const { ground } = useWorked();
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
