import {
  compare,
  ownLinesMethod,
  readComputation,
  registry,
  workOf,
  type Choice,
} from '@levee/core';
import { soundly } from './sound.ts';

const read = readComputation('46 × 58');
if (!read.ok) throw new Error('unread');
const { problem } = read;
const lattice: Choice = { method: registry.get('lattice') };
const good: Choice = { method: ownLinesMethod(workOf(['= 46 × 60 − 46 × 2'])) };
const bad: Choice = { method: ownLinesMethod(workOf(['= 46 × 58', '= 2668'])) };

/** Works papers, and fails on one of them. */
const lay = (choices: readonly Choice[]) => {
  if (choices.some(({ method }) => method === bad.method)) throw new Error('the judge fell over');
  return compare(problem, choices);
};

it('lets a paper of own lines that fails stand alone with its lines, and the others as they are', () => {
  const { lanes } = soundly([lattice, bad, good], lay);
  expect(lanes.map(({ method }) => method === lattice.method || method === good.method)).toEqual([
    true,
    false,
    true,
  ]);
  const { method, trace } = lanes[1]!;
  expect(trace.steps).toEqual([]);
  expect(method).toMatchObject({ own: { lines: [{ text: '= 46 × 58' }, { text: '= 2668' }] } });
  expect('judged' in method && method.judged).toBeDefined();
  expect(method.sheet(trace).height).toBeGreaterThan(1);
});

it('throws what is no failure of own lines', () => {
  const fail = () => {
    throw new RangeError('a bug');
  };
  expect(() => soundly([lattice, good], fail)).toThrow('a bug');
});
