import type { Notch, PlacedText } from './placed.ts';

/** Widths in parts of the height of letters, where they differ from a figure's. */
const WIDTHS: Readonly<Record<string, number>> = {
  ' ': 0.24,
  '(': 0.36,
  ')': 0.36,
  '.': 0.28,
  ',': 0.28,
  '/': 0.42,
  '→': 0.9,
  '√': 0.66,
};
const FIGURE = 0.62;
const RAISED = 0.4;

/** How wide a run of text is, in the measure of its height. */
export function runWidth(text: string, height: number): number {
  const parts = [...text].map((one) => WIDTHS[one] ?? (/[⁰¹²³⁴-⁹]/.test(one) ? RAISED : FIGURE));
  return parts.reduce((sum, width) => sum + width, 0) * height;
}

/** A line of mathematics on a paper: how wide it is, and where its texts and the bars of its fractions lie. */
export interface Running {
  readonly width: number;
  /** Around `y` 0, from `x` 0 on. */
  readonly texts: readonly PlacedText[];
  readonly bars: readonly Notch[];
}

const FRACTION = /(\d+)\/(\d+)/;
/** How large the numbers of a fraction are beside those of its line, and how far from its bar. */
const SMALLER = 0.78;
const APART = 0.56;
const AIR = 0.06;

/** Whether a text has a fraction that is set with a bar. */
export function hasStack(text: string): boolean {
  return FRACTION.test(text);
}

/** Sets a line of mathematics, every `3/4` in it as a number over a number. */
export function setRunning(text: string, height: number): Running {
  const texts: PlacedText[] = [];
  const bars: Notch[] = [];
  let x = 0;
  for (const run of text.split(/(\d+\/\d+)/)) {
    if (run === '') continue;
    const [, top, bottom] = FRACTION.exec(run) ?? [];
    if (top === undefined || bottom === undefined) {
      const width = runWidth(run, height);
      texts.push({ x: x + width / 2, y: 0, text: run.trim() });
      x += width;
    } else {
      const size = height * SMALLER;
      const width = Math.max(runWidth(top, size), runWidth(bottom, size)) + 2 * AIR;
      const middle = x + width / 2;
      texts.push({ x: middle, y: -size * APART, text: top, size });
      texts.push({ x: middle, y: size * APART, text: bottom, size });
      bars.push({ x, y: 0, length: width });
      x += width;
    }
  }
  return { width: x, texts, bars };
}
