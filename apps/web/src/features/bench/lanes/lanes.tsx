import { litSteps } from '../../../worked/lit.ts';
import { stepLabels } from '@levee/core';
import { memo, useLayoutEffect, useMemo, useRef, type KeyboardEvent, type RefObject } from 'react';
import { dispatch, useComparison } from '../../../store/comparison-store.ts';
import { stepped } from '../../../store/edits.ts';
import { useSession } from '../../../store/session-store.ts';
import {
  useActive,
  useSpeaker,
  useSteps,
  useSubject,
  useWorked,
} from '../../../worked/use-worked.ts';
import { stepsById, work, type Paper, type Worked } from '../../../worked/work.ts';
import { MathText } from '../../../ui/math-text.tsx';
import { useSize } from '../../../ui/use-size.ts';
import { laneColumns, type LaneColumns } from './lane-columns.ts';
import { stopWith } from '../../../commands/transport.ts';
import { Transport } from './transport.tsx';
import './lanes.css';

/**
 * Every step of every paper as a block, aligned where the same terms are dealt with. Without `blocks` the room for
 * them stays empty.
 */
export function Lanes({ blocks }: { readonly blocks: boolean }) {
  const worked = useWorked();
  const steps = useSteps();
  const columns = useMemo(() => laneColumns(worked.comparison), [worked]);
  const [ref, { width }] = useSize<HTMLDivElement>();
  return (
    <section className="lanes" aria-label="Lanes">
      <div className="lane-names">
        {worked.papers.map((paper) => (
          <LaneName key={paper.id} paper={paper} />
        ))}
      </div>
      <div className="lane-blocks" ref={ref}>
        {worked.papers.map((paper) => (
          <Lane
            key={paper.id}
            blocks={blocks}
            paper={paper}
            step={steps[paper.index]!}
            columns={columns}
            width={width}
          />
        ))}
        <Playhead worked={worked} steps={steps} columns={columns} />
      </div>
      <Transport />
    </section>
  );
}

/** The room of the lanes, before they are drawn. */
export function LanesRoom({ count }: { readonly count: number }) {
  return (
    <section className="lanes" aria-hidden>
      <div className="lane-names">
        {Array.from({ length: count }, (_, k) => (
          <div key={k} className="lane" />
        ))}
      </div>
      <div />
      <div className="transport" />
    </section>
  );
}

function LaneName({ paper }: { readonly paper: Paper }) {
  const active = useActive().id === paper.id;
  return (
    <button
      type="button"
      className={active ? 'lane-name active' : 'lane-name'}
      aria-pressed={active}
      onClick={() => useSession.setState({ active: paper.id })}
    >
      <span className="caption">{paper.index + 1}</span> {paper.method.shortName}
    </button>
  );
}

interface LaneProps {
  readonly blocks: boolean;
  readonly paper: Paper;
  readonly step: number;
  readonly columns: LaneColumns;
  readonly width: number;
}

/** Pixels a letter of a block's label takes, and a figure of the count of a step. */
const [LETTER, COUNTED] = [6.4, 5.4];
/** Pixels of a block that are its edges and the gap beside it, and what its label keeps free. */
const [EDGES, PADDING] = [5, 3];

function Lane({ paper, step, columns, width, blocks }: LaneProps) {
  const subject = useSubject();
  const root = useRef<HTMLDivElement>(null);
  const lit = useMemo(() => litSteps(paper, subject), [paper, subject]);
  useBlockStates(root, step, lit);
  return (
    <div
      className="lane"
      ref={root}
      tabIndex={0}
      role="group"
      aria-label={`Steps of ${paper.title}: arrow keys go along them, Enter goes there`}
      onKeyDown={(event) => goAlong(event, step)}
    >
      {blocks && <Blocks paper={paper} columns={columns} width={width} />}
    </div>
  );
}

/** Arrow keys go from block to block, from the last step that is done; the papers stay until one is pressed. */
function goAlong(event: KeyboardEvent<HTMLDivElement>, step: number): void {
  const blocks = [...event.currentTarget.querySelectorAll<HTMLElement>('.block')];
  const at = blocks.indexOf(document.activeElement as HTMLElement);
  const from = at < 0 ? step - 1 : at;
  const to = { ArrowRight: from + 1, ArrowLeft: from - 1, Home: 0, End: blocks.length - 1 }[
    event.key
  ];
  if (to === undefined || event.ctrlKey || event.altKey || event.metaKey) return;
  event.preventDefault();
  blocks[Math.max(0, Math.min(blocks.length - 1, to))]?.focus();
}

/** Marks the blocks that are done and those that are lit; touches only what changes. */
function useBlockStates(
  root: RefObject<HTMLDivElement | null>,
  step: number,
  lit: ReadonlySet<number>,
): void {
  useLayoutEffect(() => {
    [...(root.current?.children ?? [])].forEach((block, k) => {
      const state = `block${k < step ? ' done' : ''}${lit.has(k + 1) ? ' lit' : ''}`;
      if (block.className !== state) block.className = state;
    });
  });
}

/** The blocks of one lane. Their classes say how far the lane is and are set by the lane. */
const Blocks = memo(function Blocks({ paper, columns, width }: Omit<LaneProps, 'step' | 'blocks'>) {
  const say = useSpeaker();
  const labels = useMemo(() => stepLabels(paper.lane.trace, say), [paper, say]);
  return columns.blocks[paper.index]!.map(({ from, to }, k) => {
    const label = labels[k]!;
    const inside = (to - from) * width - EDGES;
    const short = shortened(label, Math.floor((inside - PADDING) / LETTER));
    const count = `${k + 1}`;
    return (
      <button
        key={k}
        type="button"
        tabIndex={-1}
        style={{ left: `${from * 100}%`, width: `calc(${(to - from) * 100}% - 3px)` }}
        title={`${paper.method.shortName}, step ${k + 1}: ${label}`}
        onClick={() => goTo(paper.index, k + 1)}
      >
        {short === '' && count.length * COUNTED <= inside ? (
          <small>{count}</small>
        ) : (
          <MathText text={short} />
        )}
      </button>
    );
  });
});

/**
 * The label when it fits, else closed up, else what it comes to, else as much of its words as says something; nothing where none
 * of these does.
 */
export function shortened(label: string, room: number): string {
  const close = label.replace(/ (?=[+−])|(?<==) /g, '');
  const made = label.slice(Math.max(0, label.lastIndexOf('=')));
  const shorter = [label, close, made, close.replace(/^=/, '')];
  const fitting = shorter.find((text) => breadth(text) <= room);
  if (fitting !== undefined) return fitting;
  if (room >= 4 && /^[a-z]{2}/.test(label)) return `${label.slice(0, room - 1)}…`;
  return '';
}

/** How many figures wide a label is; those of a fraction stand above each other. */
function breadth(label: string): number {
  return label.replace(/(\d+)\/(\d+)/g, (_, top: string, bottom: string) =>
    top.length > bottom.length ? top : bottom,
  ).length;
}

/** With a common pace all papers go to the stop that has the step; alone, only the one. */
function goTo(index: number, step: number): void {
  const { content, progress } = useComparison.getState();
  const worked = work(content);
  const together = progress.pace === 'amount';
  const to = together ? stepsById(worked, stopWith(worked, index, step)) : null;
  dispatch(stepped(to ?? { [worked.papers[index]!.id]: step }));
}

function Playhead(props: {
  readonly worked: Worked;
  readonly steps: readonly number[];
  readonly columns: LaneColumns;
}) {
  const { worked, steps, columns } = props;
  return (
    <div className="playhead" aria-hidden>
      {worked.papers.map(({ index }) => (
        <i key={index} style={{ left: `${columns.headAt(index, steps) * 100}%` }} />
      ))}
    </div>
  );
}
