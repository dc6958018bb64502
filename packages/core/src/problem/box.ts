import { some, type Expression } from './expression.ts';

/** Whether the number that is looked for still stands as a box. */
export function hasBox(of: Expression): boolean {
  return some(of, ({ kind }) => kind === 'box');
}
