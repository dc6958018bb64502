import { inBrowser } from './browser.mjs';
import { lines, ways } from './lines.mjs';
import { slips } from './slips.mjs';
import { growth, json, light, points } from './traces.mjs';
import { weight } from './weight.mjs';

/** What is measured, by name, in the order in which it is told. A part is given the core, how long to measure, and where to tell. */
export const PARTS = {
  growth,
  points,
  light,
  json,
  slips,
  lines,
  ways,
  weight,
  opening: inBrowser('opening', 'Opening, in headless Chromium'),
  frames: inBrowser('frames', 'Frames at 12 x 12 figures on four papers'),
  tasks: inBrowser('tasks', 'Longest tasks of the page while the hardest comparisons open'),
  felt: inBrowser('felt', 'What is felt when something large is asked for'),
};

/** The names of the parts that are asked for: `--only NAME,NAME`, or all. RangeError for one that there is not. */
export function chosenParts(args) {
  const at = args.indexOf('--only');
  if (at < 0) return Object.keys(PARTS);
  const names = (args[at + 1] ?? '').split(',');
  const unknown = names.find((name) => !(name in PARTS));
  if (unknown !== undefined) {
    throw new RangeError(
      `bench: "${unknown}" is no part; there are ${Object.keys(PARTS).join(', ')}`,
    );
  }
  return names;
}
