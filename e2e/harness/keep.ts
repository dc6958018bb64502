import { freshComparison } from '@levee/core';
import type { TestServer } from './server.ts';

/** A comparison to be kept: a problem on papers of methods, and of own lines behind them. */
export interface Laid {
  readonly problem: string;
  readonly methods?: readonly string[];
  readonly lines?: readonly (readonly string[])[];
  readonly answers?: readonly string[];
  /** Steps done on every paper; one that has fewer is done to its end. */
  readonly steps?: number;
}

/** Keeps a comparison on the server; its id. */
export async function keep(server: TestServer, laid: Laid): Promise<string> {
  const { id } = await server.json<{ id?: string }>('comparisons', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ document: documentOf(laid) }),
  });
  if (id === undefined) throw new Error(`The server does not keep ${laid.problem}.`);
  return id;
}

function documentOf({ problem, methods = [], lines = [], answers = [], steps = 0 }: Laid) {
  const plain = { school: {}, order: [], hops: [], slips: [] };
  const papers = [
    ...methods.map((method) => ({ ...plain, method, own: null })),
    ...lines.map((texts) => {
      const own = { lines: texts.map((text) => ({ text, struck: false })), code: '', name: '' };
      return { ...plain, method: 'own-lines', own };
    }),
  ].map((paper, k) => ({ id: `p${k + 1}`, ...paper }));
  return {
    ...freshComparison(problem),
    title: 'hard',
    papers,
    steps: Object.fromEntries(papers.map(({ id }) => [id, steps])),
    answers: answers.map((answer) => ({ code: '', problem: '', answer })),
  };
}
