/** @jest-environment jsdom */
import { dispatch } from '../store/comparison-store.ts';
import { stepped } from '../store/edits.ts';
import { Rendered } from '../testing/render.tsx';
import { Announcer } from './announcer.tsx';

const page = new Rendered();
const heard = () => page.text('[role="status"]');

describe('what is heard', () => {
  it('is what each paper that moved has done, and what it owes and has marked', () => {
    page.open('46 × 58', ['column-multiplication', 'grid-multiplication']);
    page.show(<Announcer />);
    expect(heard()).toBe('');
    page.act(() => dispatch(stepped({ p1: 1 })));
    expect(heard()).toMatch(/^Column: 8 × 6 ones make 48 ones: .* Owed 2620, marked 48\.$/);
    page.act(() => dispatch(stepped({ p1: 2, p2: 1 })));
    expect(heard()).toMatch(/^Column: .* Owed 2300, marked 368\. Grid: .* Owed \d+, marked \d+\.$/);
    page.act(() => dispatch(stepped({ p1: 0 })));
    expect(heard()).toBe('Column: at the beginning. Owed 2668, marked 0.');
  });
});
