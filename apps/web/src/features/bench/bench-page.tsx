import { Suspense, useEffect } from 'react';
import { inNotation, problemText } from '@levee/core';
import { useLarge, useNotation, useWorked } from '../../worked/use-worked.ts';
import { Announcer } from '../../paper/announcer.tsx';
import { BenchHead } from './head/bench-head.tsx';
import { later } from '../../ui/later.ts';
import { WhenOpened } from '../../ui/when-opened.tsx';
import { useSession } from '../../store/session-store.ts';
import { Gauge } from '../../account/gauge.tsx';
import { Lanes, LanesRoom } from './lanes/lanes.tsx';
import { LargePaper } from './papers/large-paper.tsx';
import { Papers } from './papers/papers.tsx';
import { useDrawn } from './use-drawn.ts';
import { WorthPanel } from './worth/worth-panel.tsx';
import { SharedPicture } from '../../pictures/lazy-picture.ts';
import './bench.css';

const AgreePanel = later(async () => ({
  default: (await import('./reasons/agree-panel.tsx')).AgreePanel,
}));
const EstimateDialog = later(async () => ({
  default: (await import('./head/estimate-dialog.tsx')).EstimateDialog,
}));

/** Room for what follows the papers. */
const EMPTY_PANEL = <section className="panel" />;
const EMPTY_GAUGE = <aside className="gauge" />;

/** The bench: papers, account, lanes, and what the pointed-at amount is worth. */
export function BenchPage() {
  const worked = useWorked();
  const { papers, has } = useDrawn(worked);
  const isEstimating = useSession((session) => session.dialog === 'estimate');
  const large = useLarge();
  useEffect(() => {
    // On their way while the papers are drawn. Where they cannot be had, who shows them says so.
    AgreePanel.bring().catch(() => undefined);
    SharedPicture.bring().catch(() => undefined);
  }, []);
  const notation = useNotation();
  if (large) return <LargePaper paper={large} />;
  return (
    <main className="bench" data-papers={worked.papers.length}>
      <h1 className="heard">{inNotation(problemText(worked.problem), notation)}</h1>
      <BenchHead all={papers >= worked.papers.length} />
      <div className="bench-work">
        <Papers drawn={papers} />
        {has('gauge') ? <Gauge /> : EMPTY_GAUGE}
      </div>
      {has('lanes') ? (
        <Lanes blocks={has('agreement')} />
      ) : (
        <LanesRoom count={worked.papers.length} />
      )}
      <div className="bench-foot">
        <Suspense fallback={EMPTY_PANEL}>
          {has('picture') ? <SharedPicture /> : EMPTY_PANEL}
        </Suspense>
        {has('worth') ? <WorthPanel /> : EMPTY_PANEL}
        <Suspense fallback={EMPTY_PANEL}>
          {has('agreement') ? <AgreePanel /> : EMPTY_PANEL}
        </Suspense>
      </div>
      {has('agreement') && <Announcer />}
      <WhenOpened open={isEstimating}>
        <EstimateDialog />
      </WhenOpened>
    </main>
  );
}
