import {
  OWN_LINES,
  OWN_LINES_NAME,
  readComputation,
  registry,
  type ComparisonDocument,
} from '@levee/core';

/**
 * What a search looks through: title, story, problem, tags, the operation and the methods by their names, a line each; and,
 * as lines of their own, the marks that a list is filtered by.
 */
export function searchTextOf(document: ComparisonDocument): string {
  const { title, story, problem, tags, papers } = document;
  const read = readComputation(problem);
  const kind = read.ok ? read.problem.kind : '';
  const methods = [...new Set(papers.map(({ method }) => method))];
  const names = [
    ...methods.flatMap((id) =>
      id === OWN_LINES ? [OWN_LINES_NAME] : (registry.find(id)?.name ?? []),
    ),
    ...papers.flatMap(({ own }) => (own ? [own.name, own.code] : [])),
  ];
  const said = [title, story, problem, ...tags, kind, ...names].map(searchable);
  const marks = [
    mark('kind', kind),
    ...methods.map((id) => mark('method', id)),
    ...tags.map((tag) => mark('tag', tag)),
  ];
  return [...said, ...marks, ''].join('\n');
}

/** How a search text says that a comparison is of a kind, uses a method or has a tag. */
export function mark(what: 'kind' | 'method' | 'tag', name: string): string {
  return `\u0001${what}:${name.toLowerCase()}\u0001`;
}

/** Lower case, all signs of one kind alike, no spaces around them. */
export function searchable(text: string): string {
  return text
    .toLowerCase()
    .replace(/(?<=[0-9a-f])\s*[x×·*]\s*(?=[0-9])/g, '×')
    .replace(/(?<=[0-9a-f])\s*[÷:]\s*(?=[0-9])/g, '÷')
    .replace(/(?<=[0-9a-f])\s*\+\s*(?=[0-9])/g, '+')
    .replace(/(?<=[0-9a-f])\s*[−-]\s*(?=[0-9])/g, '−')
    .trim();
}
