/** @jest-environment jsdom */
import { COVERS, FRESH_ROOM, workOf, type Room } from '@levee/core';
import { SceneProvider } from '../../commands/scene.tsx';
import { openDocument, useComparison } from '../../store/comparison-store.ts';
import { ownPaper } from '../../store/content.ts';
import { deskOf, documentOf, settled } from '../../store/desk.ts';
import { useSession } from '../../store/session-store.ts';
import { giveRoom, Rendered } from '../../testing/render.tsx';
import { documentWith, stepAll } from '../../testing/scene.ts';
import { work } from '../../worked/work.ts';
import { PresentPage } from './present-page.tsx';

const page = new Rendered();
beforeAll(() => giveRoom(600, 400));

const LINES = ['= 46 × 60 − 46 × 2', '= 2760 − 82', '= 2678'];

function present(room: Room = FRESH_ROOM): void {
  const desk = deskOf(documentWith('46 × 58', ['column-multiplication']));
  const papers = [...desk.content.papers, ownPaper(workOf(LINES))];
  const content = { ...desk.content, unit: 'bags', papers };
  const progress = { ...desk.progress, room };
  page.act(() => {
    openDocument(documentOf(settled({ ...desk, content, progress })));
    stepAll(99, 99);
  });
  page.show(
    <SceneProvider>
      <PresentPage />
    </SceneProvider>,
  );
}

const room = () => useComparison.getState().progress.room;
const said = () => page.texts('.present-paper .sentence').at(-1);

describe('presenting', () => {
  it('says nothing of own lines until their cover is lifted, and never calls a wrong answer one', () => {
    present();
    expect(said()).toBe('What is to be said of these lines is covered.');
    page.press('uncover verdicts');
    expect(room().covered).toEqual(COVERS.filter((cover) => cover !== 'verdicts'));
    expect(said()).toContain('Comes to 2678 bags, 10 too much');
    expect(said()).not.toContain('Answer');
    expect(page.texts('.present-paper .sentence')[0]).toContain('Answer: 2668 bags');
  });

  it('shows papers, account and steps each for itself', () => {
    present();
    expect(page.all('.present-paper')).toHaveLength(2);
    expect(page.all('.gauge')).toHaveLength(0);
    page.press('account');
    expect(page.text('.gauge')).toBe('Accountcovered');
    page.press('uncover account');
    expect(page.text('.gauge-total')).toBe('2668');
    page.press('steps');
    expect(page.texts('.present-paper h2 .caption')).toEqual(['9 of 9', '3 of 3']);
    page.press('papers');
    page.press('account');
    expect(page.all('.present-paper')).toHaveLength(0);
    expect(page.text('.present-nothing')).toBe('Papers, picture and account are put away.');
    expect(room().shown).toEqual(['steps']);
  });

  it('has a large pointer at the mark that is held, and none at one that is passed over', () => {
    present();
    const [paper] = work(useComparison.getState().content).papers;
    const answer = paper!.lane.trace.groups.at(-1)!.marks[0]!;
    const at = { kind: 'entry', paper: paper!.id, id: answer } as const;
    page.act(() => useSession.setState({ pointed: at, pinned: false }));
    expect(page.all('.large-pointer')).toHaveLength(0);
    page.act(() => useSession.setState({ pinned: true }));
    expect(page.all('.large-pointer')).toHaveLength(1);
    page.act(() => useSession.setState({ pointed: null, pinned: false }));
    expect(page.all('.large-pointer')).toHaveLength(0);
  });

  it('has nothing to type into and nothing to choose in its papers', () => {
    present({ ...FRESH_ROOM, covered: [] });
    expect(page.all('.present-papers :is(input, select, [aria-haspopup], .school)')).toEqual([]);
    expect(page.all('.present-papers button')).toEqual([]);
  });
});
