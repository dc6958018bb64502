import { Exact, nextStop, ON_BENCH, previousStop, sayMarked, type Speaker } from '@levee/core';
import NavigateBeforeIcon from '@mui/icons-material/NavigateBefore';
import NavigateNextIcon from '@mui/icons-material/NavigateNext';
import { Button, IconButton } from '@mui/material';
import { useMemo, useState, type ComponentProps, type ReactNode } from 'react';
import { LevelColumn, LevelLines } from '../../../pictures/level-columns.tsx';
import { PaperStage } from '../../../paper/paper-stage.tsx';
import { useSettings } from '../../../store/settings-store.ts';
import { MathText } from '../../../ui/math-text.tsx';
import { Spoken } from '../../../ui/spoken.tsx';
import { drawnAmount } from '../../../worked/drawn.ts';
import type { Paper } from '../../../worked/work.ts';
import { gaugeRange } from '../../../worked/gauge-range.ts';
import { UNLIT } from '../../../worked/lit.ts';
import { useNotation, useSpeaker, useVoice } from '../../../worked/use-worked.ts';
import type { Covers } from '../covers.ts';
import { differingMarks, framesAround } from './differing.ts';
import { offText } from './slip-table.tsx';
import type { Slipped } from './slipped.ts';

interface TwoPapersProps {
  readonly slipped: Slipped;
  readonly label: string;
  readonly covers: Covers;
}

/** The right paper and the slipped one, stepping together, with what each holds of the total. */
export function TwoPapers({ slipped, label, covers }: TwoPapersProps) {
  const { comparison, right, wrong } = slipped;
  const [at, setAt] = useState<readonly number[]>([right.last, wrong.last]);
  const steps = [Math.min(at[0]!, right.last), Math.min(at[1]!, wrong.last)] as const;
  const lanes = comparison.lanes;
  const alone = (by: 1 | -1) =>
    setAt([bounded(steps[0] + by, right.last), bounded(steps[1] + by, wrong.last)]);
  return (
    <div className="two-papers">
      <OnePaper
        paper={right}
        other={wrong}
        step={steps[0]}
        title="As it should be"
        covers={covers}
      />
      <OnePaper
        paper={wrong}
        other={right}
        step={steps[1]}
        title={covers.isUp('name') ? label : 'Another work'}
        covers={covers}
        slipped
      />
      <TwoLevels slipped={slipped} steps={steps} isCovered={!covers.isUp('gauge')} />
      <p className="two-moves">
        <IconButton size="small" aria-label="A step back" onClick={() => alone(-1)}>
          <NavigateBeforeIcon />
        </IconButton>
        <Button
          variant="contained"
          size="small"
          onClick={() => setAt(isAtEnd(steps, slipped) ? [0, 0] : nextStop(lanes, steps))}
        >
          {isAtEnd(steps, slipped) ? 'from the start' : 'next'}
        </Button>
        <IconButton size="small" aria-label="A step on" onClick={() => alone(1)}>
          <NavigateNextIcon />
        </IconButton>
        <button
          type="button"
          className="chip"
          onClick={() => setAt(previousStop(comparison.stops, steps))}
        >
          back
        </button>
        <button type="button" className="chip" onClick={() => setAt([right.last, wrong.last])}>
          to the end
        </button>
        {covers.down.length > 0 && <CoverChips covers={covers} />}
      </p>
    </div>
  );
}

function CoverChips({ covers }: { readonly covers: Covers }) {
  return (
    <span className="cover-chips" role="group" aria-label="Covers">
      {covers.down.map((one) => (
        <button key={one} type="button" className="chip" onClick={() => covers.lift(one)}>
          uncover {one}
        </button>
      ))}
    </span>
  );
}

function bounded(step: number, last: number): number {
  return Math.max(0, Math.min(step, last));
}

function isAtEnd(steps: readonly number[], { right, wrong }: Slipped): boolean {
  return steps[0] === right.last && steps[1] === wrong.last;
}

interface OnePaperProps {
  readonly paper: Paper;
  readonly other: Paper;
  readonly step: number;
  readonly title: string;
  readonly covers: Covers;
  readonly slipped?: boolean;
}

function OnePaper({ paper, other, step, title, covers, slipped = false }: OnePaperProps) {
  const marks = useMemo(() => differingMarks(paper, other), [paper, other]);
  const lit = useMemo(
    () => (slipped && covers.isUp('marks') ? framesAround(paper, marks, step) : UNLIT),
    [slipped, covers, paper, marks, step],
  );
  const isNamed = !slipped || covers.isUp('name');
  const at = `step ${step} of ${paper.last}`;
  return (
    <PaperArticle {...{ paper, step, title, at, lit, slipped, isNamed }}>
      <Told paper={paper} step={step} isCovered={!isNamed} />
    </PaperArticle>
  );
}

interface PaperArticleProps {
  readonly paper: Paper;
  readonly step: number;
  readonly title: string;
  /** Where it stands, beside the title. */
  readonly at?: string;
  readonly lit: ComponentProps<typeof PaperStage>['lit'];
  readonly slipped: boolean;
  /** Whether notes may be shown, which can name the slip. */
  readonly isNamed: boolean;
  readonly children?: ReactNode;
}

/** One of the papers: its title, the paper, and what is said under it. */
function PaperArticle(props: PaperArticleProps) {
  const { paper, step, title, at, lit, slipped, isNamed, children } = props;
  const notation = useNotation();
  const { notes, notches } = useSettings();
  return (
    <article className={slipped ? 'slip-paper slipped' : 'slip-paper'} aria-label={title}>
      <header>
        <h2>
          <MathText text={title} />
        </h2>
        {at && <span className="caption">{at}</span>}
      </header>
      <PaperStage
        paper={paper.drawn}
        step={step}
        lit={lit}
        notation={notation}
        notes={notes && isNamed}
        notches={notches}
        legible={ON_BENCH}
        most={30}
        zoom={1}
      />
      {children}
    </article>
  );
}

interface FinishedPaperProps {
  readonly paper: Paper;
  readonly other: Paper | null;
  readonly title: string;
  readonly framed?: boolean;
  readonly slipped?: boolean;
}

/** A paper as it stands when it is done, with what is not the same as on the other one. */
export function FinishedPaper(props: FinishedPaperProps) {
  const { paper, other, title, framed = false, slipped = false } = props;
  const lit = useMemo(
    () => (framed && other ? framesAround(paper, differingMarks(paper, other), paper.last) : UNLIT),
    [framed, paper, other],
  );
  return <PaperArticle {...{ paper, title, lit, slipped }} step={paper.last} isNamed />;
}

/** What the last step did; of a slip what it did to the account as well. */
function Told({
  paper,
  step,
  isCovered,
}: {
  readonly paper: Paper;
  readonly step: number;
  readonly isCovered: boolean;
}) {
  const say = useSpeaker();
  const voice = useVoice();
  const done = paper.lane.trace.steps[step - 1];
  if (!done || isCovered)
    return <p className="sentence caption">{isCovered ? 'covered' : paper.method.summary}</p>;
  return (
    <p className="sentence" role="group" aria-label={`${paper.method.shortName}, step ${step}`}>
      <Spoken marked={sayMarked(paper.method.phrases, done.phrase, voice, say)} />
      <Leaked paper={paper} step={step} say={say} />
    </p>
  );
}

function Leaked({
  paper,
  step,
  say,
}: {
  readonly paper: Paper;
  readonly step: number;
  readonly say: Speaker;
}) {
  const here = paper.lane.leaks.filter((leak) => leak.step === step);
  if (here.length === 0) return null;
  const amount = Exact.sum(here.map((leak) => leak.amount));
  const size = say.worth(amount.absolute());
  return (
    <strong className="leaked">
      {' '}
      <MathText text={`${size} ${amount.isNegative ? 'short' : 'too much'}.`} />
    </strong>
  );
}

interface TwoLevelsProps {
  readonly slipped: Slipped;
  readonly steps: readonly [number, number];
  readonly isCovered: boolean;
}

/** The account of both papers: the slipped one leaks or overtops from the step on in which it goes wrong. */
function TwoLevels({ slipped: { right, wrong }, steps, isCovered }: TwoLevelsProps) {
  const say = useSpeaker();
  const { trace } = right.lane;
  const range = useMemo(
    () => gaugeRange([right, wrong].map(({ drawnLevels }) => ({ levels: drawnLevels }))),
    [right, wrong],
  );
  const total = drawnAmount(trace.problem)(trace.total);
  const level = wrong.levels[steps[1]]!;
  const off = level.balance.minus(trace.total);
  const drawnOff = drawnAmount(trace.problem)(off);
  return (
    <aside className="two-levels" aria-label="Account">
      <h2>Account</h2>
      {isCovered ? (
        <p className="caption">covered</p>
      ) : (
        <>
          <p className="gauge-total figures">
            <MathText text={say.worth(trace.total)} />
          </p>
          <div className="gauge-columns">
            <LevelColumn
              level={right.drawnLevels[steps[0]]!}
              range={range}
              name="right"
              title="As it should be"
            />
            <LevelColumn
              level={wrong.drawnLevels[steps[1]]!}
              range={range}
              name="slipped"
              title="With the slip"
            >
              {!off.isZero && (
                <div
                  className={drawnOff.isNegative ? 'leak' : 'leak over'}
                  style={range.span(total, total.plus(drawnOff))}
                />
              )}
            </LevelColumn>
            <LevelLines total={total} range={range} />
          </div>
          <p className="caption" role="status">
            <MathText
              text={
                off.isZero
                  ? 'balanced so far'
                  : `${off.isNegative ? 'leaked' : 'overtopped by'} ${offText(off, say).slice(1)}`
              }
            />
          </p>
        </>
      )}
    </aside>
  );
}
