import { clock } from '../../../ui/clock.ts';
import { keepNow, useKeeping } from '../../../store/keeping.ts';
import { type Keeping } from '../../../store/keeper.ts';
import { Suspense } from 'react';
import { later } from '../../../ui/later.ts';

const ConflictDialog = later(() => import('./conflict-dialog.tsx'));

/** Whether the comparison is kept, in two words that are always in sight. */
export function KeepingMark() {
  const keeping = useKeeping((state) => state.keeping);
  return (
    <>
      <span className={`keeping ${keeping.state}`} role="status" data-keeping={keeping.state}>
        {keepingText(keeping)}
        {keeping.state === 'waiting' && (
          <button type="button" className="link" onClick={keepNow} title={waitingDetail(keeping)}>
            try now
          </button>
        )}
      </span>
      {keeping.state === 'conflict' && (
        <Suspense>
          <ConflictDialog theirs={keeping.theirs} fault={keeping.fault} />
        </Suspense>
      )}
    </>
  );
}

function keepingText(keeping: Keeping): string {
  switch (keeping.state) {
    case 'kept':
      return `kept ${clock(keeping.at)}`;
    case 'keeping':
      return keeping.drafted ? 'keeping …' : 'not kept yet';
    case 'waiting':
      return keeping.drafted ? 'kept here only' : 'not kept';
    case 'conflict':
      return 'two versions';
    default:
      return '';
  }
}

/** What is the matter, and what not to do meanwhile. */
function waitingDetail({
  detail,
  drafted,
}: Extract<Keeping, { readonly state: 'waiting' }>): string {
  return drafted
    ? detail
    : `${detail} The browser's own store is full or forbidden too: leave this page only when it says kept.`;
}
