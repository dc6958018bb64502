import { PLAIN_NOTATION } from '../exact/notation.ts';
import { registry } from '../methods/index.ts';
import { worked } from '../testing/work.ts';
import { fileBrush, screenBrush, type Brush } from './brush.ts';
import { drawSheet } from './drawing.ts';
import { figuresMarkup, linksMarkup, notesMarkup, rulingsMarkup, signsMarkup } from './markup.ts';

const PAGES: readonly (readonly [method: string, problem: string])[] = [
  ['column-multiplication', '46 × 58'],
  ['lattice', '46 × 58'],
  ['crosswise', '46 × 58'],
  ['decomposition', '642 − 387'],
  ['equal-additions', '642 − 387'],
  ['scratch-addition', '86 + 95 + 78'],
  ['long-division', '952 ÷ 7'],
  ['digit-pairs', '√7396'],
  ['cross-products', '3/4 + 1/6'],
  ['like-terms-columns', '(3x^2 + 5x) − (2x^2 − 7x)'],
  ['expand-arcs', '(x + 4)(3x − 2)'],
];

const HAND = { notation: PLAIN_NOTATION, notches: true, strikes: () => true };

function painted(method: string, text: string, brush: Brush): string {
  const trace = worked(method, text);
  const { figures, signs, rulings, links, notes } = drawSheet(
    registry.get(method).sheet(trace),
    trace,
  );
  const coming = { figures, signs: signs.filter((sign) => sign.with) };
  return [
    rulingsMarkup(rulings, brush),
    signsMarkup(signs, brush),
    figuresMarkup(coming, brush),
    linksMarkup(links, trace.steps.length, brush),
    notesMarkup(notes, brush),
  ].join('\n');
}

/** The mark-up without what a brush says of its look. */
function bare(markup: string): string {
  return markup
    .replace(/<rect class="touch"[^>]*\/>/g, '')
    .replace(
      /(<(?:line|text|rect|path|tspan|g))((?: [a-z-]+="[^"]*")*)/g,
      (_, tag: string, own: string) => {
        const kept = [...own.matchAll(/ ([a-z-]+)="[^"]*"/g)].filter(
          ([, name]) =>
            ![
              'class',
              'stroke',
              'stroke-width',
              'stroke-linecap',
              'fill',
              'text-anchor',
              'font-style',
            ].includes(name!),
        );
        return tag + kept.map(([text]) => text).join('');
      },
    );
}

describe('brushes', () => {
  it.each(PAGES)('paint %s on %s alike on a screen and in a file', (method, problem) => {
    const [screen, file] = [screenBrush, fileBrush].map((brush) =>
      painted(method, problem, brush(HAND)),
    );
    expect(bare(screen!)).toBe(bare(file!));
    expect(bare(file!).length).toBeGreaterThan(100);
  });

  it.each(PAGES)('give every stroke and text of %s on %s its look in a file', (method, problem) => {
    const file = painted(method, problem, fileBrush(HAND));
    expect(file).not.toMatch(/class="(?!figure)/);
    for (const [text] of file.matchAll(/<text[^>]*>/g)) expect(text).toMatch(/ fill="#/);
    const outside = file.replace(/<g stroke=.*?<\/g>/g, '');
    for (const [line] of outside.matchAll(/<(line|path)[^>]*>/g))
      expect(line).toMatch(/ stroke="#/);
  });

  it('name what a screen themes, and leave colours to it', () => {
    const screen = painted('column-multiplication', '46 × 58', screenBrush(HAND));
    expect(screen).not.toMatch(/stroke=|fill=/);
    expect(screen).toContain('class="notch place-2"');
    expect(screen).toContain('class="strike"');
  });
});
