import { openComparison } from '../store/keeping.ts';

/** Milliseconds that the first picture of the page waits for the comparison at most. */
const PATIENCE = 60;

/**
 * Opens the comparison of an address before any screen is drawn, so that the first one drawn is the one that is
 * wanted. Where it takes long, the page is drawn without it.
 */
export async function openAhead(path: string): Promise<void> {
  const [, name] = /^\/c\/([^/]+)/.exec(path) ?? [];
  if (!name) return;
  const late = new Promise<void>((resolve) => setTimeout(resolve, PATIENCE));
  await Promise.race([openComparison(decodeURIComponent(name)), late]);
}
