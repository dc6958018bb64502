import type { ComparisonDocument } from '@levee/core';

interface Row {
  readonly id: string;
  readonly version: number;
  readonly createdAt: string;
  readonly updatedAt: string;
  readonly title: string;
  readonly problem: string;
}

export interface Stored extends Row {
  readonly document: ComparisonDocument;
  readonly unreadable: null;
}

/** A kept comparison that this version cannot read. */
export interface Unreadable extends Row {
  readonly document: null;
  readonly unreadable: { readonly code: string; readonly detail: string };
}

export type Kept = Stored | Unreadable;

/** A comparison as a list shows it, without its document. */
export type ListedComparison = Row & {
  /** Null where it cannot be read. */
  readonly listed: {
    readonly story: string;
    readonly unit: string;
    readonly estimate: string | null;
    readonly tags: readonly string[];
    readonly papers: readonly { readonly method: string; readonly name: string }[];
    readonly holds: Readonly<Record<'lines' | 'slips' | 'checks' | 'answers', number>>;
  } | null;
  readonly unreadable: Unreadable['unreadable'] | null;
};

/** A way of own lines that has a name, on the comparison that it stands on. */
export interface NamedWay {
  readonly problem: string;
  readonly name: string;
  readonly lines: readonly string[];
}

export interface Page {
  readonly items: readonly ListedComparison[];
  readonly total: number;
  readonly page: number;
  readonly pageSize: number;
}

/** Which comparisons are listed, and in which order. */
export interface Wanted {
  readonly search?: string;
  readonly kind?: string;
  readonly method?: string;
  readonly tag?: string;
  readonly sort?: 'updatedAt' | 'createdAt' | 'title' | 'problem';
  readonly order?: 'asc' | 'desc';
  /** Those that were deleted. */
  readonly deleted?: boolean;
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

/** The most bytes that a browser goes on sending for a page that is closed. */
const MOST_KEPT_ALIVE = 60_000;

async function request<T>(method: string, path: string, body?: unknown): Promise<Reply<T>> {
  let response: Response;
  try {
    response = await fetch(`/api/${path}`, { method, ...withBody(body) });
  } catch {
    return { ok: false, code: UNREACHABLE, detail: 'The server does not answer.' };
  }
  const text = await response.text();
  const answer: unknown = text === '' ? undefined : parse(text);
  return response.ok ? { ok: true, value: answer as T } : refusal(answer);
}

/** A body is sent to its end even when the page is closed meanwhile, unless it is too long for that. */
function withBody(body: unknown): RequestInit {
  if (body === undefined) return {};
  const text = JSON.stringify(body);
  return {
    body: text,
    headers: { 'Content-Type': 'application/json' },
    keepalive: new Blob([text]).size < MOST_KEPT_ALIVE,
  };
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
  list: (wanted: Wanted, page: number, pageSize: number) =>
    request<Page>(
      'GET',
      `comparisons?${new URLSearchParams({ ...wanted, deleted: String(wanted.deleted ?? false), page: String(page), pageSize: String(pageSize) })}`,
    ),
  ways: () => request<readonly NamedWay[]>('GET', 'comparisons/ways'),
  tags: () => request<readonly string[]>('GET', 'comparisons/tags'),
  examples: () => request<readonly ComparisonDocument[]>('GET', 'comparisons/examples'),
  /** Where a document can be fetched just as it is kept. */
  rawAddress: (id: string) => `/api/comparisons/${encodeURIComponent(id)}/raw`,
  create: (document: ComparisonDocument) => request<Stored>('POST', 'comparisons', { document }),
  read: (id: string) => request<Stored>('GET', `comparisons/${encodeURIComponent(id)}`),
  update: (id: string, version: number, document: ComparisonDocument) =>
    request<Stored>('PUT', `comparisons/${encodeURIComponent(id)}`, { version, document }),
  duplicate: (id: string) =>
    request<Stored>('POST', `comparisons/${encodeURIComponent(id)}/duplicate`),
  remove: (id: string) => request<undefined>('DELETE', `comparisons/${encodeURIComponent(id)}`),
  forget: (id: string) =>
    request<undefined>('DELETE', `comparisons/${encodeURIComponent(id)}/forever`),
  restore: (id: string) => request<Kept>('POST', `comparisons/${encodeURIComponent(id)}/restore`),
};
