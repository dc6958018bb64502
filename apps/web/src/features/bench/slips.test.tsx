/** @jest-environment jsdom */
import { dispatch, openDocument, useComparison } from '../../store/comparison-store.ts';
import { changed } from '../../store/edits.ts';
import { withSchool } from '../../store/content.ts';
import { giveRoom, Rendered } from '../../testing/render.tsx';
import { documentWith, stepAll } from '../../testing/scene.ts';
import { work } from '../../worked/work.ts';
import { ChecksPage } from '../checks/checks-page.tsx';
import { WhyPage } from '../why/why-page.tsx';
import { AgreePanel } from './reasons/agree-panel.tsx';
import { Gauge } from '../../account/gauge.tsx';
import { SchoolMenus } from './papers/paper-menus.tsx';

const page = new Rendered();
const SLIP = 'forget-carry@line-0.1';

beforeAll(() => giveRoom(400, 200));

function open(): void {
  const document = documentWith('46 × 58', ['column-multiplication', 'lattice']);
  const [column, lattice] = document.papers;
  page.act(() => openDocument({ ...document, papers: [{ ...column!, slips: [SLIP] }, lattice!] }));
}

const papers = () => work(useComparison.getState().content).papers;

describe('a paper with a slip made on purpose', () => {
  it('is named, and the slip is taken back by a press', () => {
    open();
    expect(papers()[0]!.lane.trace.answer.toString()).toBe('2628');
    page.show(<SchoolMenus paper={papers()[0]!} />);
    const chip = page.all('.slip')[0] as HTMLElement;
    expect(chip.textContent).toBe('slip: carry not added ×');
    page.act(() => chip.click());
    expect(papers()[0]!.lane.trace.answer.toString()).toBe('2668');
    expect(useComparison.getState().content.papers[0]!.slips).toEqual([]);
  });

  it('is out of balance from its step on, by how much it has lost', () => {
    open();
    page.show(<Gauge />);
    expect(page.text('.gauge-total')).toBe('2668');
    expect(page.text('.balance')).toMatch(/^balanced ✓/);
    page.act(() => stepAll(1, 0));
    expect(page.text('.balance')).toMatch(/^balanced ✓/);
    page.act(() => stepAll(2, 0));
    expect(page.text('.balance')).toBe('Column has lost 40');
  });

  it('is certified as far as it goes', () => {
    open();
    page.show(<AgreePanel />);
    expect(page.text('.agree [role="status"]')).toBe('checked, up to the slip');
    expect(page.text('.agree dl')).toContain('Step 2 loses 40; from there on it does not agree.');
  });

  it('is told from right work by the checks, and by the page of reasons', () => {
    open();
    page.show(<ChecksPage />);
    const says = (id: string) => page.host.querySelector(`[data-check="${id}"]`)!.textContent ?? '';
    expect(says('inverse')).toContain('The paper’s answer is wrong, and this check notices it.');
    expect(says('direction')).toContain('is wrong, and this check lets it through.');
    expect(page.all('.reach')).toHaveLength(0);
    page.show(<WhyPage />);
    expect(page.text('h1')).toContain('as far as each method goes');
    expect(page.text('.why-head [role="status"]')).toContain(
      'Column has a slip: its lines end before step 2.',
    );
  });

  it('loses its slips when it is worked another way', () => {
    open();
    page.act(() => dispatch(changed((content) => withSchool(content, 'p1', 'carries', 'below'))));
    expect(useComparison.getState().content.papers[0]!.slips).toEqual([]);
  });
});
