import {
  addressText,
  currentSlip,
  FEATURES,
  readAddress,
  SLIP_IDEAS,
  type Feature,
  type Trace,
} from '@levee/core';
import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { dispatch } from '../../../store/comparison-store.ts';
import { withPaper } from '../../../store/content.ts';
import { changed } from '../../../store/edits.ts';
import { useSpeaker } from '../../../worked/use-worked.ts';
import type { Paper } from '../../../worked/work.ts';
import { BeforePanel } from './before-panel.tsx';
import type { Covers } from '../covers.ts';
import { HabitPanel } from './habit-panel.tsx';
import { Noticed } from './noticed.tsx';
import type { SlipRow } from './slip-rows.ts';
import { SlipTable } from './slip-table.tsx';
import { slippedPaper, type SlipChoice } from './slipped.ts';
import { TwoPapers } from './two-papers.tsx';
import type { SlipParams } from '../use-slip-params.ts';
import { useSlipRows, type SlipRows } from './use-slip-rows.ts';
import { WhatHelps } from './what-helps.tsx';

interface OneSlipProps {
  readonly paper: Paper;
  readonly params: SlipParams;
  readonly covers: Covers;
}

/** One slip on one paper: the list of chances, the right and the slipped paper, who would notice, and who does it. */
export function OneSlip({ paper, params, covers }: OneSlipProps) {
  const say = useSpeaker();
  const found = useSlipRows(paper, say);
  const { rows, isSought } = found;
  const choice = chosenOf(found, params);
  if (!choice && isSought && rows.length === 0) return null;
  if (!choice && !isSought) {
    return (
      <p className="caption empty">
        There is no chance of a slip on this paper: nothing is carried, opened or left out here.
      </p>
    );
  }
  const row = choice ? rowOf(rows, choice.slip) : undefined;
  const isSecond = params.mode === 'second';
  const choose = (address: string) =>
    params.set(
      isSecond && choice && address !== choice.slip
        ? { second: address }
        : { slip: address, second: null },
    );
  return (
    <div className={covers.isUp('name') ? 'one-slip' : 'one-slip covered'}>
      {covers.isUp('name') && (
        <div className="slip-side">
          {choice && !row?.before && (
            <Mode params={params} choice={choice} trace={paper.lane.trace} />
          )}
          <SlipTable
            key={paper.id}
            rows={rows}
            chosen={choice?.slip ?? ''}
            second={choice?.second ?? null}
            choose={choose}
            say={say}
          />
        </div>
      )}
      {row?.before ? (
        <BeforePanel paper={paper} row={row.before} covers={covers} />
      ) : !choice ? (
        <p className="caption" role="status">
          Working the slips …
        </p>
      ) : (
        <SlipMain paper={paper} choice={choice} label={row?.label} covers={covers} />
      )}
    </div>
  );
}

interface SlipMainProps {
  readonly paper: Paper;
  readonly choice: SlipChoice;
  readonly label: string | undefined;
  readonly covers: Covers;
}

/** The right and the slipped paper, with what would notice it, who has it as a habit, and what helps. */
function SlipMain({ paper, choice, label: own, covers }: SlipMainProps) {
  const slipped = useMemo(() => slippedPaper(paper, choice), [paper, choice]);
  if (!slipped) return <p className="caption empty">This slip has no chance on this paper.</p>;
  const idea = currentSlip(choice.slip.split('@')[0]!);
  const label = own ?? SLIP_IDEAS.find(({ id }) => id === idea)?.label ?? idea;
  const mechanism = SLIP_IDEAS.find(({ id }) => id === idea)?.mechanism ?? '';
  const { trace } = slipped.wrong.lane;
  return (
    <div className="slip-main">
      <TwoPapers
        key={`${paper.id} ${choice.slip} ${choice.habit} ${choice.second}`}
        slipped={slipped}
        label={label}
        covers={covers}
      />
      <div className="slip-below">
        <Noticed
          paper={paper}
          answer={trace.answer}
          trace={trace}
          isCovered={!covers.isUp('checks')}
        />
        <PutOnBench paper={paper} made={slipped.made.map(addressText)} answer={slipped.answer} />
      </div>
      {covers.isUp('name') && (
        <>
          <HabitPanel
            key={`${paper.id} ${choice.slip} ${choice.habit}`}
            paper={paper}
            slip={choice.slip}
            where={choice.habit ?? 'all'}
            label={label}
            mechanism={mechanism}
          />
          <WhatHelps paper={paper} slip={idea} slipped={slipped} />
        </>
      )}
    </div>
  );
}

/** The row of an address; of what goes wrong before the work the first one there. */
function rowOf(rows: readonly SlipRow[], slip: string | null): SlipRow | undefined {
  return (
    rows.find(({ address }) => address === slip) ??
    rows.find(({ address, kind }) => kind === 'before' && address.split('=')[0] === slip)
  );
}

/** What is chosen, where it stands on this paper; else the one that is usually looked at. */
function chosenOf(
  { rows, usual }: SlipRows,
  { slip, habit, second }: SlipParams,
): SlipChoice | null {
  const known = rowOf(rows, slip);
  const asked = known ?? (slip !== null && readAddress(slip) ? { address: slip } : null);
  const first = asked ?? usual;
  return first ? { slip: first.address, habit, second } : null;
}

interface ModeProps {
  readonly params: SlipParams;
  readonly choice: SlipChoice;
  readonly trace: Trace;
}

const FEATURE_WORDS: Readonly<Record<Feature, string>> = {
  'zero-above': 'where 0 stands above',
  'zero-below': 'where 0 stands below',
  'equal-figures': 'where both figures are equal',
  'blank-below': 'where nothing stands below',
  'neighbour-zero': 'where a 0 stands beside',
  'just-regrouped': 'where it was just regrouped',
  'carry-of-one': 'where 1 is carried',
  'carry-of-more': 'where more than 1 is carried',
  first: 'the first time',
  last: 'the last time',
};

/** Once, as a habit (everywhere or where the numbers are so), or with a second slip. */
function Mode({ params, choice, trace }: ModeProps) {
  const slip = choice.slip.split('@')[0]!;
  const own = new Set(
    trace.opportunities
      .filter((chance) => chance.slip === slip)
      .flatMap(({ features }) => features),
  );
  const features = FEATURES.filter((feature) => own.has(feature));
  return (
    <div className="slip-mode" role="group" aria-label="How often">
      <button
        type="button"
        className="chip"
        aria-pressed={params.mode === 'once'}
        onClick={() => params.set({ habit: null, second: null, mode: 'once' })}
      >
        once
      </button>
      <button
        type="button"
        className="chip"
        aria-pressed={params.mode === 'habit'}
        onClick={() => params.set({ habit: 'all', second: null, mode: 'habit' })}
      >
        as a habit
      </button>
      <button
        type="button"
        className="chip"
        aria-pressed={params.mode === 'second'}
        onClick={() => params.set({ habit: null, mode: 'second' })}
      >
        + a second slip
      </button>
      {params.mode === 'habit' && (
        <select
          aria-label="Where the habit is followed"
          value={params.habit ?? 'all'}
          onChange={(event) => params.set({ habit: event.target.value as 'all' | Feature })}
        >
          <option value="all">at every chance</option>
          {features.map((feature) => (
            <option key={feature} value={feature}>
              {FEATURE_WORDS[feature]}
            </option>
          ))}
        </select>
      )}
      {params.mode === 'second' && !choice.second && (
        <span className="caption">Choose the second one in the list.</span>
      )}
    </div>
  );
}

interface PutOnBenchProps {
  readonly paper: Paper;
  readonly made: readonly string[];
  readonly answer: string;
}

/** Lays the slip on the paper of the bench, where its certificate then stops at the leak; or takes it off. */
function PutOnBench({ paper, made }: PutOnBenchProps) {
  const go = useNavigate();
  const put = () => {
    dispatch(changed((content) => withPaper(content, paper.id, { slips: [...made] })));
    void go('..', { relative: 'path' });
  };
  return (
    <p className="put-on-bench">
      <button type="button" className="chip" onClick={put}>
        put on the bench
      </button>
    </p>
  );
}
