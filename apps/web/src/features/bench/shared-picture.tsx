import { useWorked } from '../../worked/use-worked.ts';
import { AreaPicture } from './area-picture.tsx';
import { LinePanel } from './line-panel.tsx';

/** The picture that all methods of the problem share: a rectangle for a product, the line for a sum. */
export function SharedPicture() {
  const { ground } = useWorked();
  return ground?.kind === 'line' ? <LinePanel ground={ground} /> : <AreaPicture />;
}
