import { framedClass, framedTextures } from '@levee/core';
import CloseIcon from '@mui/icons-material/Close';
import { unframe, useSession } from '../store/session-store.ts';
import { MathText } from '../ui/math-text.tsx';
import { useFramed, useSpeaker } from '../worked/use-worked.ts';
import '../sheet/framed.css';

const SWATCH = { x: 1, y: 1, width: 22, height: 14 };
/** Breadth of a square that gives a swatch a few strokes of its texture. */
const UNIT = 20;

/** The amounts that stay framed, each with its number, its texture and what it is worth. */
export function FramedList() {
  const framed = useFramed();
  const say = useSpeaker();
  if (framed.length === 0) return null;
  return (
    <ul className="framed-list" aria-label="Framed amounts">
      {framed.map(({ number, subject }) => (
        <li key={number} className={`framed-${number}`}>
          <Swatch number={number} />
          <span className="framed-name">{number}</span>
          <span className="figures">
            <MathText text={say.worth(subject.worth)} />
          </span>
          <button
            type="button"
            className="link"
            aria-label={`Take frame ${number} away`}
            onClick={() => unframe(number)}
          >
            <CloseIcon fontSize="inherit" />
          </button>
        </li>
      ))}
      {framed.length > 1 && (
        <li>
          <button
            type="button"
            className="link caption"
            onClick={() => useSession.setState({ framed: [] })}
          >
            take all away
          </button>
        </li>
      )}
    </ul>
  );
}

function Swatch({ number }: { readonly number: number }) {
  const framed = [{ number, boxes: [SWATCH], gathered: true }];
  return (
    <svg width={SWATCH.width + 2} height={SWATCH.height + 2} aria-hidden>
      <g dangerouslySetInnerHTML={{ __html: framedTextures(framed, UNIT, framedClass) }} />
      <rect className="framed-edge" {...SWATCH} strokeWidth={1.5} rx={1.5} />
    </svg>
  );
}
