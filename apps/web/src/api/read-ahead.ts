import { comparisonsApi, type Reply, type Stored } from './client.ts';

let started: { readonly id: string; readonly reply: Promise<Reply<Stored>> } | null = null;

/** Asks for the comparison of an address before any screen is drawn. */
export function readAhead(path: string): void {
  const [, name] = /^\/c\/([^/]+)/.exec(path) ?? [];
  if (!name) return;
  const id = decodeURIComponent(name);
  started = { id, reply: comparisonsApi.read(id) };
}

/** The comparison with this id, as it was asked for ahead or asked for now; what was ahead serves once. */
export function readComparison(id: string): Promise<Reply<Stored>> {
  const ahead = started;
  started = null;
  return ahead?.id === id ? ahead.reply : comparisonsApi.read(id);
}
