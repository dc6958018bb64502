import { ratio, some } from './timing.mjs';

const row = (name, text) => `  ${name.padEnd(24)} ${text}`;

/** Time to trace numbers twice as long. */
export function growth({ core, clock, tell }) {
  tell('Time to trace two numbers of 80 figures over two of 40 (goal at most 4.60)');
  for (const method of ofNumbers(core)) {
    const [large, small] = [80, 40].map((n) => problemFor(core, method, n));
    const times = ratio(
      () => method.trace(large),
      () => method.trace(small),
      clock,
    );
    tell(row(method.id, times.toFixed(2)));
  }
}

/** Time to trace decimals. */
export function points({ core, clock, tell }) {
  tell('Time to trace the same figures with a point in them over without; quotients go on further');
  for (const method of ofNumbers(core).filter(({ family }) => family !== 'division')) {
    const [pointed, whole] = [problemFor(core, method, 12, 2), problemFor(core, method, 12)];
    const times = ratio(
      () => method.trace(pointed),
      () => method.trace(whole),
      clock,
    );
    tell(row(method.id, times.toFixed(2)));
  }
}

/** One work of every sort, to be followed for its amounts alone. */
const LIGHT = [
  ['386 + 58', 'column-addition'],
  ['642 − 387', 'decomposition'],
  ['46 × 58', 'column-multiplication'],
  ['46 × 58', 'lattice'],
  ['952 ÷ 7', 'long-division'],
  ['3/4 + 1/6', 'cross-products'],
  ['(x+4)(3x−2)', 'expand-arcs'],
  ['√7396', 'digit-pairs'],
];

/** Time to trace beside time to follow amounts alone. */
export function light({ core, clock, tell }) {
  tell('Time to trace, and to trace with sentences, over a light run of the same work');
  for (const [text, id] of LIGHT) {
    const { problem } = core.readProblem(text);
    const method = core.registry.get(id);
    const run = () => method.light(problem);
    const bare = ratio(() => method.trace(problem), run, clock);
    const whole = ratio(() => core.traceDocument(method, method.trace(problem)), run, clock);
    tell(row(id, `${bare.toFixed(2)}   ${whole.toFixed(2)}`));
  }
}

/** Time to trace beside time to write the trace down, for every sort of problem. */
export function json(given) {
  numbers(given);
  fractions(given);
  letters(given);
  roots(given);
}

function numbers(given) {
  const { core, tell } = given;
  tell(
    'Time to trace two numbers of n figures over time to write that trace as JSON (goal at most 1.50)',
  );
  for (const method of ofNumbers(core)) {
    const ratios = sizes([4, 12, 40, 120], given).map(
      (n) => `${n}: ${overJson(method, problemFor(core, method, n), given)}`,
    );
    tell(row(method.id, ratios.join('   ')));
  }
}

/** Sums of fractions or mixed numbers, by how many are added. */
function fractions(given) {
  const { core, tell } = given;
  tell(
    'Time to trace a sum of 2, 3 and 5 fractions over time to write it as JSON (goal at most 1.50)',
  );
  for (const method of ofFamily(core, 'fractions')) {
    const mixed = method.id.startsWith('mixed');
    const ratios = sizes([2, 3, 5], given).map((n) => {
      const operands = Array.from({ length: n }, (_, k) =>
        core.mixedNumeral(mixed ? BigInt(k + 1) : 0n, BigInt(k + 1), BigInt(k + 2)),
      );
      return `${n}: ${overJson(method, core.makeProblem('sum', operands), given)}`;
    });
    tell(row(method.id, ratios.join('   ')));
  }
}

/** Two brackets of 2, 4 and 8 terms, multiplied or taken from each other. */
function letters(given) {
  const { core, tell } = given;
  tell(
    'Time to trace two brackets of 2, 4 and 8 terms over time to write it as JSON (goal at most 1.50)',
  );
  for (const method of ofFamily(core, 'polynomials')) {
    const ratios = sizes([2, 4, 8], given).flatMap((n) => {
      const bracket = Array.from({ length: n }, (_, k) => `${k + 2}x^${n - k - 1}`).join(' - ');
      const texts = [`(${bracket})(${bracket})`, `(${bracket}) - (${bracket})`];
      const problem = texts
        .map((text) => core.readProblem(text).problem)
        .find((one) => method.accepts(one).ok);
      return problem ? [`${n}: ${overJson(method, problem, given)}`] : [];
    });
    tell(row(method.id, ratios.join('   ')));
  }
}

/** Roots of whole numbers, by their figures. */
function roots(given) {
  const { core, tell } = given;
  tell('Time to trace a root of n figures over time to write it as JSON (goal at most 1.50)');
  const method = core.registry.get('digit-pairs');
  const ratios = sizes([4, 12, 40], given).map((n) => {
    const figures = Array.from({ length: n }, (_, i) => ((i * 7 + 5) % 9) + 1).join('');
    const problem = core.makeProblem('root', [core.numeral(figures)]);
    return `${n}: ${overJson(method, problem, given)}`;
  });
  tell(row(method.id, ratios.join('   ')));
}

/** The sizes that are measured: only the least where it is brief. */
function sizes(all, { clock }) {
  return all.slice(0, some(all.length, clock));
}

function overJson(method, problem, { clock }) {
  const trace = method.trace(problem);
  const times = ratio(
    () => method.trace(problem),
    () => JSON.stringify(trace),
    clock,
  );
  return times.toFixed(2);
}

function ofFamily({ registry }, ...names) {
  return registry.methods.filter(({ family }) => names.includes(family));
}

const ofNumbers = (core) => ofFamily(core, 'addition', 'subtraction', 'multiplication', 'division');

/**
 * Two numbers of n figures, all figures in use, as the method's kind of problem; `decimals` of them stand
 * after the point. A divisor has half as many figures as its dividend.
 */
function problemFor(core, method, n, decimals = 0) {
  const number = (shift, length) => {
    const figures = Array.from({ length }, (_, i) => ((i * 7 + shift) % 9) + 1).join('');
    const split = length - decimals;
    return core.numeral(decimals ? `${figures.slice(0, split)}.${figures.slice(split)}` : figures);
  };
  const kinds = core.PROBLEM_KINDS.filter((kind) => kind !== 'root' && kind !== 'expression');
  const problems = kinds.map((kind) =>
    core.makeProblem(kind, [number(5, n), number(3, kind === 'quotient' ? n / 2 : n)]),
  );
  return problems.find((problem) => method.accepts(problem).ok);
}
