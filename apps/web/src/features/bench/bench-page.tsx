import { scriptOf, scaleOf, type Problem } from '@levee/core';
import { useWorked } from '../../worked/use-worked.ts';
import { AgreePanel } from './agree-panel.tsx';
import { BenchHead } from './bench-head.tsx';
import { EstimateDialog } from './estimate.tsx';
import { Gauge } from './gauge.tsx';
import { Lanes } from './lanes.tsx';
import { Papers } from './papers.tsx';
import { SharedPicture } from './shared-picture.tsx';
import { useAfterPapers } from './use-after-papers.ts';
import { WorthPanel } from './worth-panel.tsx';
import './bench.css';

/** Whether the papers end with a point, a remainder or simplifying, which take a line more to say. */
function isWordy(problem: Problem): boolean {
  const { kind } = problem;
  return (
    scriptOf(problem) !== 'figures' ||
    kind === 'quotient' ||
    kind === 'root' ||
    (kind === 'product' && scaleOf(problem) !== null)
  );
}

/** The bench: papers, account, lanes, and what the pointed-at amount is worth. */
export function BenchPage() {
  const worked = useWorked();
  const below = useAfterPapers(worked);
  return (
    <div
      className="bench"
      data-papers={worked.papers.length}
      data-wordy={isWordy(worked.problem) || undefined}
    >
      <BenchHead />
      <div className="bench-work">
        <Papers />
        <Gauge />
      </div>
      <Lanes blocks={below} />
      <div className="bench-foot">
        {below ? <SharedPicture /> : <section className="panel" />}
        <WorthPanel />
        <AgreePanel />
      </div>
      <EstimateDialog />
    </div>
  );
}
