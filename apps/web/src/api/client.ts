import type { ComparisonDocument } from '@levee/core';

export interface Stored {
  readonly id: string;
  readonly version: number;
  readonly createdAt: string;
  readonly updatedAt: string;
  readonly document: ComparisonDocument;
}

export interface Page {
  readonly items: readonly Stored[];
  readonly total: number;
  readonly page: number;
  readonly pageSize: number;
}

/** What came of a request: an answer, a refusal with its code, or no server at all. */
export type Reply<T> =
  | { readonly ok: true; readonly value: T }
  | {
      readonly ok: false;
      readonly code: string;
      readonly detail: string;
      readonly current?: Stored;
    };

/** The code of a reply that never came. */
export const UNREACHABLE = 'unreachable';

async function request<T>(method: string, path: string, body?: unknown): Promise<Reply<T>> {
  let response: Response;
  try {
    response = await fetch(`/api/${path}`, {
      method,
      ...(body === undefined
        ? {}
        : { body: JSON.stringify(body), headers: { 'Content-Type': 'application/json' } }),
    });
  } catch {
    return { ok: false, code: UNREACHABLE, detail: 'The server does not answer.' };
  }
  const text = await response.text();
  const answer: unknown = text === '' ? undefined : parse(text);
  return response.ok ? { ok: true, value: answer as T } : refusal(answer);
}

function parse(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

function refusal(answer: unknown): Reply<never> {
  const problem = (answer ?? {}) as { code?: string; detail?: string; current?: Stored };
  return {
    ok: false,
    code: problem.code ?? UNREACHABLE,
    detail: problem.detail ?? 'The server gave no readable answer.',
    ...(problem.current ? { current: problem.current } : {}),
  };
}

/** The server's comparisons. */
export const comparisonsApi = {
  list: (search: string, page: number, pageSize: number) =>
    request<Page>(
      'GET',
      `comparisons?${new URLSearchParams({ search, page: String(page), pageSize: String(pageSize) })}`,
    ),
  create: (document: ComparisonDocument) => request<Stored>('POST', 'comparisons', { document }),
  read: (id: string) => request<Stored>('GET', `comparisons/${encodeURIComponent(id)}`),
  update: (id: string, version: number, document: ComparisonDocument) =>
    request<Stored>('PUT', `comparisons/${encodeURIComponent(id)}`, { version, document }),
  duplicate: (id: string) =>
    request<Stored>('POST', `comparisons/${encodeURIComponent(id)}/duplicate`),
  remove: (id: string) => request<undefined>('DELETE', `comparisons/${encodeURIComponent(id)}`),
  restore: (id: string) => request<Stored>('POST', `comparisons/${encodeURIComponent(id)}/restore`),
};
