import { makeProblem, MAX_PAPERS, numeral, workOf } from '@levee/core';
import { documentWith } from '../testing/scene.ts';
import { ownPaper, paperOf } from './content.ts';
import { deskOf, settled, type Desk } from './desk.ts';
import { laidBeside, laidOnNumbers, lifted, ownChanged, shownOrNot, stepped } from './edits.ts';

const desk = deskOf(documentWith('46 × 58', ['column-multiplication', 'grid-multiplication']));

/** The same desk with papers of own lines beside it. */
function withOwn(...papers: readonly (readonly string[])[]): Desk {
  return settled(papers.reduce((own, lines) => laidBeside(ownPaper(workOf(lines)))(own), desk));
}

const textsOf = ({ content }: Desk) =>
  content.papers.flatMap(({ own }) => (own ? [own.lines.map(({ text }) => text)] : []));

describe('steps', () => {
  it('of papers that are not named stay', () => {
    const first = stepped({ p1: 3 })(desk);
    expect(stepped({ p2: 2 })(first).progress.steps).toEqual({ p1: 3, p2: 2 });
  });
});

describe('the room', () => {
  it('has one cover less when one is lifted, and as many parts as were asked for', () => {
    const { covered } = desk.progress.room;
    expect(covered.length).toBeGreaterThan(2);
    expect(lifted('gauge')(desk).progress.room.covered).toEqual(
      covered.filter((one) => one !== 'gauge'),
    );
    const shown = shownOrNot('picture')(desk);
    expect(shown.progress.room.shown).toEqual(['papers', 'picture']);
    expect(shownOrNot('picture')(shown).progress.room.shown).toEqual(['papers']);
    expect(shown.progress.room.covered).toBe(covered);
  });
});

describe('one more paper', () => {
  it('is laid while there is room for it', () => {
    let full = desk;
    for (let k = 0; k < MAX_PAPERS + 3; k++) full = settled(laidBeside(paperOf('lattice'))(full));
    expect(full.content.papers).toHaveLength(MAX_PAPERS);
    expect(laidBeside(paperOf('crosswise'))(full).content).toBe(full.content);
  });
});

describe('own lines', () => {
  it('are the same desk where nothing changes, and no lines are given to a method', () => {
    const own = withOwn(['= 2668']);
    expect(ownChanged('p3', (lines) => ({ ...lines }))(own)).toBe(own);
    expect(ownChanged('p1', (lines) => ({ ...lines, code: 'T07' }))(own)).toBe(own);
    expect(ownChanged('p9', (lines) => ({ ...lines, code: 'T07' }))(own)).toBe(own);
    const named = ownChanged('p3', (lines) => ({ ...lines, code: 'T07' }))(own);
    expect(named.content.papers[2]!.own!.code).toBe('T07');
  });

  it('are laid on other numbers on the paper that is named, and stay on the others', () => {
    const own = withOwn(['= 2668'], ['= 2760 − 92']);
    const next = laidOnNumbers('p4', makeProblem('product', [numeral('46'), numeral('99')]), [
      '= 4600 − 46',
    ])(own);
    expect(next.content.problem).toBe('46 × 99');
    expect(textsOf(next)).toEqual([['= 2668'], ['= 4600 − 46']]);
  });
});
