/** @jest-environment jsdom */
import { isOwnLines, workOf, type Method, type OwnWork, type Trace } from '@levee/core';
import { jest } from '@jest/globals';
import type { Packed } from '../away/packed.ts';

/** The place away, which answers when the test says so. */
const asked: { own: OwnWork; answer: () => Promise<void>; fail: () => Promise<void> }[] = [];

/** What the page does while something that has arrived is drawn. */
let meanwhile: () => void = () => undefined;

jest.unstable_mockModule('../away/away.ts', () => ({
  isAway: () => true,
  away: (_: string, problem: string, own: OwnWork) =>
    new Promise<Packed<unknown>>((resolve, reject) => {
      const settle = async (act: () => void) => {
        const before = useArrived.getState().count;
        act();
        while (useArrived.getState().count === before)
          await new Promise<void>((done) => setTimeout(done));
      };
      asked.push({
        own,
        answer: () => settle(() => resolve(judgeLines(problem, own))),
        fail: () => settle(() => reject(new Error('the judge fell'))),
      });
    }),
}));

/** The methods of the papers that were drawn ahead, in their order. */
const drawnAhead: Method[] = [];
const drawing = await import('./drawn.ts');
jest.unstable_mockModule('./drawn.ts', () => ({
  ...drawing,
  drawAhead: (method: Method, ...more: [Trace, () => Promise<void>]) => {
    drawnAhead.push(method);
    meanwhile();
    return drawing.drawAhead(method, ...more);
  },
}));

const { judgeLines } = await import('../away/lines-job.ts');
const { judgeAtOnce } = await import('./at-once.ts');
judgeAtOnce(null);
const { useArrived } = await import('./judged.ts');
const { work } = await import('./work.ts');
const { ownPaper, paperOf } = await import('../store/content.ts');

const problem = '642 − 387';
const standing = (lines: readonly string[]) => ({
  problem,
  papers: [ownPaper(workOf(lines)), paperOf('decomposition')].map((paper, k) => ({
    ...paper,
    id: `p${k}`,
  })),
});
type Standing = ReturnType<typeof standing>;

function said(content: Standing) {
  const [paper] = work(content).papers;
  if (!paper || !isOwnLines(paper.method)) throw new Error('no own lines');
  const { isWaiting = false, failed } = paper.method.judged(paper.lane.trace.problem);
  return { isWaiting, failed, steps: paper.last };
}

beforeEach(() => asked.splice(0));

describe('own lines on the page', () => {
  it('stand at once and are judged away, once', async () => {
    const content = standing(['= 642 − 400 + 13', '= 255']);
    expect(said(content)).toMatchObject({ isWaiting: true, steps: 0 });
    const [, beside] = work(content).papers;
    expect(beside!.last).toBeGreaterThan(0);
    expect(asked).toHaveLength(1);
    const before = useArrived.getState().count;
    await asked[0]!.answer();
    expect(useArrived.getState().count).toBe(before + 1);
    expect(said(content).isWaiting).toBe(false);
    expect(said(content).steps).toBeGreaterThan(0);
    // The same lines again, as after an undo.
    expect(said(standing(['= 642 − 400 + 13', '= 255'])).isWaiting).toBe(false);
    expect(asked).toHaveLength(1);
  });

  it('keep what is known while one more line is judged', async () => {
    const before = standing(['= 642 − 400 + 13', '= 255']);
    const { steps } = said(before);
    const more = standing(['= 642 − 400 + 13', '= 255', '= 256 − 1']);
    expect(said(more)).toMatchObject({ isWaiting: true, steps });
    await asked[0]!.answer();
    expect(said(more).isWaiting).toBe(false);
  });

  it('stand unjudged where the judge fails, and the papers beside them as ever', async () => {
    const content = standing(['= 1000 − 745']);
    expect(said(content).isWaiting).toBe(true);
    await asked[0]!.fail();
    expect(said(content)).toEqual({ isWaiting: false, failed: 'the judge fell', steps: 0 });
    expect(work(content).papers[1]!.last).toBeGreaterThan(0);
  });

  it('are shown as they were drawn ahead, whatever the page shows meanwhile', async () => {
    const content = standing(['= 800 − 545']);
    work(content);
    meanwhile = () => void work({ ...content, papers: [...content.papers] });
    await asked[0]!.answer();
    meanwhile = () => undefined;
    expect(said(content).isWaiting).toBe(false);
    expect(drawnAhead).toContain(work(content).papers[0]!.method);
  });

  it('are the same object until something arrives', async () => {
    const content = standing(['= 700 − 445']);
    const first = work(content);
    expect(work(content)).toBe(first);
    await asked[0]!.answer();
    expect(work(content)).not.toBe(first);
    expect(work(content).papers[1]!.sheet).toBe(first.papers[1]!.sheet);
  });
});
