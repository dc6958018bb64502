import { useComparison } from '../store/comparison-store.ts';
import { openComparison } from '../store/keeping.ts';
import { workAhead } from '../worked/work.ts';

/** Milliseconds that the first picture of the page waits for the comparison at most. */
const PATIENCE = 60;

/**
 * Opens and works the comparison of an address before any screen is drawn, so that the first one drawn is the one that is
 * wanted. Where it takes long, the page is drawn without it.
 */
export async function openAhead(path: string): Promise<void> {
  const [, name] = /^\/c\/([^/]+)/.exec(path) ?? [];
  if (!name) return;
  const late = new Promise<void>((resolve) => setTimeout(resolve, PATIENCE));
  const worked = openComparison(decodeURIComponent(name)).then(() =>
    workAhead(useComparison.getState().content),
  );
  await Promise.race([worked, late]);
}
