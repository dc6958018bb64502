import type { Notice } from './notice.ts';
import { create } from 'zustand';
import { WhenOpened } from './when-opened.tsx';
import { later } from './later.ts';

const useNotice = create<{ readonly notice: Notice | null }>(() => ({ notice: null }));

/** Says one sentence at the foot of the screen, with at most one thing to do about it. */
export function notify(text: string, action?: Notice['action']): void {
  useNotice.setState({ notice: action ? { text, action } : { text } });
}

const NoticeBar = later(() => import('./notice-bar.later.tsx'));

/** Where what is said appears; loaded with the first thing that is said. */
export function Notices() {
  const notice = useNotice((state) => state.notice);
  return (
    <WhenOpened open={notice !== null}>
      <NoticeBar notice={notice} close={() => useNotice.setState({ notice: null })} />
    </WhenOpened>
  );
}
