import { framesOf, termsLight } from '../worked/lit.ts';
import {
  Exact,
  inNotation,
  raised,
  shareOf,
  TermSet,
  termText,
  type Box,
  type KindsGround,
} from '@levee/core';
import { useMemo } from 'react';
import { FramedPart } from '../sheet/framed-amounts.tsx';
import { useFramed, useNotation, useSteps, useSubject, useWorked } from '../worked/use-worked.ts';
import { SvgMath } from '../ui/svg-math.tsx';
import { Picture, Region } from './region.tsx';
import { PicturePanel } from './picture-panel.tsx';
import { standingsOf } from './standings.ts';

/** A column for every kind of term: what counts for the sum stands on the line, what counts against it hangs. */
export function KindsPicture({ ground }: { readonly ground: KindsGround }) {
  return (
    <PicturePanel
      title="Every kind of term on a line of its own"
      words={{ marked: 'gathered on all', owed: 'owed' }}
      note="above: for the sum; below: against it"
    >
      {(size) => <Columns ground={ground} {...size} />}
    </PicturePanel>
  );
}

const TOP = 8;
const NAMES = 40;

interface ColumnsProps {
  readonly ground: KindsGround;
  readonly width: number;
  readonly height: number;
}

function Columns({ ground, width, height }: ColumnsProps) {
  const worked = useWorked();
  const steps = useSteps();
  const notation = useNotation();
  const standings = useMemo(() => standingsOf(worked, steps), [worked, steps]);
  const { columns, above, below } = ground;
  const { space } = worked.comparison;
  const whole = above.minus(below);
  const room = Math.max(40, height - TOP - NAMES);
  const y = (count: Exact) => TOP + (whole.isZero ? 0 : shareOf(above.minus(count), whole)) * room;
  const pitch = width / columns.length;
  const wide = Math.min(78, pitch - 14);
  return (
    <Picture name="Kinds of terms" width={width} height={height} className="kinds">
      {columns.map(({ letters, blocks, sum }, k) => {
        const x = pitch * (k + 0.5) - wide / 2;
        return (
          <g key={letters}>
            {blocks.map((block) => (
              <BlockView
                key={block.term}
                block={block}
                standing={standings[block.term] ?? 'owed'}
                terms={TermSet.of(space, block.term)}
                box={boxBetween(x, wide, y(block.from), y(block.to))}
              />
            ))}
            <SvgMath
              x={pitch * (k + 0.5)}
              y={height - 22}
              text={`${letters === '' ? 'numbers' : raised(letters)}`}
              plain={letters === ''}
            />
            <SvgMath
              x={pitch * (k + 0.5)}
              y={height - 6}
              text={
                sum.isZero
                  ? '= 0'
                  : `= ${inNotation(termText(sum.times(Exact.parse(letters === '' ? '1' : letters))), notation)}`
              }
            />
          </g>
        );
      })}
      <line className="zero" x1={0} x2={width} y1={y(Exact.ZERO)} y2={y(Exact.ZERO)} />
    </Picture>
  );
}

function boxBetween(x: number, width: number, from: number, to: number): Box {
  const top = Math.min(from, to);
  return { x, y: top, width, height: Math.max(2, Math.max(from, to) - top) };
}

interface BlockProps {
  readonly block: KindsGround['columns'][number]['blocks'][number];
  readonly standing: string;
  readonly terms: TermSet;
  readonly box: Box;
}

/** One term, as high as its number is large. */
function BlockView({ block: { text, worth }, standing, terms, box }: BlockProps) {
  const subject = useSubject();
  const framed = useFramed();
  const notation = useNotation();
  const [asked, own] = [text, termText(worth)].map((one) => inNotation(one, notation));
  return (
    <Region
      name={asked === own ? own! : `${asked} = ${own}`}
      className={`region ${standing} ${termsLight(subject, terms)}`}
      point={{ kind: 'terms', terms }}
    >
      <rect {...box} />
      <FramedPart numbers={framesOf(framed, terms)} boxes={[box]} />
      {box.height >= 13 && (
        <SvgMath x={box.x + box.width / 2} y={box.y + box.height / 2 + 4.5} text={own!} />
      )}
    </Region>
  );
}
