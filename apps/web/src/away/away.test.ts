import { jest } from '@jest/globals';

const papers = [
  { method: 'column-multiplication', school: {}, order: [], hops: [], slips: [], own: null },
  { method: 'lattice', school: {}, order: [], hops: [], slips: [], own: null },
];

describe('away', () => {
  beforeEach(() => jest.resetModules());
  afterEach(() => {
    delete (globalThis as { Worker?: unknown }).Worker;
  });

  it('works on the page itself where there are no workers', async () => {
    const { away } = await import('./away.ts');
    const made = await away('certificate', '46 × 58', papers);
    expect([made.confirmed, made.reasons.common.methods.length]).toEqual([true, 2]);
    await expect(away('certificate', '46 ×', papers)).rejects.toThrow('is not a problem');
  });

  it('works on the page itself when the worker cannot be loaded', async () => {
    class Unloadable extends EventTarget {
      postMessage(): void {
        this.dispatchEvent(new Event('error'));
      }
    }
    (globalThis as { Worker?: unknown }).Worker = Unloadable;
    const { away } = await import('./away.ts');
    const made = await away('certificate', '46 × 58', papers);
    expect(made.confirmed).toBe(true);
  });

  it('hands over plain data only', async () => {
    const { jobs } = await import('./jobs.ts');
    const made = jobs.certificate('46 × 58', papers);
    expect(structuredClone(made)).toEqual(made);
    expect(JSON.parse(JSON.stringify(made))).toEqual(made);
  });
});
