/** Numbers from 0 to 1 that a seed repeats. */
export function randomFrom(seed) {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}

/** One of a list. */
export function pickFrom(random, list) {
  return list[Math.floor(random() * list.length)];
}

const SIGNS = [
  '+',
  '-',
  '×',
  '÷',
  '/',
  '^',
  '√',
  '(',
  ')',
  '_',
  '.',
  ',',
  '=',
  ' ',
  'x',
  'y',
  'sqrt',
];
const FIGURES = [
  '0',
  '7',
  '12',
  '0.5',
  '1/2',
  '3 1/4',
  '1011_2',
  'ff_16',
  '9'.repeat(60),
  '4'.repeat(401),
];

/** A text of the problem language, or near it, with nesting and powers. */
export function hostileText(random, depth = 0) {
  return nestedText(random, depth).slice(0, MOST_TEXT);
}

/** Beyond what is read, so that too long ones are among them. */
const MOST_TEXT = 6000;

function nestedText(random, depth) {
  const pick = (list) => list[Math.floor(random() * list.length)];
  const inner = () => hostileText(random, depth + 1);
  if (depth > 9 || random() < 0.2) return pick(random() < 0.7 ? FIGURES : ['x', 'y^12', 'x+1']);
  switch (Math.floor(random() * 8)) {
    case 0:
      return `(${inner()})^${Math.floor(random() * 14)}`;
    case 1:
      return `(${inner()})(${inner()})`;
    case 2:
      return `${inner()} ${pick(['+', '−', '×', '÷'])} ${inner()}`;
    case 3:
      return repeated(inner(), 1 + Math.floor(random() * 400));
    case 4:
      return pick(['√', '-', '√-', '(']).repeat(1 + Math.floor(random() * 60)) + inner();
    case 5:
      return Array.from({ length: Math.floor(random() * 3000) }, () => pick(SIGNS)).join('');
    case 6:
      return pick([' ', '\t', '\u3000', '​', '\u0000', '😀', 'ﷺ', 'é']).repeat(random() * 4200);
    default:
      return `${inner()}+${inner()}`;
  }
}

function repeated(text, times) {
  return text.repeat(Math.min(times, Math.ceil(MOST_TEXT / Math.max(1, text.length))));
}
