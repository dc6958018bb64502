import { pointedTerms } from '../exact/numeral.ts';
import type { Trace } from './account.ts';

/**
 * A work with letters whose numbers were typed with a point, written so on its paper: `0.5x` where the terms are kept as
 * `1/2 x`. What is owed, given and marked stays worth what it is.
 */
export function pointedTrace(trace: Trace, letters: string): Trace {
  const written = (text: string) => pointedTerms(text, letters);
  const looks = <T extends { readonly text: string; readonly glyph: string }>(of: T): T => ({
    ...of,
    text: written(of.text),
    glyph: written(of.glyph),
  });
  const owed = <T extends { readonly text: string }>(of: T): T => ({
    ...of,
    text: written(of.text),
  });
  return {
    ...trace,
    givens: trace.givens.map(looks),
    start: trace.start.map(owed),
    steps: trace.steps.map((step) => ({
      ...step,
      gives: step.gives.map(looks),
      opens: step.opens.map(owed),
    })),
    stages: trace.stages.map((stage) => ({ ...stage, trace: pointedTrace(stage.trace, letters) })),
  };
}
