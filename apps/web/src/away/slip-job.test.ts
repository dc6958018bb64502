import { slipSaid } from './slip-job.ts';

describe('by which slip a line comes out', () => {
  it('is said with the computation, what was given, and the method', () => {
    expect(slipSaid('46 × 58', ['= 46 × 60 − 46 × 2', '= 276 − 92'], 2)).toBe(
      '46 × 60 comes to 276 by “Line not shifted”, in column multiplication.',
    );
  });

  it('is nothing for a right line, and for one that no slip explains', () => {
    expect(slipSaid('46 × 58', ['= 46 × 60 − 46 × 2'], 1)).toBeNull();
    expect(slipSaid('46 × 58', ['40 × 8 = 347'], 1)).toBeNull();
  });

  it('is asked of computations alone', () => {
    expect(() => slipSaid('46 ×', [], 1)).toThrow(RangeError);
  });
});
