/** @jest-environment jsdom */
import { cost, Speaker, DEFAULT_VOCABULARY } from '@levee/core';
import { openDocument, currentDocument, useComparison } from '../../store/comparison-store.ts';
import { pin, resetSession, useSession } from '../../store/session-store.ts';
import { documentWith, workedWith } from '../../testing/scene.ts';
import { COMMANDS, command, readingOrder, sceneNow } from './commands.ts';
import { costItems } from './cost-strip.tsx';
import { entryStory } from './entry-story.ts';
import { worthOf } from './estimate.tsx';
import { combination, commandFor, keyText } from './keys.ts';
import { laneColumns } from './lane-columns.ts';
import { nearestMark } from './nearest-mark.ts';
import { readTyped } from './problem-field.tsx';
import { alone, byAmount, byStep, stopWith, toEnd } from './transport.ts';

const METHODS = ['column-multiplication', 'grid-multiplication', 'lattice'];
const worked = workedWith('46 × 58', METHODS);

describe('the transport', () => {
  it('goes by amount, by step and alone, and never past an end', () => {
    expect(byAmount(worked, [0, 0, 0], 1)).toEqual([1, 1, 1]);
    expect(byAmount(worked, [1, 1, 1], 1)).toEqual([2, 3, 2]);
    expect(byAmount(worked, [2, 3, 2], -1)).toEqual([1, 1, 1]);
    expect(byStep(worked, [9, 2, 0], 1)).toEqual([9, 3, 1]);
    expect(byStep(worked, [0, 0, 1], -1)).toEqual([0, 0, 0]);
    expect(alone(worked, [2, 2, 2], 1, 1)).toEqual([2, 3, 2]);
    expect(toEnd(worked)).toEqual([9, 7, 8]);
    expect(stopWith(worked, 1, 2)).toEqual([2, 3, 2]);
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
    expect(currentDocument().steps).toEqual([2, 3, 2]);
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

  it('lay a paper that is not there yet, up to four', () => {
    run('add-paper');
    expect(currentDocument().papers.at(-1)!.method).toBe('partial-products');
    expect(run('add-paper')).toBe(false);
  });

  it('work an owed amount next where the order is free', () => {
    run('amount');
    const owed = scene().worked.papers[2]!.lane.trace.start.find(({ id }) => id === 'o1.1')!;
    expect(run('work-next')).toBe(false);
    pin({ kind: 'entry', lane: 0, id: owed.id });
    expect(run('work-next')).toBe(false);
    pin({ kind: 'entry', lane: 2, id: owed.id });
    expect(run('work-next')).toBe(true);
    expect(currentDocument().papers[2]!.order).toEqual(['0.0', '1.1']);
    expect(currentDocument().steps).toEqual([1, 1, 2]);
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
      nearestMark(lattice, 8, { kind: 'entry', lane: 2, id: id as never }, key);
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
    ['', false, 'Type a product'],
    ['46', false, 'one number'],
    ['46 x', false, 'missing after'],
    ['--', false, 'missing'],
    ['46**58', false, 'follows another sign'],
    ['hello', false, 'is a word'],
    ['9'.repeat(300) + ' × 2', false, 'this one has 300'],
    ['9'.repeat(40) + ' × 2', false, 'up to 12 figures'],
    ['2 × 3 × 4', false, 'two factors at a time'],
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
    expect(worthOf(['50', '60'], 10)?.toString()).toBe('3000');
    expect(worthOf(['100', '10'], 2)?.toString()).toBe('8');
    for (const bad of ['', '5.5', '-3', 'x', '2'.repeat(25)]) {
      expect(worthOf([bad, '60'], 10)).toBeNull();
    }
    expect(worthOf(['12'], 2)).toBeNull();
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

  it('tells whether an owed product is worked out yet', () => {
    expect(entryStory(column, 'o1.1' as never, 2, say)).toEqual({
      name: '40 × 50, still owed',
      travels: 'this paper comes to it at step 5',
    });
    expect(entryStory(column, 'o1.1' as never, 5, say)?.name).toMatch(/worked out at step 5/);
  });

  it('counts the cost in words', () => {
    const items = costItems(cost(column.lane.trace), 10).map(({ short }) => short);
    expect(items.slice(0, 4)).toEqual(['4 facts', '3 additions', '2 carries', '13 figures']);
  });
});

describe('the store', () => {
  it('opens a document with nothing to undo', () => {
    useComparison.getState().change((content) => ({ ...content, title: 'x' }));
    openDocument(documentWith('7 × 8', ['lattice']));
    expect(command('undo').can(sceneNow(() => undefined))).toBe(false);
    expect(currentDocument()).toEqual(documentWith('7 × 8', ['lattice']));
  });
});
