import { isOwnLines, USUAL_VIEW } from '@levee/core';
import CloseIcon from '@mui/icons-material/Close';
import OpenInFullIcon from '@mui/icons-material/OpenInFull';
import { IconButton } from '@mui/material';
import { memo, useEffect, useRef } from 'react';
import { dispatch } from '../../../store/comparison-store.ts';
import { putAway } from '../../../store/edits.ts';
import { showLarge, useSession } from '../../../store/session-store.ts';
import { useViewWidth } from '../../../ui/use-view-width.ts';
import type { Lit } from '../../../worked/lit.ts';
import { useActive } from '../../../worked/use-worked.ts';
import type { Paper } from '../../../worked/work.ts';
import { CostStrip } from './cost-strip.tsx';
import { HeardRows } from '../../../paper/heard-rows.tsx';
import { HopsStrip } from './hops-strip.tsx';
import { OwnHead } from '../../../own/own-head.tsx';
import { AnySentence } from '../../../own/any-sentence.tsx';
import { AnyStage } from '../../../own/own-stage.tsx';
import { MethodMenu, SchoolMenus, SlipMenu } from './paper-menus.tsx';

export interface PaperCardProps {
  readonly paper: Paper;
  readonly step: number;
  readonly lit: Lit;
  readonly removable: boolean;
  /** Whether the costs are drawn already; else their room is kept. */
  readonly costs: boolean;
}

/** Most pixels of a square on a usual view; on a wider one figures grow with it. */
const MOST = 30;

/** One method on its sheet of squared paper, with its schools, its sentence and its cost. */
export const PaperCard = memo(function PaperCard(props: PaperCardProps) {
  const { paper, step, lit, removable, costs } = props;
  const active = useActive().id === paper.id;
  const own = isOwnLines(paper.method) ? paper.method : null;
  const card = useRef<HTMLElement>(null);
  const width = useViewWidth();
  useEffect(() => {
    if (!active) return undefined;
    // When the page is laid out anyway, and not in the midst of being put together.
    const frame = requestAnimationFrame(() =>
      card.current?.scrollIntoView({ block: 'nearest', inline: 'nearest' }),
    );
    return () => cancelAnimationFrame(frame);
  }, [active]);
  return (
    <article
      ref={card}
      className={`paper${active ? ' active' : ''}${own ? ' own' : ''}`}
      aria-label={paper.method.name}
      data-paper={paper.index}
      onPointerDown={() => useSession.setState({ active: paper.id })}
    >
      <header className="paper-head">
        <MethodMenu paper={paper} />
        {own ? <span /> : <SlipMenu paper={paper} />}
        <span className="count figures">
          {step} of {paper.last}
        </span>
        <PaperButtons paper={paper} removable={removable} />
        {own ? <OwnHead paper={paper} method={own} /> : <SchoolMenus paper={paper} />}
        <HopsStrip paper={paper} />
      </header>
      <AnyStage paper={paper} step={step} lit={lit} most={MOST * Math.max(1, width / USUAL_VIEW)} />
      <AnySentence paper={paper} step={step} />
      <HeardRows paper={paper} step={step} />
      {costs ? <CostStrip paper={paper} /> : <div className="cost caption" />}
    </article>
  );
});

const PaperButtons = memo(function PaperButtons({
  paper,
  removable,
}: {
  readonly paper: Paper;
  readonly removable: boolean;
}) {
  return (
    <span className="icons">
      <IconButton
        size="small"
        aria-label={`Open ${paper.method.shortName} large`}
        onClick={() => showLarge(paper.id)}
      >
        <OpenInFullIcon />
      </IconButton>
      {removable && (
        <IconButton
          size="small"
          aria-label={`Put ${paper.method.shortName} away`}
          onClick={() => dispatch(putAway(paper.id))}
        >
          <CloseIcon />
        </IconButton>
      )}
    </span>
  );
});
