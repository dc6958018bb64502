import type { ComparisonDocument } from '@levee/core';

/** What a list shows of a comparison beside its title and computation. */
export interface Listed {
  readonly story: string;
  readonly unit: string;
  /** What was estimated; null where nothing was. */
  readonly estimate: string | null;
  readonly tags: readonly string[];
  /** The methods of its papers in their order; own lines by what they are called. */
  readonly papers: readonly { readonly method: string; readonly name: string }[];
  /** What it holds, counted. */
  readonly holds: {
    readonly lines: number;
    readonly slips: number;
    readonly checks: number;
    readonly answers: number;
  };
}

export function listedOf(document: ComparisonDocument): Listed {
  const { story, unit, estimate, tags, papers, checks, answers } = document;
  const count = (of: (paper: (typeof papers)[number]) => number) =>
    papers.reduce((sum, paper) => sum + of(paper), 0);
  return {
    story,
    unit,
    estimate: estimate?.value ?? null,
    tags,
    papers: papers.map(({ method, own }) => ({ method, name: own?.name || own?.code || '' })),
    holds: {
      lines: count(({ own }) => own?.lines.length ?? 0),
      slips: count(({ slips }) => slips.length),
      checks: checks.length,
      answers: answers.length,
    },
  };
}
