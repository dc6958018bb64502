import { termsLight } from '../worked/lit.ts';
import { Exact, raised, shareOf, TermSet, termText, type KindsGround } from '@levee/core';
import { useMemo } from 'react';
import { useSteps, useSubject, useWorked } from '../worked/use-worked.ts';
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
  const subject = useSubject();
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
            {blocks.map(({ term, text, worth, from, to }) => {
              const pointed = { kind: 'terms', terms: TermSet.of(space, term) } as const;
              const lit = termsLight(subject, pointed.terms);
              const [top, bottom] = [Math.min(y(from), y(to)), Math.max(y(from), y(to))];
              return (
                <Region
                  key={term}
                  name={text === termText(worth) ? text : `${text} = ${termText(worth)}`}
                  className={`region ${standings[term] ?? 'owed'} ${lit}`}
                  point={pointed}
                >
                  <rect x={x} y={top} width={wide} height={Math.max(2, bottom - top)} />
                  {bottom - top >= 13 && (
                    <SvgMath x={x + wide / 2} y={(top + bottom) / 2 + 4.5} text={termText(worth)} />
                  )}
                </Region>
              );
            })}
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
                  : `= ${termText(sum.times(Exact.parse(letters === '' ? '1' : letters)))}`
              }
            />
          </g>
        );
      })}
      <line className="zero" x1={0} x2={width} y1={y(Exact.ZERO)} y2={y(Exact.ZERO)} />
    </Picture>
  );
}
