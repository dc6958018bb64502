import { numeralText } from '../exact/numeral.ts';
import { type Asked, operandsOf } from '../own/read/asked.ts';
import type { InvitedWay } from '../own/ways/ways.ts';
import type { WaysDocument } from './ways-shape.ts';

/** The problem of someone's own lines in every document. */
export function askedHead(asked: Asked): WaysDocument['problem'] {
  const { problem } = asked;
  return {
    text: asked.text,
    kind: problem?.kind ?? null,
    operands: problem ? problem.operands.map(numeralText) : operandsOf(asked).map(String),
    base: asked.base,
    value: asked.value.toString(),
  };
}

/** Ways that numbers invite as an open document. */
export function waysDocument(asked: Asked, ways: readonly InvitedWay[]): WaysDocument {
  return {
    format: 'levee-ways',
    version: 1,
    problem: askedHead(asked),
    ways: ways.map(({ kind, lines, cost, why }) => ({
      kind,
      lines: lines.map(({ text, law, move }) => ({ text, law, move })),
      cost,
      why,
    })),
  };
}
