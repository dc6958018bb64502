import type { Exact } from '../../exact/exact.ts';
import type { Surd } from '../../exact/surd.ts';
import { movesText, toldMove } from './move-words.ts';
import type { MoveId } from '../../laws/moves.ts';
import { pairWords } from './pair-words.ts';
import { displayed } from './displayed.ts';
import type { JudgedLine } from '../judge/judged.ts';

/** What is said of a line in its margin: the sign of its verdict, and a word or two. */
export interface Brief {
  readonly sign: '✓' | '✗' | '=' | '?' | '–';
  readonly words: string;
}

/** What a line is said to be in a word or two; null for a note, of which nothing is said. */
export function briefOf(line: JudgedLine, write: WriteAmount = PLAIN): Brief | null {
  switch (line.verdict) {
    case 'lawful':
      return { sign: '✓', words: briefMoves(line) };
    case 'leap':
      return { sign: '✓', words: leapBrief(movesOfLeap(line).length) };
    case 'equal':
      return { sign: '✓', words: 'same amount' };
    case 'unequal':
      return {
        sign: '✗',
        words: line.off ? offText(line.off, write).toLowerCase() : 'not the same',
      };
    case 'run-on':
      return { sign: '=', words: 'says “and then”' };
    case 'side': {
      const pair = line.pairs.at(-1);
      const words = pair && pairWords(pair).brief;
      return { sign: '✓', words: words ?? (line.joins === null ? 'true' : 'goes on below') };
    }
    case 'note':
      return line.isSketch ? { sign: '–', words: 'not judged' } : null;
    case 'unread':
      return { sign: '?', words: 'not read' };
  }
}

function leapBrief(count: number): string {
  return count === 1 ? 'one move, repeated' : `${COUNTS[count] ?? 'several'} moves`;
}

/** Most characters of a word on a line. */
const MOST_BRIEF = 22;

function briefMoves({ readings }: JudgedLine): string {
  const [first] = readings;
  if (!first) return 'same line';
  const names = [...new Set(first.moves.map(({ words }) => words.brief))];
  const all = names.join(', ');
  return all.length <= MOST_BRIEF ? all : `${names[0]} …`;
}

function movesOfLeap({ readings }: JudgedLine): readonly MoveId[] {
  return [...new Set(readings[0]?.moves.map(({ move }) => move))];
}

const COUNTS = ['no', 'one', 'two', 'three', 'four', 'five', 'six'];

/** How an amount is written: as it is on the paper. */
export type WriteAmount = (amount: Exact) => string;

const PLAIN: WriteAmount = String;

/** One plain sentence about a line. It is no part of the contract; ids, verdicts and numbers are. */
export function saysOf(line: JudgedLine, write: WriteAmount = PLAIN): string {
  const chance = line.chance
    ? ` Right here; it could also come from a rule that fails for ${line.chance.counter}.`
    : '';
  return `${verdictSays(line, write)}${chance}`;
}

function verdictSays(line: JudgedLine, write: WriteAmount): string {
  switch (line.verdict) {
    case 'lawful':
      return lawfulSays(line);
    case 'leap':
      return leapSays(line);
    case 'equal':
      return 'The same amount; Levee finds no law for this step.';
    case 'unequal':
      return unequalSays(line, write);
    case 'run-on':
      return `An equals sign says “and then” here: ${line.statements.join('; ')}.`;
    case 'side':
      if (line.pairs.length > 0) return pairsSay(line);
      return line.joins === null
        ? 'True by itself.'
        : `True by itself; goes into line ${line.joins}.`;
    case 'note':
      return line.isSketch ? 'A sketch; it is not judged.' : 'A note; it is not judged.';
    case 'unread':
      return line.unread!.reason;
  }
}

/** Where pairs of a ratio table come from. */
function pairsSay({ pairs }: JudgedLine): string {
  return pairs.map((pair) => pairWords(pair).says).join(' ');
}

function lawfulSays(line: JudgedLine): string {
  const { readings } = line;
  if (line.pairs.length > 0) return `${pairsSay(line)} The missing number is found.`;
  const told = readings.map(({ moves }) => movesText(moves.map(toldMove)));
  if (told.length === 0) return 'The same line again.';
  return `${told.length > 1 ? 'Either ' : ''}${told.join(', or ')}.`.replace(/^./, upper);
}

/** The same, where a leap is left alone until its moves are asked for. */
export function quietSaysOf(line: JudgedLine, write: WriteAmount = PLAIN): string {
  return line.verdict === 'leap' ? `${leapCount(line)}.` : saysOf(line, write);
}

function leapCount(line: JudgedLine): string {
  const count = movesOfLeap(line).length;
  if (count === 1) return 'Right, the same move more than once';
  return `Right, ${COUNTS[count] ?? String(count)} moves at once`;
}

function leapSays(line: JudgedLine): string {
  const [first] = line.readings;
  const kinds = [...new Set(first!.moves.map(({ words }) => words.says))];
  const between = first!.between.length > 0 ? ` Between them: ${first!.between.join('; ')}.` : '';
  return `${leapCount(line)}: ${kinds.join(', then ')}.${between}`;
}

function unequalSays({ off, nearest, falseRule }: JudgedLine, write: WriteAmount): string {
  const size = off ? offText(off, write) : 'Not the same amount';
  const near = nearest[0] ? ` Nearest: ${nearest[0].text}.` : '';
  return `${size}.${near}${falseRule ? ` ${falseRule.truth}` : ''}`;
}

function offText(off: Surd, write: WriteAmount): string {
  const amount = off.rational;
  if (!amount?.isConstant) return `Not equal; the difference is ${displayed(off.toString())}`;
  return amount.isNegative ? `${write(amount.negate())} too little` : `${write(amount)} too much`;
}

function upper(text: string): string {
  return text.toUpperCase();
}
