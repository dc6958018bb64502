import { keepUndo } from '../store/comparison-store.ts';
import { sendBeforeLeaving, wouldBeLost } from '../store/keeping.ts';

/** Sends what waits when the page goes, and asks first where nothing else would keep it. */
export function watchLeaving(): void {
  window.addEventListener('pagehide', () => {
    keepUndo();
    sendBeforeLeaving();
  });
  window.addEventListener('beforeunload', (event) => {
    if (wouldBeLost()) event.preventDefault();
  });
}
