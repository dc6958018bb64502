import { some, timeOf } from './timing.mjs';

/** Diagnosing answers, and a class of learners, in milliseconds beside their goals and over a light run. */
export function slips({ core, clock, tell }) {
  const { problem } = core.readProblem('46 × 58');
  const column = core.registry.get('column-multiplication');
  const light = timeOf(() => column.light(problem), 1000) / 1000;
  const told = (name, ms, goal) =>
    tell(
      `  ${name.padEnd(46)} ${ms.toFixed(0)} ms (goal ${goal}), ${(ms / light).toFixed(0)} light runs`,
    );
  tell('Diagnoses, and a class that thins out');
  told(
    '46 × 58 against all methods, one answer',
    timeOf(() => core.diagnose(new core.Search(problem), '598')),
    1000,
  );
  told(
    '200 answers to 40 products and differences',
    timeOf(() => {
      for (let k = 0; k < some(40, clock); k++) {
        const text = k % 2 ? `${4000 + 37 * k} − ${1200 + 53 * k}` : `${21 + k} × ${97 - k}`;
        const search = new core.Search(core.readProblem(text).problem);
        for (let n = 0; n < 5; n++) core.diagnose(search, `${1000 + 613 * k + 17 * n}`);
      }
    }),
    10_000,
  );
  const methods = ['column-multiplication', 'partial-products', 'grid-multiplication', 'lattice'];
  const papers = methods.map((id) => {
    const method = core.registry.get(id);
    return { method, school: method.defaultSchool };
  });
  const met = [...new Set(papers.flatMap(({ method }) => method.slips.map(({ id }) => id)))];
  told(
    '30 learners, 1000 runs, 346 × 58 on four papers',
    timeOf(() => {
      const simulation = new core.ClassSimulation({
        ...{
          problem: core.readProblem('346 × 58').problem,
          papers,
          learners: 30,
          runs: some(1000, clock),
        },
        ...{ seed: 7, rates: core.usualRates([...met, 'wrong-fact']), sameLearners: true },
      });
      simulation.advance(some(1000, clock));
    }),
    2000,
  );
}
