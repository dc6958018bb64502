import { type Exact, type Speaker } from '@levee/core';
import CloseIcon from '@mui/icons-material/Close';
import { useState } from 'react';
import { useSession } from '../../../store/session-store.ts';
import type { Paper } from '../../../worked/work.ts';
import { useSpeaker, useWorked } from '../../../worked/use-worked.ts';
import { judgeNext, ownHops, readHop, setHops, takeHop } from '../../../paper/hops.ts';

/** Opens the choosing of her own hops; shows those that are chosen. */
export function HopsButton({ paper }: { readonly paper: Paper }) {
  const say = useSpeaker();
  const choosing = useSession((session) => session.choosing === paper.id);
  const taker = paper.method.ownHops;
  if (!taker || choosing) return null;
  const chosen = ownHops(paper).map(({ by }) => signedText(by, say));
  const plural = `${taker.name}s`;
  return (
    <button
      type="button"
      className={chosen.length > 0 ? 'school own' : 'school'}
      title={`Choose ${plural} of ${paper.method.shortName}: ${taker.hint}`}
      onClick={() => useSession.setState({ choosing: paper.id, active: paper.id })}
    >
      {chosen.length > 0 ? `own ${plural} ${chosen.join(' ')}` : `own ${plural}…`}
    </button>
  );
}

/** Hops, pieces or changes of her own: typed here or clicked on the line, each one checked. */
export function HopsStrip({ paper }: { readonly paper: Paper }) {
  const say = useSpeaker();
  const choosing = useSession((session) => session.choosing === paper.id);
  const own = ownHops(paper);
  const taker = paper.method.ownHops;
  if (!taker || !choosing) return null;
  return (
    <div className="hops-strip" aria-label={`Own ${taker.name}s`} role="group">
      {own.map(({ by }, k) => (
        <button
          key={k}
          type="button"
          className="chip"
          aria-label={`Take ${signedText(by, say)} and what follows away`}
          onClick={() =>
            setHops(
              paper,
              own.slice(0, k).map((one) => one.by),
            )
          }
        >
          {signedText(by, say)} <CloseIcon fontSize="inherit" />
        </button>
      ))}
      <HopField key={own.length} paper={paper} />
      <button
        type="button"
        className="chip"
        onClick={() => useSession.setState({ choosing: null })}
      >
        done
      </button>
    </div>
  );
}

function signedText(by: Exact, say: Speaker): string {
  const text = say.worth(by);
  return by.numerator > 0n ? `+${text}` : text;
}

/** One more hop: what it would do is said while it is typed. */
function HopField({ paper }: { readonly paper: Paper }) {
  const [typed, setTyped] = useState('');
  const taker = paper.method.ownHops!;
  const say = useSpeaker();
  const { ground } = useWorked();
  const by = readHop(typed, say.base);
  const verdict = by ? judgeNext(paper, by) : null;
  const said = verdict
    ? verdict.ok
      ? `lands on ${say.worth(verdict.lands)}${verdict.left.isZero ? '' : `, ${say.worth(verdict.left)} to go`}`
      : verdict.fault
    : typed.trim() === ''
      ? `${taker.hint}${ground?.kind === 'line' ? ' Or click its row on the line.' : ''}`
      : `“${typed}” is not a ${taker.name}; type figures, such as 13 or −5.`;
  return (
    <span className="hop-field">
      <input
        aria-label={`Next ${taker.name}`}
        aria-describedby={`hop-said-${paper.index}`}
        autoFocus
        inputMode="decimal"
        maxLength={20}
        value={typed}
        placeholder="+"
        onChange={(event) => setTyped(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && by && takeHop(paper, by)) setTyped('');
          if (event.key === 'Escape') useSession.setState({ choosing: null });
        }}
      />
      <span
        id={`hop-said-${paper.index}`}
        className={verdict && !verdict.ok ? 'caption fault' : 'caption'}
        role="status"
      >
        {said}
      </span>
    </span>
  );
}
