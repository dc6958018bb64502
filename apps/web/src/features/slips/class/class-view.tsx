import {
  observedSlips,
  problemText,
  type Diagnosis,
  type Loss,
  type PaperResult,
} from '@levee/core';
import { Button } from '@mui/material';
import { Suspense, useEffect, useMemo, useRef, useState } from 'react';
import { away } from '../../../away/away.ts';
import type { AnswerVerdict } from '../../../away/answers-job.ts';
import { useComparison } from '../../../store/comparison-store.ts';
import { useSettings } from '../../../store/settings-store.ts';
import { csvText } from '../../../ui/csv.ts';
import { download, fileName } from '../../../ui/download.ts';
import { later } from '../../../ui/later.ts';
import { MathText } from '../../../ui/math-text.tsx';
import { notify } from '../../../ui/notices.tsx';
import { useSpeaker } from '../../../worked/use-worked.ts';
import type { Paper } from '../../../worked/work.ts';
import { chartHeight, classOption, floorOf } from './class-chart.ts';
import { rowsMet, usualRows, type RateRow } from './class-rates.ts';
import { RateTable } from './rate-table.tsx';
import { useClass } from './use-class.ts';
import { addressWords } from '../../../worked/where-words.ts';

const Chart = later(() => import('./chart.later.tsx'));

interface Setting {
  readonly learners: number;
  readonly runs: number;
  readonly seed: number;
  readonly sameLearners: boolean;
}

const BEGINNING: Setting = { learners: 30, runs: 1000, seed: 1, sameLearners: true };

/** A class of drawn learners works the problem by every paper; how it thins out, and which answers come. */
export function ClassView({ papers }: { readonly papers: readonly Paper[] }) {
  const [setting, setSetting] = useState(BEGINNING);
  const [rows, setRows] = useState<readonly RateRow[]>(() => usualRows(papers));
  const { outcome, running, start, stop } = useClass();
  const plan = useMemo(
    () => ({
      ...setting,
      problem: problemText(papers[0]!.lane.trace.problem),
      papers: papers.map(({ method, lane }) => ({ method: method.id, school: lane.trace.school })),
      rates: rows.map(({ slip, rate }) => [slip, rate] as const),
    }),
    [setting, papers, rows],
  );
  // The first class is worked at once, so that there is something to see.
  const first = useRef(plan);
  useEffect(() => start(first.current), [start]);
  return (
    <div className="class-view">
      <section className="class-side" aria-label="The class">
        <SettingFields setting={setting} change={setSetting} />
        <p className="class-run">
          {running === null ? (
            <Button variant="contained" size="small" onClick={() => start(plan)}>
              Work it
            </Button>
          ) : (
            <Button variant="outlined" size="small" onClick={stop}>
              Stop
            </Button>
          )}
          <span className="caption" role="status">
            {running === null ? '' : `${running} of ${setting.runs} runs`}
          </span>
        </p>
        {running !== null && <progress value={running} max={setting.runs} aria-label="Runs done" />}
        <RateTable rows={rows} change={setRows} />
        <TakeFromAnswers rows={rows} change={setRows} reset={() => setRows(usualRows(papers))} />
      </section>
      <section className="class-main" aria-label="How it thins out">
        {outcome && (
          <Outcome
            papers={papers}
            outcome={outcome.papers}
            runs={outcome.runs}
            learners={setting.learners}
          />
        )}
      </section>
    </div>
  );
}

interface SettingFieldsProps {
  readonly setting: Setting;
  readonly change: (setting: Setting) => void;
}

function SettingFields({ setting, change }: SettingFieldsProps) {
  const field = (name: 'learners' | 'runs' | 'seed', label: string, most: number) => (
    <label>
      {label}
      <input
        type="number"
        min={1}
        max={most}
        value={setting[name]}
        onChange={(event) => {
          const count = Math.round(Number(event.target.value));
          if (count >= 1 && count <= most) change({ ...setting, [name]: count });
        }}
      />
    </label>
  );
  return (
    <div className="class-setting">
      {field('learners', 'learners', 500)}
      {field('runs', 'runs', 5000)}
      {field('seed', 'seed', 1_000_000)}
      <label className="check">
        <input
          type="checkbox"
          checked={setting.sameLearners}
          onChange={(event) => change({ ...setting, sameLearners: event.target.checked })}
        />
        same facts, same learners on every paper
      </label>
    </div>
  );
}

interface TakeProps {
  readonly rows: readonly RateRow[];
  readonly change: (rows: readonly RateRow[]) => void;
  readonly reset: () => void;
}

/** Takes the chances from the answers that are kept with this computation, where there are enough. */
function TakeFromAnswers({ rows, change, reset }: TakeProps) {
  const { answers, problem } = useComparison((state) => state.content);
  const own = answers.filter((one) => one.problem === '' || one.problem === problem);
  const take = async () => {
    const found: AnswerVerdict[] = [];
    const asked = own.map(({ answer }) => ({ problem, answer }));
    await away('diagnoseAnswers', asked, null, (piece) => {
      found.push(...piece.found);
      return true;
    });
    const diagnoses = found.flatMap((one): Diagnosis[] =>
      'diagnosis' in one ? [one.diagnosis] : [],
    );
    const met = observedSlips(diagnoses, null);
    if (!met[0] || met[0].isFew)
      notify('There are too few answers here to tell how often a slip is met: ten at least.');
    else change(rowsMet(rows, met));
  };
  return (
    <p className="chips">
      {own.length > 0 && (
        <button type="button" className="chip" onClick={() => void take()}>
          take from {own.length} answers
        </button>
      )}
      <button type="button" className="chip" onClick={reset}>
        as assumed
      </button>
    </p>
  );
}

interface OutcomeProps {
  readonly papers: readonly Paper[];
  readonly outcome: readonly PaperResult[];
  readonly runs: number;
  readonly learners: number;
}

function Outcome({ papers, outcome, runs, learners }: OutcomeProps) {
  const say = useSpeaker();
  const theme = useSettings((settings) => settings.theme);
  const [isTable, showTable] = useState(false);
  const named = useMemo(
    () =>
      outcome.map((result, k) => {
        const paper = papers[k]!;
        const whereOf = (loss: Loss) => addressWords(loss.address, paper.lane.trace, say);
        const nameOf = (loss: Loss) => labelOf(paper, loss);
        return { title: paper.title, result, nameOf, whereOf };
      }),
    [outcome, papers, say],
  );
  const option = useMemo(() => {
    // The tokens of the theme that is shown.
    void theme;
    const style = getComputedStyle(document.documentElement);
    return classOption(named, learners, { token: (name) => style.getPropertyValue(name).trim() });
  }, [named, learners, theme]);
  const floor = floorOf(named, learners);
  const best = [...named].sort((a, b) => b.result.right.mean - a.result.right.mean)[0]!;
  return (
    <>
      <h2>
        Of {learners} learners {best.result.right.mean.toFixed(1)} are still right by{' '}
        {best.title.toLowerCase()}
        {named.length > 1 && ', the most'}
      </h2>
      <Suspense fallback={<div className="chart" style={{ height: chartHeight(named.length) }} />}>
        <Chart
          height={chartHeight(named.length)}
          option={option}
          label={`How many of ${learners} learners are still right, by the share of the terms dealt with. ${named
            .map(({ title, result }) => `${title}: ${result.right.mean.toFixed(1)}`)
            .join('; ')}.`}
        />
      </Suspense>
      <p className="caption">
        Mean of {runs} runs. {floor > 0 && `The scale of learners begins at ${floor}, not at 0. `}
        The chances are assumptions: fewer chances on a paper mean fewer losses by assumption.{' '}
        <button
          type="button"
          className="link"
          aria-expanded={isTable}
          onClick={() => showTable(!isTable)}
        >
          {isTable ? 'hide the table' : 'show the table'}
        </button>{' '}
        <button type="button" className="link" onClick={() => saveCsv(named)}>
          export CSV
        </button>
      </p>
      <Ends named={named} learners={learners} />
      {isTable && <LossTable named={named} />}
    </>
  );
}

type Named = readonly {
  readonly title: string;
  readonly result: PaperResult;
  readonly nameOf: (loss: Loss) => string;
  readonly whereOf: (loss: Loss) => string;
}[];

function labelOf({ method }: Paper, { slip }: Loss): string {
  const label = method.slips.find(({ id }) => id === slip)?.label;
  return (label ?? 'A fact').toLowerCase();
}

/** How many are right at the end by each paper, and which wrong answers come out most. */
function Ends({ named, learners }: { readonly named: Named; readonly learners: number }) {
  const say = useSpeaker();
  return (
    <table className="class-ends">
      <thead>
        <tr>
          <th scope="col">paper</th>
          <th scope="col" className="number">
            right of {learners}
          </th>
          <th scope="col" className="number">
            middle half
          </th>
          <th scope="col" className="number">
            chances
          </th>
          <th scope="col">wrong answers that come out most, each with how many learners give it</th>
        </tr>
      </thead>
      <tbody>
        {named.map(({ title, result }) => (
          <tr key={title}>
            <th scope="row">{title}</th>
            <td className="number figures">{result.right.mean.toFixed(1)}</td>
            <td className="number figures">
              {result.right.low} to {result.right.high}
            </td>
            <td className="number figures">{result.chances}</td>
            <td className="figures">
              {result.answers
                .filter(({ right }) => !right)
                .slice(0, 4)
                .map(({ answer, count }, k) => (
                  <span key={answer}>
                    {k > 0 && ' · '}
                    <MathText text={say.pointed(answer)} />{' '}
                    <span className="caption">{count.toFixed(1)}</span>
                  </span>
                ))}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function LossTable({ named }: { readonly named: Named }) {
  return (
    <div className="loss-tables">
      {named.map(({ title, result, nameOf, whereOf }) => (
        <table key={title}>
          <caption>{title}</caption>
          <thead>
            <tr>
              <th scope="col">step</th>
              <th scope="col">where lost</th>
              <th scope="col" className="number">
                lost
              </th>
              <th scope="col" className="number">
                left
              </th>
            </tr>
          </thead>
          <tbody>
            {result.losses.map((loss) => (
              <tr key={loss.address}>
                <td className="figures">{loss.step}</td>
                <td>
                  {nameOf(loss)}, {whereOf(loss)}
                </td>
                <td className="number figures">{loss.lost.toFixed(2)}</td>
                <td className="number figures">{loss.left.toFixed(2)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      ))}
    </div>
  );
}

function saveCsv(named: Named): void {
  const head = ['paper', 'step', 'share of terms', 'slip', 'where', 'lost', 'left'];
  const rows = named.flatMap(({ title, result, whereOf }) =>
    result.losses.map((loss) => [
      title,
      `${loss.step}`,
      loss.share.toFixed(4),
      loss.slip,
      whereOf(loss),
      loss.lost.toFixed(4),
      loss.left.toFixed(4),
    ]),
  );
  download(fileName('class', 'csv'), csvText([head, ...rows]), 'text/csv');
}
