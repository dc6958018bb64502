import {
  asBrackets,
  asFigures,
  freshComparison,
  scriptOf,
  sortNamed,
  sortOf,
  inBase,
  makeProblem,
  MAX_EARLIER,
  type Method,
  methodOfPaper,
  NO_LINES,
  OWN_LINES,
  type OwnWork,
  problemText,
  readComputation,
  registry,
  resolveSchool,
  schoolsOf,
  type ComparisonDocument,
  type EstimateRecord,
  type PaperChoice,
  type PaperId,
  type Problem,
} from '@levee/core';
import { deskOf, documentOf, settled, UNNAMED, type Content } from './desk.ts';

/** The problem of a document; documents hold only problems that can be read. */
export function problemOf(content: Pick<Content, 'problem'>): Problem {
  const read = readComputation(content.problem);
  if (!read.ok) throw new RangeError(`problemOf: "${content.problem}" is not a problem`);
  return read.problem;
}

/** A paper to be laid: by a method, as it is usually worked; of own lines an empty one. */
export function paperOf(method: string): PaperChoice {
  if (method === OWN_LINES) return ownPaper(NO_LINES);
  const school = registry.get(method).defaultSchool;
  return { id: UNNAMED, method, school, order: [], hops: [], slips: [], own: null };
}

/** A paper of someone's own lines. */
export function ownPaper(own: OwnWork): PaperChoice {
  return { id: UNNAMED, method: OWN_LINES, school: {}, order: [], hops: [], slips: [], own };
}

/** A new comparison of a computation, with the papers that suit it; of 46 × 58 unless another is named. */
export function freshDocument(problem?: Problem): ComparisonDocument {
  const papers = problem
    ? firstPapers(problem)
    : sortNamed('product of figures').firstPapers.map(paperOf);
  const fresh = freshComparison(problem ? problemText(problem) : '46 × 58');
  return documentOf(settled(deskOf({ ...fresh, papers })));
}

/**
 * Another problem under the same methods, as papers of their own. Schools and own lines stay, which are then judged
 * against the new numbers; own orders, own hops and slips belong to the old ones and go; the estimate and learners' answers stay with their computation and come back with it.
 * Papers whose method refuses the new problem go too; when none is left, papers that suit the new kind of problem are laid.
 */
export function withProblem(content: Content, problem: Problem): Content {
  const papers = content.papers
    .filter((paper) => methodFor(paper).accepts(problem).ok)
    .map((paper) => ({ ...paper, id: UNNAMED, order: [], hops: [], slips: [] }));
  return {
    ...content,
    ...estimateOf(content, problemText(problem)),
    answers: answersBy(content, problemText(problem)),
    papers: papers.length > 0 ? papers : firstPapers(problem),
  };
}

/** Answers of learners stay answers to the computation that they were given to. */
function answersBy({ answers, problem }: Content, next: string): Content['answers'] {
  return answers.map((one) => {
    const asked = one.problem === '' ? problem : one.problem;
    return { ...one, problem: asked === next ? '' : asked };
  });
}

/** Another computation with the estimate that was made of it before; that of the one before it is kept. */
function estimateOf({ problem, estimate, earlier }: Content, next: string) {
  if (next === problem) return { problem, estimate, earlier };
  const others = earlier.filter((one) => one.problem !== problem && one.problem !== next);
  const kept = estimate ? [...others, { problem, estimate }].slice(-MAX_EARLIER) : others;
  const found = earlier.find((one) => one.problem === next)?.estimate ?? null;
  return { problem: next, estimate: found, earlier: kept };
}

function firstPapers(problem: Problem): readonly PaperChoice[] {
  const suited = sortOf(problem).firstPapers;
  const accepted = registry.methods.filter((method) => method.accepts(problem).ok);
  const first = suited.filter((id) => accepted.some((own) => own.id === id));
  const chosen = first.length > 0 ? first : accepted.slice(0, 3).map(({ id }) => id);
  return (chosen.length > 0 ? chosen : [OWN_LINES]).map(paperOf);
}

/**
 * One more paper: of a method that is not on the bench yet, else of one that is there in another school,
 * else the first once more; of own lines where no method works the problem.
 */
export function withAnotherPaper(content: Content): Content {
  const problem = problemOf(content);
  const accepted = registry.methods.filter((method) => method.accepts(problem).ok);
  const usual = accepted.map(({ id }) => paperOf(id));
  const otherwise = accepted.flatMap((method) =>
    schoolsOf(method, problem).flatMap((school) =>
      school.options.map((option) => ({
        ...paperOf(method.id),
        school: fullSchool(method.id, { [school.id]: option.id }),
      })),
    ),
  );
  const isNew = (paper: PaperChoice) =>
    content.papers.every(({ method }) => method !== paper.method);
  const isOther = (paper: PaperChoice) => content.papers.every((own) => !isSameWay(own, paper));
  const next = usual.find(isNew) ?? [...usual, ...otherwise].find(isOther) ?? usual[0];
  return { ...content, papers: [...content.papers, next ?? paperOf(OWN_LINES)] };
}

/** Whether two papers are worked by the same method in the same school. */
function isSameWay(one: PaperChoice, other: PaperChoice): boolean {
  const ids = Object.keys(one.school);
  return one.method === other.method && ids.every((id) => one.school[id] === other.school[id]);
}

/** The operands the other way about; the estimate's operands turn with them. */
export function withSwappedOperands(content: Content): Content {
  const { kind, operands } = problemOf(content);
  const { estimate } = content;
  const swapped = withProblem(content, makeProblem(kind, [...operands].reverse()));
  return {
    ...swapped,
    units: [...content.units].reverse(),
    estimate: estimate && { ...estimate, operands: [...estimate.operands].reverse() },
  };
}

/** The same computation with its numbers in another base, where they end there; papers and schools stay. */
export function withBase(content: Content, base: number): Content {
  const written = inBase(problemOf(content), base);
  return written ? withProblem(content, written) : content;
}

/** A product of whole numbers read as brackets in powers of the base, or such brackets as numbers; null for others. */
export function otherReading(problem: Problem): Problem | null {
  return scriptOf(problem) === 'terms' ? asFigures(problem) : asBrackets(problem);
}

/**
 * The same product in its other reading: every paper is changed for the method that does the same there,
 * and those that have none for methods that suit the reading.
 */
export function withOtherReading(content: Content): Content {
  const read = otherReading(problemOf(content));
  if (!read) return content;
  const papers = content.papers.flatMap(({ method, own }) => {
    if (own) return [];
    const end = registry
      .get(method)
      .bridge?.find((one) => registry.get(one.method).accepts(read).ok);
    return end ? [{ ...paperOf(end.method), school: fullSchool(end.method, end.school) }] : [];
  });
  const unlike = papers.filter(
    ({ method }, k) => papers.findIndex((other) => other.method === method) === k,
  );
  const suited = firstPapers(read).filter(
    ({ method }) => !unlike.some((paper) => paper.method === method),
  );
  const all = [...unlike, ...suited.slice(0, content.papers.length - unlike.length)];
  return withProblem({ ...content, papers: all }, read);
}

/** The method of a paper; documents name only methods that exist. */
export function methodFor(paper: PaperChoice): Method {
  return methodOfPaper(paper, registry) ?? registry.get(paper.method);
}

function fullSchool(method: string, school: PaperChoice['school']): PaperChoice['school'] {
  return { ...registry.get(method).defaultSchool, ...school };
}

/** Her own hops of one paper, exact amounts in base ten. */
export function withHops(content: Content, id: PaperId, hops: readonly string[]): Content {
  return withPaper(content, id, { hops });
}

export function withEstimate(content: Content, estimate: EstimateRecord | null): Content {
  return { ...content, estimate };
}

/** Another choice for a paper. Slips go where it is worked in another way: their chances may not be there any more. */
export function withPaper(content: Content, id: PaperId, change: Partial<PaperChoice>): Content {
  if (!content.papers.some((own) => own.id === id)) return content;
  const papers = content.papers.map((own) => {
    if (own.id !== id) return own;
    const slips = change.slips ?? [];
    return { ...own, ...change, slips };
  });
  return { ...content, papers };
}

/** One slip of a paper taken back. */
export function withoutSlip(content: Content, id: PaperId, slip: string): Content {
  const paper = content.papers.find((own) => own.id === id);
  if (!paper) return content;
  return withPaper(content, id, { slips: paper.slips.filter((one) => one !== slip) });
}

export function withSchool(content: Content, id: PaperId, school: string, option: string): Content {
  const paper = content.papers.find((own) => own.id === id);
  if (!paper) return content;
  const resolved = resolveSchool(methodFor(paper), { ...paper.school, [school]: option });
  return resolved.ok ? withPaper(content, id, { school: resolved.school }) : content;
}
