import type { Surd } from '../../exact/surd.ts';
import { amountsOf, type Asked } from '../read/asked.ts';
import { displayed } from '../say/displayed.ts';
import type { JudgedLine } from '../judge/judged.ts';
import type { JudgedPaper } from '../judge/judged-paper.ts';
import { flat, numberOf, valueOfTerms, type Term } from '../../line/node.ts';
import { termsText } from '../../line/node-text.ts';
import { judgeLines } from '../judge/judge-lines.ts';
import { readLine, type LineRead, type Side } from '../read/read-line.ts';
import { waysFor } from '../ways/ways.ts';

/** What an offer is about: see {@link offersFor}. */
export type OfferKind =
  'value' | 'size' | 'reading' | 'break' | 'arrows' | 'nearest' | 'between' | 'next';

/** Something that can be taken in the place of a line. */
export interface Offer {
  readonly kind: OfferKind;
  /** What taking it does, in a few words. */
  readonly label: string;
  /** The lines that then stand in its place. */
  readonly lines: readonly string[];
}

/** The lines of a paper as far as the one that is typed, judged. */
export interface Typed {
  readonly asked: Asked;
  readonly paper: JudgedPaper;
  /** The typed line; null while there is nothing on it that is judged. */
  readonly line: JudgedLine | null;
}

/** Judges the lines up to a line that is being typed; its text may be empty. */
export function typedLine(asked: Asked, before: readonly string[], text: string): Typed {
  const isBare = /^\s*=?\s*$/.test(text);
  const paper = judgeLines(asked, isBare ? before : [...before, text]);
  return { asked, paper, line: isBare ? null : paper.lines.at(-1)! };
}

/**
 * What can be taken in the place of a typed line, the likeliest first: what its last equals sign waits for, the sizes of its
 * jumps, one of two readings, a run-on as lines of its own or with arrows, the nearest true line, the lines that a leap
 * passes over; and on an empty line the next one of a way that begins so, or the last one worked out.
 */
export function offersFor({ asked, paper, line }: Typed): readonly Offer[] {
  if (!line) return nextOffers(asked, paper);
  const read = readLine(line.text, asked);
  return [
    ...valueOffer(asked, line, read),
    ...sizeOffer(asked, line, read),
    ...readingOffers(line, read),
    ...runOnOffers(line, read),
    ...(isWaiting(line) ? [] : nearestOffers(line)),
    ...betweenOffer(line),
  ];
}

function valueText(asked: Asked, value: Surd): string {
  const amount = value.rational;
  return amount ? amountsOf(asked)(amount) : displayed(value.toString());
}

/** Whether the last equals sign of a line waits for what comes behind it. */
function isWaiting({ text }: JudgedLine): boolean {
  return /[^=\s].*=\s*$/.test(text);
}

function valueOffer(asked: Asked, line: JudgedLine, read: LineRead): readonly Offer[] {
  if (read.kind !== 'chain' || !isWaiting(line)) return [];
  const { text } = line;
  const value = valueText(asked, read.sides.at(-1)!.value);
  return [{ kind: 'value', label: value, lines: [`${text.trimEnd()} ${value}`] }];
}

function sizeOffer(asked: Asked, line: JudgedLine, read: LineRead): readonly Offer[] {
  if (read.kind !== 'hops' || read.hops.every(({ size }) => size)) return [];
  let from: Side = read.start;
  let text = from.text;
  for (const { landing } of read.hops) {
    const by = landing.value.minus(from.value);
    const size = valueText(asked, by);
    text += ` ${/^[-−]/.test(size) ? size : `+${size}`}→ ${landing.text}`;
    from = landing;
  }
  return text === line.text ? [] : [{ kind: 'size', label: text, lines: [text] }];
}

/** Each reading of a line that people read in two ways, with brackets that leave only that one. */
function readingOffers({ text }: JudgedLine, read: LineRead): readonly Offer[] {
  if (read.kind !== 'chain' || read.sides.every(({ other }) => !other)) return [];
  const lead = read.goesOn ? '= ' : '';
  const written = (sides: readonly Side[]) =>
    lead + sides.map(({ terms }) => termsText(terms)).join(' = ');
  const both = [read.sides, read.sides.map((side) => side.other ?? side)].map(written);
  return both
    .filter((one, k) => one !== text && both.indexOf(one) === k)
    .map((one) => ({ kind: 'reading', label: `read as ${displayed(one)}`, lines: [one] }));
}

function runOnOffers({ verdict, statements }: JudgedLine, read: LineRead): readonly Offer[] {
  if (verdict !== 'run-on') return [];
  const arrows = read.kind === 'chain' ? arrowsOf(read.sides) : null;
  return [
    { kind: 'break', label: 'a line for each statement', lines: statements },
    ...(arrows ? [{ kind: 'arrows', label: `arrows: ${arrows}`, lines: [arrows] } as const] : []),
  ];
}

/** `40 + 6 = 46 − 2 = 44` as `40 +6→ 46 −2→ 44`; null where a side is no number and one change of it. */
function arrowsOf(sides: readonly Side[]): string | null {
  const last = sides.at(-1)!;
  const parts = sides.slice(0, -1).map(({ terms }) => flat(terms));
  if (parts.length === 0 || parts.some(({ length }) => length !== 2)) return null;
  const hops = parts.map(([from, by], k) => {
    const landing = parts[k + 1]?.[0];
    const to = landing ? termsText([landing]) : last.text;
    return { from: termsText([from!]), by: signed(by!), to };
  });
  return hops.map(({ from, by, to }, k) => `${k === 0 ? `${from} ` : ''}${by}→ ${to}`).join(' ');
}

function signed(term: Term): string {
  const text = termsText([term]);
  return text.startsWith('−') ? text : `+${text}`;
}

function nearestOffers({ kind, nearest }: JudgedLine): readonly Offer[] {
  const lead = kind === 'rewrite' ? '= ' : '';
  return nearest.map(({ text }) => ({
    kind: 'nearest',
    label: `${lead}${displayed(text)}`,
    lines: [`${lead}${text}`],
  }));
}

function betweenOffer({ verdict, readings, text }: JudgedLine): readonly Offer[] {
  const between = readings[0]?.between ?? [];
  if (verdict !== 'leap' || between.length === 0) return [];
  const lines = [...between.map((one) => `= ${one}`), text];
  return [{ kind: 'between', label: `a line between: = ${displayed(between[0]!)}`, lines }];
}

/** The next line of a way that these numbers invite and that begins like this paper; else its last line worked out. */
function nextOffers(asked: Asked, paper: JudgedPaper): readonly Offer[] {
  const typed = paper.lines.map(({ text }) => plain(text));
  const known = waysFor(asked).flatMap(({ lines, why }) => {
    const isBegun = typed.every((text, k) => plain(lines[k]?.text ?? '') === text);
    const next = isBegun ? lines[typed.length] : undefined;
    return next
      ? [
          {
            kind: 'next',
            label: typed.length === 0 ? `${displayed(next.text)} (${why})` : displayed(next.text),
            lines: [next.text],
          } as const,
        ]
      : [];
  });
  const worked = paper.complete ? null : workedOut(asked, paper);
  const all = [...(worked ? [worked] : []), ...known];
  return typed.length === 0 ? known : all.filter(isFirstOfItsText).slice(0, 1);
}

function isFirstOfItsText({ lines }: Offer, k: number, all: readonly Offer[]): boolean {
  return all.findIndex((own) => own.lines[0] === lines[0]) === k;
}

function plain(text: string): string {
  return text.replace(/^\s*=/, '').replace(/\s/g, '').replace(/\*/g, '×').replace(/-/g, '−');
}

/** The last line with every term worked out, or all of it where each of them is a number. */
function workedOut(asked: Asked, { rewritings }: JudgedPaper): Offer | null {
  const last = rewritings.at(-1);
  if (!last) return null;
  const terms = flat(last.to);
  const isNumber = ({ node }: Term) =>
    node.kind === 'number' || node.kind === 'fraction' || node.kind === 'mixed';
  const single = (term: Term): Term => {
    const amount = term.node.value.rational;
    if (isNumber(term) || !amount?.isConstant) return term;
    return { minus: term.minus, node: numberOf(amount, asked.base) };
  };
  const each = terms.map(single);
  const isChanged = each.some((term, k) => term !== terms[k]);
  if (!isChanged && terms.length === 1) return null;
  if (!isChanged && !terms.every(isNumber)) return null;
  // What stands there is worked out, right or wrong, and not what is asked.
  const text = isChanged ? termsText(each) : valueText(asked, valueOfTerms(last.to));
  return { kind: 'next', label: `= ${displayed(text)}`, lines: [`= ${text}`] };
}
