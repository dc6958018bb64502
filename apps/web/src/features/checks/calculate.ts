import { evaluate, failureText, readExpression, type Exact, type Notation } from '@levee/core';

export type Calculated =
  { readonly ok: true; readonly value: Exact } | { readonly ok: false; readonly fault: string };

/** Works out a typed computation exactly, or says in one sentence why it cannot. */
export function calculate(text: string, { point }: Pick<Notation, 'point'>): Calculated {
  const read = readExpression(text, { decimalComma: point === ',' });
  if (!read.ok) return { ok: false, fault: failureText(read.reason) };
  return evaluate(read.expression);
}
