import type { Page } from './page.ts';
import type { TestServer } from './server.ts';

export interface Stored {
  readonly id: string;
  readonly version: number;
  readonly document: { readonly title: string; readonly problem: string };
}

/** The first comparison that a search finds. */
export async function findComparison(server: TestServer, search: string): Promise<Stored> {
  const query = new URLSearchParams({ search });
  const { items } = await server.json<{ items: { id: string }[] }>(`comparisons?${query}`);
  const [first] = items;
  if (!first) throw new Error(`No comparison is found by "${search}".`);
  return server.json<Stored>(`comparisons/${first.id}`);
}

/** Opens a view of the first comparison that a search finds, and waits until it is there. */
export async function openComparison(
  server: TestServer,
  page: Page,
  search: string,
  view = '',
): Promise<Stored> {
  const found = await findComparison(server, search);
  await page.driver.get(`${server.address}/c/${found.id}${view}`);
  await page.find('.paper, .present-paper, .printed-paper, .why-method, .check, .slips');
  // All of the bench stands, also what is drawn after the papers.
  if (view === '') await page.find('.agree dl, .large');
  return found;
}
