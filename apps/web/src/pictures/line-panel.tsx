import { scriptOf } from '@levee/core';
import { ToggleButton, ToggleButtonGroup } from '@mui/material';
import { useState } from 'react';
import { useActive, useSteps, useWorked } from '../worked/use-worked.ts';
import type { LineGround } from '@levee/core';

import { useSize } from '../ui/use-size.ts';
import { BlockPicture } from './block-picture.tsx';
import { LinePicture } from './line-picture.tsx';

type Picture = 'line' | 'blocks';

function headingOf(picture: Picture, parts: boolean, isOwn: boolean): string {
  if (isOwn) return 'One length, line by line';
  if (parts) return 'One bar, cut by every method’s denominators';
  return picture === 'line' ? 'One line, every method’s lengths' : 'Counts of base blocks';
}

/** The shared picture of a sum, a difference, or what no method works: lengths on a line, or counts of base blocks. */
export function LinePanel({ ground }: { readonly ground: LineGround }) {
  const worked = useWorked();
  const steps = useSteps();
  const [picture, setPicture] = useState<Picture>('line');
  const [ref, size] = useSize<HTMLDivElement>();
  const { index: active } = useActive();
  const parts = scriptOf(worked.problem) === 'fractions';
  const isOwn = worked.problem.kind === 'expression';
  const hasBlocks = !parts && !isOwn;
  const shown = hasBlocks ? picture : 'line';
  return (
    <section className="panel line" aria-label="Shared picture">
      <header className="picture-head">
        <h2>{headingOf(shown, parts, isOwn)}</h2>
        {hasBlocks && (
          <ToggleButtonGroup
            exclusive
            size="small"
            value={shown}
            aria-label="Picture"
            onChange={(_, chosen: Picture | null) => chosen && setPicture(chosen)}
          >
            <ToggleButton value="line">line</ToggleButton>
            <ToggleButton value="blocks">blocks</ToggleButton>
          </ToggleButtonGroup>
        )}
      </header>
      <div className="picture-room" ref={ref}>
        {size.width > 0 && shown === 'line' && (
          <LinePicture worked={worked} steps={steps} ground={ground} {...size} />
        )}
        {size.width > 0 && shown === 'blocks' && (
          <BlockPicture paper={worked.papers[active]!} step={steps[active]!} {...size} />
        )}
      </div>
    </section>
  );
}
