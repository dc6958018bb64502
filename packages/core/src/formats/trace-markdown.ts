import { answerText } from '../account/answer-text.ts';
import { raised } from '../exact/terms-text.ts';
import type { Trace } from '../account/account.ts';
import { schoolsOf } from '../methods/method.ts';
import type { Method } from '../methods/method.ts';
import { inNotation } from '../exact/notation.ts';
import { amountWriter } from '../problem/script.ts';
import { sheetText } from '../sheet/text-sink.ts';
import { LAW_LABELS } from '../compare/certificate/agreement-export.ts';
import { notationFor } from '../phrases/speaker.ts';
import { DEFAULT_VOCABULARY, type Vocabulary } from '../phrases/vocabulary.ts';
import { traceDocument } from './trace-document.ts';

/** A trace as a Markdown document: the finished paper, then a table row a step in both voices. */
export function traceMarkdown(
  method: Method,
  trace: Trace,
  words: Vocabulary = DEFAULT_VOCABULARY,
): string {
  const document = traceDocument(method, trace, words);
  const notation = notationFor(trace.problem, words);
  const school = schoolsOf(method, trace.problem).map(({ id, label, options }) => {
    const chosen = options.find((option) => option.id === trace.school[id]);
    return `${label.toLowerCase()}: ${chosen?.label ?? ''}`;
  });
  const rows = document.steps.map(
    (step, k) =>
      `| ${step.number} | ${step.digitVoice} | ${step.valueVoice} | ${LAW_LABELS[step.law]} | ${inNotation(amountWriter(trace.problem)(trace.steps[k]!.balance), notation)} |`,
  );
  const problem = inNotation(raised(document.problem.text), notation);
  return [
    `# ${method.name}: ${problem} = ${inNotation(answerText(trace), notation)}`,
    ...(school.length > 0 ? [school.join('; ')] : []),
    ['```', sheetText(method.sheet(trace), trace, { notation }), '```'].join('\n'),
    ['| step | digit voice | value voice | law | balance |', '|---|---|---|---|---|', ...rows].join(
      '\n',
    ),
    '',
  ].join('\n\n');
}
