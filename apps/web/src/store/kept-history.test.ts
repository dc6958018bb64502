/** @jest-environment jsdom */
import {
  currentDocument,
  dispatch,
  history,
  keepUndo,
  openDocument,
  useComparison,
} from './comparison-store.ts';
import { freshDocument } from './content.ts';
import { changed } from './edits.ts';

const retitle = (title: string) => dispatch(changed((content) => ({ ...content, title })));
const title = () => useComparison.getState().content.title;

beforeEach(() => {
  sessionStorage.clear();
  openDocument(freshDocument(), 'one');
});

describe('undo', () => {
  it('goes on after the page is loaded again', () => {
    ['a', 'b', 'c'].forEach(retitle);
    history().undo();
    keepUndo();
    openDocument(currentDocument(), 'one');
    expect(title()).toBe('b');
    history().redo();
    expect(title()).toBe('c');
    history().undo(3);
    expect(title()).toBe('');
    expect(history().pastStates).toHaveLength(0);
  });

  it('belongs to one comparison as it lay there', () => {
    retitle('a');
    keepUndo();
    openDocument(currentDocument(), 'two');
    expect(history().pastStates).toHaveLength(0);
    openDocument({ ...freshDocument(), title: 'changed elsewhere' }, 'one');
    expect(history().pastStates).toHaveLength(0);
  });

  it('is let be where it cannot be read, and forgotten when there is none', () => {
    sessionStorage.setItem('levee.undo', '{');
    openDocument(freshDocument(), 'one');
    expect(history().pastStates).toHaveLength(0);
    keepUndo();
    expect(sessionStorage.getItem('levee.undo')).toBeNull();
  });

  it('keeps the states that are nearest, where there are very many', () => {
    const names = Array.from({ length: 70 }, (_, k) => `state ${k}`);
    names.forEach(retitle);
    keepUndo();
    openDocument(currentDocument(), 'one');
    history().undo();
    expect(title()).toBe('state 68');
    history().undo(200);
    expect(title()).toBe('state 9');
    keepUndo();
    openDocument(currentDocument(), 'one');
    history().redo();
    expect(title()).toBe('state 10');
  });

  it('keeps what can be redone next, where there is very much', () => {
    Array.from({ length: 70 }, (_, k) => `state ${k}`).forEach(retitle);
    history().undo(70);
    expect(title()).toBe('');
    keepUndo();
    openDocument(currentDocument(), 'one');
    history().redo();
    expect(title()).toBe('state 0');
    history().redo(200);
    expect(title()).toBe('state 59');
  });

  it('is let be where another version kept it', () => {
    retitle('a');
    keepUndo();
    const kept = JSON.parse(sessionStorage.getItem('levee.undo')!) as { shape: number };
    sessionStorage.setItem('levee.undo', JSON.stringify({ ...kept, shape: kept.shape - 1 }));
    openDocument(currentDocument(), 'one');
    expect(history().pastStates).toHaveLength(0);
  });
});
