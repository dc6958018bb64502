import type { TermTexts } from '@levee/core';

/** Whether a line is figures and signs alone, which need no typesetting. */
export function isPlain({ script, kind }: TermTexts): boolean {
  return script === 'figures' && kind !== 'root';
}
