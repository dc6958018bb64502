import { looksLikeName } from './like-a-name.ts';

describe('a note that looks like a name', () => {
  it.each([
    'Maria S.',
    'Maria',
    'Per Berg: = 65',
    'Anna-Lena Moe',
    'Ludwig van Dam',
    'O’Brien',
    'Ольга Петрова',
    'Δήμητρα',
    '王芳',
    'محمد علي',
    'أحمد',
    'Şule K.',
  ])('%s', (text) => expect(looksLikeName(text)).toBe(true));

  it.each([
    '',
    'T07',
    '= 65',
    'because 58 is near 60',
    'Because it is near',
    'Then double',
    'Check',
    'Tens first',
    'first the tens',
    'So',
    'A',
    '30 + 8',
    'x',
    'Four words are too Many Here',
  ])('“%s” is none', (text) => expect(looksLikeName(text)).toBe(false));
});
