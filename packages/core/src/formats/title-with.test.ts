import { TEXT_LIMITS } from './comparison-limits.ts';
import { titleWith } from './title-with.ts';

describe('a title with words behind it', () => {
  it('is whole where there is room', () => {
    expect(titleWith('Bags by the pallet', 'copy')).toBe('Bags by the pallet (copy)');
    expect(titleWith('', 'not kept before')).toBe('(not kept before)');
  });

  it.each(['copy', 'other version', 'not kept before'])(
    'ends in “(%s)” however long it is',
    (words) => {
      for (const length of [TEXT_LIMITS.title - 20, TEXT_LIMITS.title - 7, TEXT_LIMITS.title]) {
        const made = titleWith('m'.repeat(length), words);
        expect(made.endsWith(` (${words})`)).toBe(true);
        expect(made.length).toBeLessThanOrEqual(TEXT_LIMITS.title);
      }
    },
  );

  it('never ends in half a character', () => {
    const made = titleWith('👩‍🌾'.repeat(40), 'copy');
    expect(made).toMatch(/^(👩‍🌾)+… \(copy\)$/u);
  });
});
