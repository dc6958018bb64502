import { notify } from './notices.tsx';

/** Puts a text on the clipboard and says so. */
export async function copy(text: string): Promise<void> {
  try {
    await navigator.clipboard.writeText(text);
    notify('Copied.');
  } catch {
    notify('The clipboard is not open to this page; use Export in the menu instead.');
  }
}
