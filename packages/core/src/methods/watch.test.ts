import { readProblem } from '../problem/problem.ts';
import { registry } from './index.ts';
import { defineMethod } from './method.ts';
import { watchTraces } from './watch.ts';

const read = readProblem('642 − 387');
if (!read.ok) throw new Error('unreadable');
const { problem } = read;
const decomposition = registry.get('decomposition');

/** Decomposition that says of every step that it is by the rule of signs. */
const misnamed = defineMethod({
  ...decomposition,
  work: (scribe, asked, school) => {
    const step = scribe.step.bind(scribe);
    scribe.step = (draft) => step({ ...draft, law: 'sign' });
    return decomposition.work(scribe, asked, school);
  },
});

describe('watching', () => {
  afterEach(() => watchTraces(false));

  it('throws where a step is no instance of its law, and is off by default', () => {
    expect(misnamed.trace(problem).steps).toHaveLength(5);
    watchTraces();
    expect(() => misnamed.trace(problem)).toThrow(
      /decomposition, step 1: it is no instance of sign/,
    );
    expect(decomposition.trace(problem).steps).toHaveLength(5);
  });

  it('leaves slips alone', () => {
    watchTraces();
    const slips = [{ slip: 'smaller-from-larger', occurrence: 1 }];
    expect(decomposition.trace(problem, { slips }).balanced).toBe(false);
  });
});
