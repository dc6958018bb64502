import { displayed, inNotation, type Offer } from '@levee/core';
import type { TypedAnswer } from '../away/typed-job.ts';
import { ProblemText, isTypeset } from '../ui/problem-text.tsx';
import { useSettings } from '../store/settings-store.ts';
import { useNotation } from '../worked/use-worked.ts';
import { MathText } from '../ui/math-text.tsx';

/** What is said of a line while it is typed, how it is read, and what can be taken in its place. */
export function LineSaid(props: {
  readonly said: TypedAnswer | null;
  readonly text: string;
  readonly chosen: number;
  readonly take: (offer: Offer) => void;
}) {
  const { said, text, chosen, take } = props;
  const notation = useNotation();
  const oneLaw = useSettings((settings) => settings.oneLaw);
  const says = said && (oneLaw ? said.says : said.quiet);
  return (
    <div className="line-said" id="line-said" aria-live="polite">
      {isTypeset(text) && <ReadAs text={text} />}
      {said && says && (
        <p className={said.verdict === 'unread' ? 'caption unread' : 'caption'}>
          <Unread text={text} at={said.unreadAt} />
          <MathText text={inNotation(displayed(says), notation)} />
        </p>
      )}
      {said && said.offers.length > 0 && (
        <p className="offers">
          {said.offers.map((offer, k) => (
            <button
              key={offer.lines.join('\n')}
              type="button"
              tabIndex={-1}
              className={k === chosen ? 'chip chosen' : 'chip'}
              onMouseDown={(event) => event.preventDefault()}
              onClick={() => take(offer)}
            >
              {k === chosen && <kbd>→</kbd>}
              <MathText text={inNotation(offer.label, notation)} />
            </button>
          ))}
        </p>
      )}
    </div>
  );
}

/** The line as mathematics, side by side of its equals signs. */
function ReadAs({ text }: { readonly text: string }) {
  const sides = text.split('=').map((side) => side.trim());
  return (
    <p className="read-as">
      {sides.map((side, k) => (
        <span key={k}>
          {k > 0 && ' = '}
          {side !== '' && <ProblemText problem={side} />}
        </span>
      ))}
    </p>
  );
}

/** As far as the line could be read, and where not. */
function Unread({ text, at }: { readonly text: string; readonly at: number | null }) {
  if (at === null) return null;
  return (
    <>
      {text.slice(Math.max(0, at - 12), at)}
      <mark>{text.slice(at, at + 1) || '⌷'}</mark>
      {text.slice(at + 1, at + 9)}{' '}
    </>
  );
}
