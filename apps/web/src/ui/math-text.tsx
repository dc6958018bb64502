import { Fragment } from 'react';
import { useLetters } from './letters.tsx';
import { Tex } from './tex.tsx';

type Piece = { readonly kind: 'plain' | 'letters' | 'fraction'; readonly text: string };

/** Runs of letters that are words too stand for a number only where a figure or a sign is next to them. */
const ALSO_WORDS =
  'a i am an and as at be by do for go he if in is it its me my no not of on one or so the to up us we'.split(
    ' ',
  );

/** A sentence in pieces: fractions, letters that stand for numbers, and everything else. */
export function mathPieces(text: string, letters: string): readonly Piece[] {
  const run = letters === '' ? '(?!)' : `(?<![A-Za-z’])(?:[${letters}][⁰¹²³⁴-⁹]*)+(?![A-Za-z’])`;
  const pattern = new RegExp(`(\\d+/\\d+)|(${run})`, 'g');
  const pieces: Piece[] = [];
  let at = 0;
  for (const match of text.matchAll(pattern)) {
    const [found, fraction] = match;
    const kind = fraction ? 'fraction' : 'letters';
    if (kind === 'letters' && isWord(text, match.index, found)) continue;
    if (match.index > at) pieces.push({ kind: 'plain', text: text.slice(at, match.index) });
    pieces.push({ kind, text: found });
    at = match.index + found.length;
  }
  if (at < text.length) pieces.push({ kind: 'plain', text: text.slice(at) });
  return pieces;
}

function isWord(text: string, at: number, found: string): boolean {
  if (!ALSO_WORDS.includes(found)) return false;
  const [before, after] = [text.slice(0, at), text.slice(at + found.length)];
  return !/([\d)]|[·+−(=]\s?)$/.test(before) && !/^\s?[·+−=)]/.test(after);
}

/** Text in which mathematics is typeset. */
export function MathText({ text }: { readonly text: string }) {
  const letters = useLetters();
  return mathPieces(text, letters).map(({ kind, text: piece }, i) => {
    switch (kind) {
      case 'plain':
        return <Fragment key={i}>{piece}</Fragment>;
      case 'letters':
        return <Lettered key={i} text={piece} />;
      case 'fraction': {
        const [top, bottom] = piece.split('/');
        return <Tex key={i} source={`\\tfrac{${top}}{${bottom}}`} />;
      }
    }
  });
}

/** `x²y` with its letters slanted and its exponents upright. */
function Lettered({ text }: { readonly text: string }) {
  return (
    <span className="letters">
      {text
        .split(/([a-z]+)/)
        .filter(Boolean)
        .map((run, i) =>
          /[a-z]/.test(run) ? <i key={i}>{run}</i> : <Fragment key={i}>{run}</Fragment>,
        )}
    </span>
  );
}
