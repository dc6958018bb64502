import type { KeyboardEvent } from 'react';

/** What keys do on a line; false where one does what it does everywhere. */
export interface LineKeys {
  readonly enter: () => unknown;
  readonly join: () => unknown;
  readonly offer: () => unknown;
  readonly go: (by: 1 | -1) => unknown;
  readonly choose: (by: 1 | -1) => unknown;
  readonly strike: () => unknown;
  readonly leave: () => unknown;
}

/** Does what a key asks for; whether it did. Tab is left alone: it leaves the paper. */
export function keyOf(event: KeyboardEvent, keys: LineKeys): boolean {
  const { key, altKey, ctrlKey, metaKey } = event;
  if (ctrlKey || metaKey) return false;
  const by = key === 'ArrowDown' ? 1 : -1;
  if (altKey) {
    if (key === 'ArrowDown' || key === 'ArrowUp') return keys.choose(by) !== false;
    return key.toLowerCase() === 'x' && keys.strike() !== false;
  }
  switch (key) {
    case 'Enter':
      return keys.enter() !== false;
    case 'Backspace':
      return keys.join() !== false;
    case 'ArrowRight':
      return keys.offer() !== false;
    case 'ArrowDown':
    case 'ArrowUp':
      return keys.go(by) !== false;
    case 'Escape':
      return keys.leave() !== false;
    default:
      return false;
  }
}
