import {
  problemText,
  productProblem,
  readProblem,
  registry,
  resolveSchool,
  type ComparisonDocument,
  type EstimateRecord,
  type PaperChoice,
  type Problem,
} from '@levee/core';

/** What she chose and wrote: the part of a comparison that undo goes through. */
export type Content = Pick<
  ComparisonDocument,
  'title' | 'story' | 'unit' | 'problem' | 'estimate' | 'papers'
>;

/** How far the papers are: kept with the comparison, but no matter for undo. */
export type Progress = Pick<ComparisonDocument, 'steps' | 'pace'>;

export function contentOf(document: ComparisonDocument): Content {
  const { title, story, unit, problem, estimate, papers } = document;
  return { title, story, unit, problem, estimate, papers };
}

export function documentOf(content: Content, { steps, pace }: Progress): ComparisonDocument {
  const fitted = content.papers.map((_, k) => steps[k] ?? 0);
  return { format: 'levee-comparison', version: 1, ...content, steps: fitted, pace };
}

/** The problem of a document; documents hold only problems that can be read. */
export function problemOf(content: Content): Problem {
  const read = readProblem(content.problem);
  if (!read.ok) throw new RangeError(`problemOf: "${content.problem}" is not a problem`);
  return read.problem;
}

export function paperOf(method: string): PaperChoice {
  return { method, school: registry.get(method).defaultSchool, order: [] };
}

/** A new comparison, ready to be changed. */
export function freshDocument(): ComparisonDocument {
  return documentOf(
    {
      title: '',
      story: '',
      unit: '',
      problem: '46 × 58',
      estimate: null,
      papers: ['column-multiplication', 'grid-multiplication', 'lattice'].map(paperOf),
    },
    { steps: [0, 0, 0], pace: 'amount' },
  );
}

/**
 * Another problem under the same papers. Schools stay; own orders and the estimate belong to the old
 * numbers and go. Papers whose method refuses the new problem go too, unless none would be left.
 */
export function withProblem(content: Content, problem: Problem): Content {
  const papers = content.papers
    .filter(({ method }) => registry.get(method).accepts(problem).ok)
    .map((paper) => ({ ...paper, order: [] }));
  return { ...content, problem: problemText(problem), estimate: null, papers };
}

/** The factors the other way about; the estimate's operands turn with them. */
export function withSwappedFactors(content: Content): Content {
  const { operands } = problemOf(content);
  const { estimate } = content;
  const swapped = withProblem(content, productProblem([...operands].reverse()));
  return {
    ...swapped,
    estimate: estimate && { ...estimate, operands: [...estimate.operands].reverse() },
  };
}

export function withEstimate(content: Content, estimate: EstimateRecord | null): Content {
  return { ...content, estimate };
}

export function withPaper(content: Content, index: number, paper: PaperChoice): Content {
  return { ...content, papers: content.papers.map((own, k) => (k === index ? paper : own)) };
}

export function withSchool(
  content: Content,
  index: number,
  school: string,
  option: string,
): Content {
  const paper = content.papers[index];
  if (!paper) return content;
  const resolved = resolveSchool(registry.get(paper.method), { ...paper.school, [school]: option });
  return resolved.ok ? withPaper(content, index, { ...paper, school: resolved.school }) : content;
}
