import { framedClass, framedEdges, framedTextures, type Box, type Framed } from '@levee/core';
import { memo, useMemo } from 'react';
import './framed.css';

interface FramedAmountsProps {
  readonly framed: readonly Framed[];
  /** The breadth of a square in the measure of the boxes. */
  readonly unit: number;
  readonly part: 'texture' | 'edge';
}

/** Amounts that stay framed: their textures, which go under what is written, or their edges and numbers. */
export const FramedAmounts = memo(function FramedAmounts(props: FramedAmountsProps) {
  const { framed, unit, part } = props;
  const html = useMemo(() => {
    const paint = part === 'texture' ? framedTextures : framedEdges;
    return { __html: paint(framed, unit, framedClass) };
  }, [framed, unit, part]);
  return framed.length > 0 && <g className="framed" dangerouslySetInnerHTML={html} />;
});

/** Pixels of a square in pictures, whose boxes are in pixels. */
const PICTURE_UNIT = 26;

/** So that frames of neighbours do not lie on each other. */
function inside({ x, y, width, height }: Box): Box {
  const by = Math.min(2, width / 4, height / 4);
  return { x: x + by, y: y + by, width: width - 2 * by, height: height - 2 * by };
}

/** The frames of one part of a picture. */
export function FramedPart({
  numbers,
  boxes,
}: {
  readonly numbers: readonly number[];
  readonly boxes: Framed['boxes'];
}) {
  if (numbers.length === 0) return null;
  const framed = numbers.map((number) => ({ number, boxes: boxes.map(inside), gathered: true }));
  return (
    <>
      <FramedAmounts framed={framed} unit={PICTURE_UNIT} part="texture" />
      <FramedAmounts framed={framed} unit={PICTURE_UNIT} part="edge" />
    </>
  );
}
