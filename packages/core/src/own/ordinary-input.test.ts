import { writeFileSync } from 'node:fs';
import { Random } from '../exact/random.ts';
import { compare } from '../compare/compare.ts';
import { comparisonReport } from '../formats/comparison-report.ts';
import { linesDocument } from '../formats/lines-document.ts';
import { sheetText } from '../sheet/text-sink.ts';
import { ordinaryInput, type OrdinaryInput } from '../testing/ordinary-input.ts';
import { Dice } from '../testing/rewritings.ts';
import { readAsked } from './read/asked.ts';
import { readComputation } from '../problem/computation.ts';
import { ownLinesMethod } from './paper/method.ts';
import { offersFor, typedLine } from './paper/offers.ts';
import { workOf } from './paper/own-work.ts';
import { judgeLines } from './judge/judge-lines.ts';

/** How many are drawn; `npm run siege` asks for more, and for the figures in a file. */
const RUNS = Number(process.env.LEVEE_FUZZ ?? 250);
const SEED = Number(process.env.LEVEE_FUZZ_SEED ?? 1);
const FIGURES = process.env.LEVEE_FUZZ_FIGURES;

/** All that the command line says of lines; null where the computation is none. */
function judged({ problem, lines }: OrdinaryInput): string | null {
  const read = readAsked(problem);
  return read.ok ? JSON.stringify(linesDocument(judgeLines(read.asked, lines))) : null;
}

/** All that the bench makes of them: paper, certificate, and what is offered for the last line. */
function laid({ problem, lines }: OrdinaryInput): string {
  const method = ownLinesMethod(workOf(lines));
  const made = readComputation(problem);
  const asked = readAsked(problem);
  if (!made.ok || !asked.ok) return '';
  const comparison = compare(made.problem, [{ method }]);
  const { trace } = comparison.lanes[0]!;
  const offers = offersFor(typedLine(asked.asked, lines.slice(0, -1), lines.at(-1)!));
  const report = comparisonReport(comparison);
  return sheetText(method.sheet(trace), trace) + JSON.stringify([offers, report]);
}

function draw(k: number): OrdinaryInput {
  return ordinaryInput(new Dice(new Random(SEED * 1_000_003 + k)));
}

it('nothing that anybody types makes the judge fail, and the same input gives the same bytes', () => {
  const failed: string[] = [];
  const counts = { inputs: 0, refused: 0, thrown: 0, differing: 0, slowest: 0, slowestInput: '' };
  for (let k = 0; k < RUNS; k++) {
    const input = draw(k);
    const start = performance.now();
    counts.inputs += 1;
    try {
      const made = judged(input);
      if (made === null) counts.refused += 1;
      const took = performance.now() - start;
      if (took > counts.slowest)
        Object.assign(counts, { slowest: Math.round(took), slowestInput: JSON.stringify(input) });
      if (made === null || (judged(input) === made && laid(input) === laid(input))) continue;
      counts.differing += 1;
      failed.push(`differs: ${JSON.stringify(input)}`);
    } catch (failure) {
      counts.thrown += 1;
      failed.push(`${(failure as Error).stack?.slice(0, 700)}: ${JSON.stringify(input)}`);
    }
  }
  if (FIGURES) writeFileSync(FIGURES, JSON.stringify(counts));
  expect(failed.slice(0, 5)).toEqual([]);
  expect(counts.refused).toBeLessThan(counts.inputs / 4);
}, 3_600_000);
