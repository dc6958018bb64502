/** @jest-environment jsdom */
import { cost, DEFAULT_VOCABULARY, Exact, foresee, pointAt, Speaker } from '@levee/core';
import { work } from '../../worked/work.ts';
import {
  currentDocument,
  dispatch,
  openDocument,
  useComparison,
} from '../../store/comparison-store.ts';
import { changed } from '../../store/edits.ts';
import { pin, resetSession, useSession } from '../../store/session-store.ts';
import { documentWith, workedWith } from '../../testing/scene.ts';
import { COMMANDS, command, sceneNow } from '../../commands/commands.ts';
import { readingOrder } from '../../commands/moves.ts';
import { costItems } from '../../worked/cost-items.ts';
import { entryStory } from './worth/entry-story.ts';
import { worthOf } from './head/estimate-worth.ts';
import { combination, commandFor, keyText } from '../../commands/keys.ts';
import { laneColumns } from './lanes/lane-columns.ts';
import { roundMarks } from '../../pictures/line-picture.tsx';
import { nearestMark } from '../../paper/nearest-mark.ts';
import { readTyped } from '../../computation/computation-field.tsx';
import { alone, byAmount, byStep, stopWith, toEnd } from '../../commands/transport.ts';
import { blockSize } from '../../pictures/block-picture.tsx';
import { foresightText } from '../../worked/foresight-text.ts';
import { gaugeRange, levelParts } from '../../worked/gauge-range.ts';
import { judgeNext, landingOf, ownHops, readHop, setHops, takeHop } from '../../paper/hops.ts';

const METHODS = ['column-multiplication', 'grid-multiplication', 'lattice'];
const worked = workedWith('46 × 58', METHODS);

describe('the transport', () => {
  it('goes by amount, by step and alone, and never past an end', () => {
    expect(byAmount(worked, [0, 0, 0], 1)).toEqual([1, 1, 1]);
    expect(byAmount(worked, [1, 1, 1], 1)).toEqual([2, 2, 2]);
    expect(byAmount(worked, [2, 2, 2], 1)).toEqual([2, 3, 2]);
    expect(byAmount(worked, [2, 3, 2], -1)).toEqual([2, 2, 2]);
    expect(byStep(worked, [9, 2, 0], 1)).toEqual([9, 3, 1]);
    expect(byStep(worked, [0, 0, 1], -1)).toEqual([0, 0, 0]);
    expect(alone(worked, [2, 2, 2], 1, 1)).toEqual([2, 3, 2]);
    expect(toEnd(worked)).toEqual([9, 7, 8]);
    expect(stopWith(worked, 1, 2)).toEqual([2, 2, 2]);
  });

  it('catches papers up that are behind, and takes none back', () => {
    expect(byAmount(worked, [3, 0, 0], 1)).toEqual([3, 1, 1]);
  });
});

describe('commands', () => {
  beforeEach(() => {
    openDocument(documentWith('46 × 58', METHODS));
    resetSession();
  });
  const scene = () => sceneNow(() => undefined);
  const run = (id: string) => {
    const one = command(id);
    const can = one.can(scene());
    if (can) one.run(scene());
    return can;
  };

  it('have ids and keys of their own', () => {
    const ids = COMMANDS.map(({ id }) => id);
    const keys = COMMANDS.flatMap((one) => one.keys);
    expect(new Set(ids).size).toBe(ids.length);
    expect(new Set(keys).size).toBe(keys.length);
    expect(() => command('none')).toThrow(RangeError);
  });

  it('move the papers and know when they cannot', () => {
    expect(run('back')).toBe(false);
    expect(run('amount')).toBe(true);
    expect(run('step')).toBe(true);
    expect(run('paper-2')).toBe(true);
    expect(currentDocument().steps).toEqual({ p1: 2, p2: 3, p3: 2 });
    expect(run('paper-4')).toBe(false);
    run('end');
    expect(run('next')).toBe(false);
  });

  it('swap factors, undo and redo', () => {
    run('swap');
    expect(currentDocument().problem).toBe('58 × 46');
    run('undo');
    expect(currentDocument().problem).toBe('46 × 58');
    run('redo');
    expect(currentDocument().problem).toBe('58 × 46');
  });

  it('list the methods for the active paper', () => {
    useSession.setState({ active: scene().worked.papers[1]!.id });
    expect(run('method')).toBe(true);
    expect(useSession.getState().listing).toBe(scene().worked.papers[1]!.id);
    useSession.setState({ listing: null });
  });

  it('lay a paper that is not there yet, up to six, and say why no more', () => {
    run('add-paper');
    expect(currentDocument().papers.at(-1)!.method).toBe('partial-products');
    const add = command('add-paper');
    expect(add.whyNot!(scene())).toBeNull();
    run('add-paper');
    run('add-paper');
    expect(new Set(currentDocument().papers.map(({ method }) => method)).size).toBe(6);
    expect(run('add-paper')).toBe(false);
    expect(add.whyNot!(scene())).toMatch(/holds 6 papers; put one away/);
  });

  it('size the one paper that is shown large, and no other', () => {
    expect(run('zoom-in')).toBe(false);
    run('large');
    run('zoom-in');
    run('zoom-in');
    expect(useSession.getState().zoom).toBeCloseTo(1.5625, 9);
    for (let k = 0; k < 40; k++) run('zoom-out');
    expect(useSession.getState().zoom).toBe(0.5);
    run('zoom-fit');
    expect(useSession.getState().zoom).toBe(1);
    run('zoom-in');
    run('large');
    run('large');
    expect(useSession.getState().zoom).toBe(1);
    run('large');
  });

  it('work an owed amount next where the order is free', () => {
    run('amount');
    const owed = scene().worked.papers[2]!.lane.trace.start.find(({ id }) => id === 'o1.1')!;
    expect(run('work-next')).toBe(false);
    pin({ kind: 'entry', paper: 'p1', id: owed.id });
    expect(run('work-next')).toBe(false);
    pin({ kind: 'entry', paper: 'p3', id: owed.id });
    expect(run('work-next')).toBe(true);
    expect(currentDocument().papers[2]!.order).toEqual(['0.0', '1.1']);
    expect(currentDocument().steps).toEqual({ p1: 1, p2: 1, p3: 2 });
    const { trace } = scene().worked.papers[2]!.lane;
    expect(trace.steps[1]!.takes).toEqual(['o1.1']);
    expect(trace.balanced && trace.answer.toString()).toBe('2668');
    expect(run('work-next')).toBe(false);
  });

  it('point from mark to mark in reading order', () => {
    run('mark-next');
    const ids = readingOrder(scene().worked, 0, 0);
    expect(useSession.getState().pointed).toMatchObject({ id: ids[0] });
    run('mark-before');
    expect(useSession.getState().pointed).toMatchObject({ id: ids.at(-1) });
    run('let-go');
    expect(useSession.getState()).toMatchObject({ pointed: null, pinned: false });
  });
});

describe('keys', () => {
  const event = (key: string, init: KeyboardEventInit = {}, target?: HTMLElement) => {
    const made = new KeyboardEvent('keydown', { key, ...init });
    Object.defineProperty(made, 'target', { value: target ?? document.body });
    return made;
  };

  it('are named alike on every keyboard', () => {
    expect(combination(event('Z', { ctrlKey: true, shiftKey: true }))).toBe('Control+Shift+z');
    expect(combination(event('"', { code: 'Digit2', shiftKey: true }))).toBe('Shift+2');
    expect(combination(event('?', { shiftKey: true }))).toBe('?');
    expect(combination(event(' ', { shiftKey: true }))).toBe('Shift+ ');
    expect(keyText('Shift+ ')).toBe('Shift space');
    expect(keyText('Control+z')).toBe('Ctrl z');
  });

  it('ask for commands, but not while typing or where a control wants them', () => {
    const input = document.createElement('input');
    const button = document.createElement('button');
    expect(commandFor(event('v'), true)?.id).toBe('voice');
    expect(commandFor(event('v'), false)).toBeNull();
    expect(commandFor(event('ArrowRight'), false)?.id).toBe('step');
    expect(commandFor(event('v', {}, input), true)).toBeNull();
    expect(commandFor(event(' ', {}, button), true)).toBeNull();
    expect(commandFor(event(' '), true)?.id).toBe('amount');
    expect(commandFor(event('q'), true)).toBeNull();
  });

  it('move from mark to mark on a paper', () => {
    const lattice = worked.papers[2]!;
    const from = (key: string, id: string) =>
      nearestMark(lattice, 8, { kind: 'entry', paper: 'p3', id: id as never }, key);
    const first = nearestMark(lattice, 8, null, 'ArrowDown')!;
    expect(lattice.givens.has(first)).toBe(true);
    expect(from('ArrowRight', 'g0.1')).toBe('g0.0');
    expect(from('ArrowLeft', 'g0.0')).toBe('g0.1');
    expect(from('ArrowUp', 'g0.0')).toBeNull();
    expect(from('x', 'g0.0')).toBeNull();
  });
});

describe('the computation field', () => {
  it.each([
    ['46x58', true, ''],
    ['999999999999 × 999999999999', true, ''],
    ['', false, 'Type a computation'],
    ['642-387', true, ''],
    ['387-642', true, ''],
    ['7+9+4+8', true, ''],
    ['4.5 + 3', true, ''],
    ['31.5 ÷ 0.7', true, ''],
    ['7 ÷ 0', false, 'has no answer'],
    ['46', false, 'one number'],
    ['46 x', false, 'missing after'],
    ['--', false, 'missing'],
    ['46**58', false, 'follows another sign'],
    ['hello', false, 'is a word'],
    ['9'.repeat(300) + ' × 2', false, 'up to 12 figures; here is a longer one'],
    ['9'.repeat(40) + ' × 2', false, 'up to 12 figures'],
    ['2 × 3 × 4', true, ''],
    [
      '111111111111 × 111111111111 × 111111111111 × 111111111111',
      false,
      'too many single products',
    ],
    ['７ × ８', true, ''],
    ['0 × 58', true, ''],
    ['007 × 58', true, ''],
  ])('reads %s', (text, ok, sentence) => {
    const typed = readTyped(text);
    expect(typed.ok).toBe(ok);
    if (!typed.ok) expect(typed.sentence).toContain(sentence);
  });

  it('says at which character a text fails', () => {
    expect(readTyped('46 * 5a8')).toMatchObject({ ok: false, at: 8 });
  });
});

describe('estimates', () => {
  it('are worth what the typed operands make, in the base', () => {
    expect(worthOf('product', ['50', '60'], 10)?.toString()).toBe('3000');
    expect(worthOf('product', ['100', '10'], 2)?.toString()).toBe('8');
    expect(worthOf('product', ['5.5', '60'], 10)?.toString()).toBe('330');
    expect(worthOf('quotient', ['28', '0'], 10)).toBeNull();
    for (const bad of ['', '5.', '.5', '-3', 'x', '2'.repeat(25)]) {
      expect(worthOf('product', [bad, '60'], 10)).toBeNull();
    }
    expect(worthOf('product', ['12'], 2)).toBeNull();
  });
});

describe('lanes', () => {
  it('put the same stop at the same place in every lane', () => {
    const { blocks, headAt } = laneColumns(worked.comparison);
    for (const stop of worked.comparison.stops.slice(1)) {
      const heads = stop.map((_, lane) => headAt(lane, stop));
      expect(new Set(heads).size).toBe(1);
    }
    blocks.forEach((lane, k) => {
      expect(lane).toHaveLength(worked.papers[k]!.last);
      lane.forEach(({ from, to }, i) => {
        expect(to).toBeGreaterThan(from);
        if (i > 0) expect(from).toBeGreaterThanOrEqual(lane[i - 1]!.to - 1e-9);
      });
    });
    expect(headAt(0, [3, 0, 0])).toBe(blocks[0]![2]!.to);
  });
});

describe('what is said of an entry', () => {
  const say = new Speaker({ ...DEFAULT_VOCABULARY, ones: 'units' }, 10);
  const column = worked.papers[0]!;
  const marks = column.lane.trace.steps.flatMap((step) => step.gives);

  it('tells a carry’s worth, source, target and the reason for its place', () => {
    const carry = marks.find((mark) => mark.role === 'carry')!;
    expect(entryStory(column, carry.id, 9, say)).toEqual({
      name: 'carry: 4 tens',
      travels:
        'written at step 1; joins step 2. Carries above: Seen when needed; each line needs a row of its own.',
    });
  });

  it('tells of placeholders, zeros, answers and figures of the question', () => {
    const name = (id: string) => entryStory(column, id as never, 9, say)?.name;
    expect(name(marks.find((mark) => mark.role === 'placeholder')!.id)).toMatch(/holds the places/);
    expect(name(marks.find((mark) => mark.role === 'product' && mark.glyph === '8')!.id)).toBe(
      'product: 8 units',
    );
    expect(entryStory(column, marks.at(-1)!.id, 9, say)?.travels).toBe(
      'written at step 9; it stays',
    );
    expect(name('g1.1')).toBe('the factor’s digit 5: 5 tens');
    expect(entryStory(column, 'm99' as never, 9, say)).toBeNull();
  });

  it('tells a number of a row by its row, which is the amount', () => {
    const { papers, comparison } = workedWith('3/4 ÷ 2/3', ['fraction-reciprocal']);
    const paper = papers[0]!;
    const note = paper.lane.trace.steps
      .flatMap(({ gives }) => gives)
      .find(({ role, glyph }) => role === 'factor' && glyph === '3/2')!;
    expect(entryStory(paper, note.id, 9, say)).toEqual({
      name: '3/2 in its row: 3/4 × 3/2 is one amount',
      travels: 'written at step 1; joins step 3',
    });
    const found = pointAt(comparison, { kind: 'entry', lane: 0, id: note.id });
    expect(found?.worth.toString()).toBe('9/8');
    expect(found?.entry).toBe(note.id);
  });

  it('tells whether an owed product is worked out yet', () => {
    expect(entryStory(column, 'o1.1' as never, 2, say)).toEqual({
      name: '40 × 50, still owed',
      travels: 'this paper comes to it at step 5',
    });
    expect(entryStory(column, 'o1.1' as never, 5, say)?.name).toMatch(/worked out at step 5/);
  });

  it('counts the cost in words', () => {
    const items = costItems(cost(column.lane.trace), column.lane.trace.problem, say).map(
      ({ short }) => short,
    );
    expect(items.slice(0, 4)).toEqual(['4 facts', '3 additions', '2 carries', '13 figures']);
  });
});

describe('the store', () => {
  it('opens a document with nothing to undo', () => {
    dispatch(changed((content) => ({ ...content, title: 'x' })));
    openDocument(documentWith('7 × 8', ['lattice']));
    expect(command('undo').can(sceneNow(() => undefined))).toBe(false);
    expect(currentDocument()).toEqual(documentWith('7 × 8', ['lattice']));
  });
});

describe('the gauge', () => {
  it('has one measure for all papers, in which the total stays where it is', () => {
    const taken = workedWith('642 − 387', ['decomposition', 'equal-additions', 'counting-up']);
    const range = gaugeRange(taken.papers);
    const total = range.at(Exact.of(255));
    expect(total).toBeGreaterThan(0);
    expect(total).toBeLessThan(1);
    for (const { levels } of taken.papers) {
      for (const level of levels) {
        const parts = levelParts(level);
        expect(parts.at(-1)!.to.equals(level.balance)).toBe(true);
        expect(range.at(parts.at(-1)!.to)).toBe(total);
        for (const { from, to } of parts) {
          expect(range.low.compare(from) <= 0 && range.high.compare(to) >= 0).toBe(true);
        }
      }
    }
    expect(gaugeRange(worked.papers).at(Exact.of(2668))).toBe(1);
    expect(range.span(Exact.ZERO, Exact.ZERO)).toMatchObject({ height: '0%' });
  });

  it('tells what is owed the other way', () => {
    const [paper] = workedWith('642 − 387', ['decomposition']).papers;
    const kinds = paper!.levels.map((level) => levelParts(level).at(-1)!.kind);
    expect(kinds[0]).toBe('owed');
    expect(kinds).toContain('owed against');
  });
});

describe('hops of her own', () => {
  beforeEach(() => {
    openDocument(documentWith('642 − 387', ['decomposition', 'counting-up']));
    resetSession();
  });
  const paper = () => work(useComparison.getState().content).papers[1]!;

  it('are read as typed', () => {
    expect(readHop(' +13 ', 10)?.toString()).toBe('13');
    expect(readHop('−5', 10)?.toString()).toBe('-5');
    expect(readHop('007', 10)?.toString()).toBe('7');
    expect(readHop('-0,5', 10)?.toString()).toBe('-1/2');
    expect(readHop('101', 2)?.toString()).toBe('5');
    expect(readHop('2', 2)).toBeNull();
    for (const bad of ['', '3.', '.5', 'x', '--3', '9'.repeat(19)])
      expect(readHop(bad, 10)).toBeNull();
  });

  it('are taken when they can be made, and the paper goes to their step', () => {
    expect(takeHop(paper(), Exact.of(13))).toBe(true);
    expect(takeHop(paper(), Exact.of(300))).toBe(true);
    expect(currentDocument()).toMatchObject({
      papers: [{}, { hops: ['13', '300'] }],
      steps: { p1: 0, p2: 2 },
    });
    expect(ownHops(paper()).map(({ verdict }) => verdict.ok && verdict.lands.toString())).toEqual([
      '400',
      '700',
    ]);
    expect(takeHop(paper(), Exact.of(-900))).toBe(false);
    expect(judgeNext(paper(), Exact.of(-58))).toMatchObject({ ok: true, left: Exact.ZERO });
    setHops(paper(), [Exact.of(13)]);
    expect(currentDocument()).toMatchObject({
      papers: [{}, { hops: ['13'] }],
      steps: { p1: 0, p2: 1 },
    });
  });

  it('land on the roundest number near what is pointed at', () => {
    const near = (at: number, within: number) => {
      const landing = landingOf(paper(), Exact.of(at), Exact.of(within));
      return landing && `${landing.to} by ${landing.by}`;
    };
    expect(near(402, 6)).toBe('400 by 13');
    expect(near(391, 1)).toBe('391 by 4');
    expect(near(612, 60)).toBe('600 by 213');
    expect(near(387, 1)).toBeNull();
    const [other] = work(useComparison.getState().content).papers;
    expect(landingOf(other!, Exact.of(400), Exact.of(5))).toBeNull();
    expect(judgeNext(other!, Exact.of(5))).toMatchObject({ ok: false });
  });

  it('are chosen on the active paper, or on the only one that takes them', () => {
    const scene = sceneNow(() => undefined);
    expect(command('hops').can(scene)).toBe(true);
    command('hops').run(scene);
    expect(useSession.getState().choosing).toBe('p2');
    command('hops').run(scene);
    expect(useSession.getState().choosing).toBeNull();
    openDocument(documentWith('642 − 387', ['decomposition']));
    expect(command('hops').can(sceneNow(() => undefined))).toBe(false);
    expect(command('swap').can(sceneNow(() => undefined))).toBe(false);
  });
});

describe('before working', () => {
  it.each([
    ['386 + 478', 'column-addition', 'Carry into the tens and hundreds.'],
    ['642 − 387', 'decomposition', 'Regroup to fill the ones and tens.'],
    ['642 − 387', 'equal-additions', 'Little ones below in the tens and hundreds.'],
    ['642 − 387', 'partial-differences', 'A shortfall in the ones and tens.'],
    ['7 + 9 + 4', 'scratch-addition', '2 scratches, for the tens.'],
    ['46 + 58', 'compensation-addition', 'An adjustment at the end.'],
    ['46 + 58', 'left-to-right-addition', 'Nothing out of the ordinary.'],
  ])('%s by %s', (problem, id, text) => {
    const [paper] = workedWith(problem, [id]).papers;
    const say = new Speaker(DEFAULT_VOCABULARY, 10);
    expect(foresightText(foresee(paper!.lane.trace), say)).toBe(text);
  });
});

describe('round numbers on the line', () => {
  const marks = (low: number, high: number, base: number, room: number) =>
    roundMarks(Exact.of(low), Exact.of(high), base, room).map(String);

  it('are as many as have room', () => {
    expect(marks(0, 104, 10, 380)).toEqual([
      '0',
      '10',
      '20',
      '30',
      '40',
      '50',
      '60',
      '70',
      '80',
      '90',
      '100',
    ]);
    expect(marks(0, 745, 10, 380)).toEqual(['0', '100', '200', '300', '400', '500', '600', '700']);
    expect(marks(-14, 52, 10, 200)).toEqual(['-10', '0', '10', '20', '30', '40', '50']);
    expect(marks(0, 2, 10, 380)).toEqual(['0', '1', '2']);
    expect(marks(0, 8, 2, 380)).toContain('8');
  });

  it('never crowd each other, whatever the numbers', () => {
    for (const high of [7, 99, 1234, 700500300100, 999999999999]) {
      for (const base of [2, 3, 7, 10, 16]) {
        const all = marks(0, high, base, 380);
        expect(all.length).toBeGreaterThan(0);
        expect(all.length).toBeLessThan(380 / 7);
      }
    }
  });
});

describe('base blocks', () => {
  it('are as large as the room allows', () => {
    expect(blockSize(9, 46, 140)).toEqual({ across: 2, size: 18 });
    expect(blockSize(19, 46, 140).size).toBeCloseTo(15.33, 1);
    const many = blockSize(360, 46, 140);
    expect(many.across * many.size).toBeLessThanOrEqual(46);
    expect(Math.ceil(360 / many.across) * many.size).toBeLessThanOrEqual(140);
  });
});
