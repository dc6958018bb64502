import { readFileSync } from 'node:fs';
import { agreement } from '../../compare/certificate/agreement.ts';
import { compare } from '../../compare/compare.ts';
import { cost } from '../../compare/counted/cost.ts';
import { certainties } from '../../compare/looked-at.ts';
import { foresee } from '../../compare/looked-at.ts';
import { levels } from '../../compare/counted/levels.ts';
import { reasonsOf } from '../../compare/certificate/reasons.ts';
import { reasonsLatex, reasonsMarkdown } from '../../compare/certificate/agreement-export.ts';
import { stepLabels } from '../../compare/looked-at.ts';
import { verifyAgreement } from '../../compare/certificate/verify-agreement.ts';
import { PLAIN_NOTATION } from '../../exact/notation.ts';
import { groundOf } from '../../ground/ground.ts';
import { nameOfMethod } from '../../methods/names.ts';
import { registry } from '../../methods/index.ts';
import { sayPlain } from '../../phrases/phrasebook.ts';
import { speakerFor } from '../../phrases/speaker.ts';
import { DEFAULT_VOCABULARY } from '../../phrases/vocabulary.ts';
import { readProblem } from '../../problem/problem.ts';
import { drawSheet } from '../../sheet/drawing.ts';
import { sheetSvg } from '../../sheet/svg-sink.ts';
import { sheetText } from '../../sheet/text-sink.ts';
import { ownLinesMethod } from './method.ts';
import { workOf } from './own-work.ts';

interface Example {
  readonly problem: string;
  readonly lines: readonly string[];
}

const EXAMPLES = readFileSync(
  new URL('../../../../../docs/examples/lines.jsonl', import.meta.url),
  'utf8',
)
  .trim()
  .split('\n')
  .map((line) => JSON.parse(line) as Example);

/** Lines that are no working at all. */
const ODD = ['', '((((', 'we guessed', '<b>x</b>', '864 ÷ 0', '= y + 1', '1'.repeat(1200), '= 1/0'];

const PAPERS = [
  ...EXAMPLES,
  ...EXAMPLES.filter((_, k) => k % 9 === 0).map(({ problem, lines }) => ({
    problem,
    lines: [...lines.slice(0, 1), ...ODD, ...lines.slice(1)],
  })),
  ...['46 × 58', '642 − 387', '7 + 9 + 4', '952 ÷ 7', '√7396', '3/4 + 1/6', '(x+4)(3x-2)'].flatMap(
    (problem) => [
      { problem, lines: [] },
      { problem, lines: ODD },
      { problem, lines: ['= 46 × 60 − 46 × 2', '= 2668'] },
    ],
  ),
];

it.each(PAPERS)('$problem: $lines stands in the place of a method', ({ problem, lines }) => {
  const read = readProblem(problem);
  if (!read.ok) return;
  const method = ownLinesMethod(workOf(lines));
  const other = registry.methods.find((one) => one.accepts(read.problem).ok);
  const choices = [{ method }, ...(other ? [{ method: other }] : [])];
  const comparison = compare(read.problem, choices);
  const [lane] = comparison.lanes;
  const { trace } = lane!;
  const sheet = method.sheet(trace);
  expect(drawSheet(sheet, trace).figures.length).toBeGreaterThan(0);
  expect(sheetSvg(sheet, trace)).toContain('</svg>');
  expect(sheetText(sheet, trace)).not.toBe('');
  expect(levels(trace)).toHaveLength(trace.steps.length + 1);
  expect(cost(trace).steps).toBe(trace.steps.length);
  expect(certainties(trace).length).toBeGreaterThan(0);
  foresee(trace);
  groundOf(comparison);
  const say = speakerFor(read.problem, DEFAULT_VOCABULARY);
  expect(stepLabels(trace, say)).toHaveLength(trace.steps.length);
  for (const { phrase } of trace.steps) {
    for (const voice of ['digit', 'value'] as const) {
      expect(sayPlain(method.phrases, phrase, voice, say)).not.toBe('');
    }
  }
  const certificate = agreement(comparison);
  expect(verifyAgreement(certificate)).toEqual({ ok: true });
  const reasons = reasonsOf(comparison);
  for (const own of reasons.alone) expect(verifyAgreement(own)).toEqual({ ok: true });
  const names = { method: nameOfMethod, notation: PLAIN_NOTATION };
  expect(reasonsMarkdown(reasons, names)).toContain('## Own lines');
  expect(reasonsLatex(reasons, names)).toContain('Own lines');
  const judged = method.judged(read.problem).paper;
  expect(trace.isUnfinished ?? false).toBe(!judged.complete);
});
