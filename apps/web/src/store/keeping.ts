import { comparisonsApi } from '../api/client.ts';
import { currentDocument, openDocument, useComparison } from './comparison-store.ts';
import { dropDraft, keepDraft, leftDrafts, readDraft, takeDraft } from './drafts.ts';
import { makeKeeper } from './keeper.ts';
import { claimTab, livingTabs, ownTab } from './tab.ts';

/** The keeper of the application. */
const keeper = makeKeeper({
  server: comparisonsApi,
  desk: {
    document: currentDocument,
    open: openDocument,
    subscribe: (changed) => useComparison.subscribe(changed),
  },
  drafts: {
    keep: keepDraft,
    drop: dropDraft,
    read: readDraft,
    left: leftDrafts,
    take: takeDraft,
  },
  tab: { own: ownTab, claim: claimTab, living: livingTabs },
});

export const useKeeping = keeper.view;
export const {
  openComparison,
  loseIt,
  closeComparison,
  resolveConflict,
  keepNow,
  wouldBeLost,
  sendBeforeLeaving,
} = keeper;
