import type { Entry, Law, Mark, Spot, Trace } from '../../account/account.ts';
import type { Writing } from '../../account/drafts.ts';
import { Scribe } from '../../account/scribe.ts';
import type { Stands } from '../../account/line-mark.ts';
import type { Exact } from '../../exact/exact.ts';
import { numberText } from '../../exact/numeral.ts';
import { OWN_LINES } from '../../account/own-lines.ts';
import type { Problem } from '../../problem/problem.ts';
import { amountWriter } from '../../problem/script.ts';
import { expressionProblem } from '../../problem/computation.ts';
import { displayed, onPaper, withoutBase } from '../say/displayed.ts';
import type { JudgedPaper } from '../judge/judged-paper.ts';
import { termValue, type Term } from '../../line/node.ts';
import { termBehindText, termsText } from '../../line/node-text.ts';
import { toldMove } from '../say/move-words.ts';
import { CellAccount, cellLaying, cellsOf } from './cells.ts';
import { LineLedger } from './drafts.ts';
import { BEHIND } from '../../account/line-sides.ts';
import type { LineDraft, Live } from './laying.ts';
import type { OwnAccount, OwedCell } from './own-account.ts';
import { ownPhrase, type Plainly } from './phrases.ts';
import { partRole } from './part-role.ts';
import { shapeOf, SpanAccount, spanLaying } from './spans.ts';

/**
 * The account of a paper of rewritings, jumps and ratio tables: every line is a few steps, one for each group of terms that changes.
 * Null where it has none, where its problem is not laid out here (roots, and computations that come to nothing), and where it has
 * more terms than can be told apart on a paper.
 */
export function traceOfLines(paper: JudgedPaper): Trace | null {
  if (!isFollowed(paper)) return null;
  const problem = paper.asked.problem ?? expressionProblem(paper.asked.expression);
  if (!problem) return null;
  const shape = shapeOf(problem);
  const cells = shape ? null : cellsOf(problem);
  const laying = shape ? spanLaying(problem, shape) : cells && cellLaying(problem, cells);
  const made = laying && new LineLedger(problem, laying, paper).drafted();
  if (!made) return null;
  const all = made.drafts.flatMap(({ takes, gives }) => [...takes, ...gives]);
  const helds = all.map(({ held }) => held);
  const account = shape ? new SpanAccount(problem, shape, helds) : new CellAccount(problem, cells!);
  return new LineWriter(problem, account).write(made.drafts, made.live);
}

/** Most terms of a paper that are followed, each as a mark of its own; the columns of one side have room for {@link BEHIND}. */
const MOST_MARKS = 2500;

function isFollowed({ rewritings }: JudgedPaper): boolean {
  const terms = rewritings.map(({ to }) => to.length);
  const all = terms.reduce((sum, count) => sum + count, 0);
  return all <= MOST_MARKS && Math.max(0, ...terms) < BEHIND;
}

/** Writes drafts as steps of a ledger. */
class LineWriter {
  constructor(
    private readonly problem: Problem,
    private readonly account: OwnAccount,
  ) {}

  write(drafts: readonly LineDraft[], end: readonly Live[]): Trace {
    const scribe = new Scribe({ problem: this.problem, method: OWN_LINES, school: {} });
    const owed = this.account.open(scribe);
    const marks = new Map<Live, Mark>();
    const entriesOf = (live: Live): readonly Entry[] => {
      const mark = marks.get(live);
      return mark ? [mark] : owed.filter((own) => isOf(live.owed, own)).map(({ entry }) => entry);
    };
    let passed = 0;
    this.account.give(scribe);
    for (const { n, law, move, takes, gives, isBetween } of drafts) {
      const writes = gives.map((live): Writing =>
        this.writing(live, scribe, {
          area: isBetween ? 'between' : 'lines',
          row: live.row ?? n,
          column: isBetween ? passed++ : live.column,
        }),
      );
      const written = scribe.step({
        law,
        phase: { kind: 'line', of: n },
        takes: takes.flatMap(entriesOf),
        writes,
        phrase: phraseOf(
          { law, move, takes, gives },
          (terms) => displayed(this.text(terms)),
          amountWriter(this.problem),
        ),
      });
      gives.forEach((live, k) => marks.set(live, written[k]!));
    }
    return scribe.close(end.flatMap(entriesOf), ownPhrase('own.answer', {}));
  }

  /** Terms in the problem language; on the paper all numbers are in the base of the problem. */
  private text(terms: readonly Term[]): string {
    return withoutBase(termsText(terms), this.problem.base);
  }

  private writing({ term, held, hop, stands }: Live, scribe: Scribe, spot: Spot): Writing {
    const text = this.text([term]);
    // Behind other terms a minus is a sign of its own.
    const isBehind = spot.column % BEHIND > 0;
    const { base } = this.problem;
    const own = isBehind ? withoutBase(termBehindText(term), base) : text;
    const glyph = stands ? this.standing(stands) : own;
    const { terms, beyond } = this.account.cells(held, scribe);
    return {
      role: partRole(this.problem, [term]),
      count: 0,
      place: 0,
      glyph: onPaper(glyph, this.problem.base),
      text,
      worth: termValue(term).rational!,
      spot,
      medium: spot.area === 'between' ? 'head' : 'paper',
      terms,
      beyond,
      line: { terms: [term], stands: stands ?? { kind: 'terms', terms: [term] } },
      ...(hop ? { hop } : {}),
    };
  }

  private standing(stands: Stands): string {
    switch (stands.kind) {
      case 'terms':
        return this.text(stands.terms);
      case 'statement':
        return stands.sides.map((side) => this.text(side)).join(' = ');
      case 'pair':
        return stands.text;
      case 'rest':
        return `r ${numberText(stands.count, this.problem.base)}`;
      case 'jumps':
        return '';
    }
  }
}

/** Why a step holds that the lines tell no move of. */
const PLAINLY: Partial<Record<Law, Plainly>> = { reorder: 'again', evaluate: 'worked out' };

/** What is said of a step; `write` has terms as they are printed. */
function phraseOf(
  { law, move, takes, gives }: Pick<LineDraft, 'law' | 'move' | 'takes' | 'gives'>,
  write: (terms: readonly Term[]) => string,
  amount: (amount: Exact) => string,
) {
  const [first] = gives;
  const termsOf = (all: readonly Live[]) => all.map(({ term }) => term);
  if (!first) return ownPhrase('own.let-go', { what: write(termsOf(takes)) });
  if (first.hop) {
    const { from, to } = first.hop;
    const size = write([first.term]);
    return ownPhrase('own.jump', { from: amount(from), to: amount(to), size });
  }
  return ownPhrase('own.line', {
    from: takes.length === 0 ? '' : write(termsOf(takes)),
    to: write(termsOf(gives)),
    moves: move ? [toldMove(move)] : [],
    plainly: PLAINLY[law] ?? 'both sides',
  });
}

/** Whether a cell is of what is owed. */
function isOf(owed: Live['owed'], { operand, at, cell }: OwedCell): boolean {
  if (owed === null || owed === 'all') return owed === 'all';
  if (owed.cells) return cell !== undefined && owed.cells.has(cell);
  if (operand !== owed.operand) return false;
  const { between } = owed;
  return !between || !at || (at.from.compare(between.from) >= 0 && at.to.compare(between.to) <= 0);
}
