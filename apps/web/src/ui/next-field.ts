import type { KeyboardEvent } from 'react';

/**
 * Enter in one of several fields goes to the next one and closes nothing; with Ctrl, or from a button, it keeps what was
 * typed as always.
 */
export function enterGoesOn(event: KeyboardEvent<HTMLFormElement>): void {
  const { target, currentTarget: form } = event;
  if (event.key !== 'Enter' || !(target instanceof HTMLInputElement)) return;
  event.preventDefault();
  if (event.ctrlKey || event.metaKey) return form.requestSubmit();
  const fields = [...form.querySelectorAll<HTMLElement>('input, button[type="submit"]')];
  fields[fields.indexOf(target) + 1]?.focus();
}
