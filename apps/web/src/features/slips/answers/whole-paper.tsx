import {
  MAX_PAPERS,
  NO_LINES,
  readPaper,
  type MarkStanding,
  type PaperReading,
  type Speaker,
} from '@levee/core';
import { Button } from '@mui/material';
import { useMemo, useState } from 'react';
import { useCommand } from '../../../commands/scene.tsx';
import { typeOn } from '../../../own/typing.ts';
import { dispatch, useComparison } from '../../../store/comparison-store.ts';
import { ownPaper } from '../../../store/content.ts';
import { laidBeside } from '../../../store/edits.ts';
import { SheetView } from '../../../sheet/sheet-view.tsx';
import { MathText } from '../../../ui/math-text.tsx';
import { UNLIT } from '../../../worked/lit.ts';
import { useNotation, useSpeaker } from '../../../worked/use-worked.ts';
import type { Paper } from '../../../worked/work.ts';
import { Credit } from './credit.tsx';
import { ideaLabel } from './explanation-text.ts';
import { squaresOf, type Square } from './paper-squares.ts';
import { whereWords } from '../../../worked/where-words.ts';

/** Pixels of a square, and room around the paper. */
const SQUARE = 34;
const ROOM = 2;

/** A learner's paper, copied square by square onto the blank paper of a method, and what is right, leaks, follows and is new. */
export function WholePaper({ papers }: { readonly papers: readonly Paper[] }) {
  const [index, setIndex] = useState(0);
  const paper = papers[Math.min(index, papers.length - 1)];
  return (
    <div className="whole-paper">
      <div className="chips" role="group" aria-label="Whose method">
        {papers.map(({ id, title }, k) => (
          <button
            key={id}
            type="button"
            className="chip"
            aria-pressed={k === index}
            onClick={() => setIndex(k)}
          >
            {title}
          </button>
        ))}
        <OwnWay />
      </div>
      {paper ? (
        <OnePaper key={paper.id} paper={paper} />
      ) : (
        <p className="caption">
          No method is laid here whose squares could be filled in; a way of the learner’s own is
          typed line by line.
        </p>
      )}
    </div>
  );
}

/** For a paper that fits no method: it is typed line by line on the bench. */
function OwnWay() {
  const count = useComparison(({ content }) => content.papers.length);
  const bench = useCommand('bench');
  const lay = () => {
    dispatch(laidBeside(ownPaper(NO_LINES)));
    const laid = useComparison.getState().content.papers.at(-1);
    if (laid) typeOn(laid.id, { line: 0 });
    bench.run();
  };
  return (
    <button type="button" className="chip" disabled={count >= MAX_PAPERS} onClick={lay}>
      it fits no method: type its lines…
    </button>
  );
}

function OnePaper({ paper }: { readonly paper: Paper }) {
  const say = useSpeaker();
  const squares = useMemo(() => squaresOf(paper), [paper]);
  const [typed, setTyped] = useState<ReadonlyMap<string, string>>(new Map());
  const [reading, setReading] = useState<PaperReading | null>(null);
  const { problem, school } = paper.lane.trace;
  const write = (name: string, text: string) => {
    const next = new Map(typed);
    if (text === '') next.delete(name);
    else next.set(name, text);
    setTyped(next);
    setReading(null);
  };
  const read = () => setReading(readPaper(paper.method, problem, school, typed));
  return (
    <div className="whole-paper-body">
      <div>
        <BlankPaper paper={paper} squares={squares} typed={typed} write={write} reading={reading} />
        <p className="chips">
          <Button size="small" variant="contained" disabled={typed.size === 0} onClick={read}>
            Read it
          </Button>
          <button
            type="button"
            className="chip"
            onClick={() => {
              setTyped(new Map());
              setReading(null);
            }}
          >
            clear the paper
          </button>
        </p>
      </div>
      {reading ? (
        <Reading reading={reading} say={say} />
      ) : (
        <p className="caption empty">
          Type what stands on the learner’s paper into its squares; arrows and Tab go from square to
          square. What was not written stays empty.
        </p>
      )}
    </div>
  );
}

interface BlankPaperProps {
  readonly paper: Paper;
  readonly squares: readonly Square[];
  readonly typed: ReadonlyMap<string, string>;
  readonly write: (name: string, text: string) => void;
  readonly reading: PaperReading | null;
}

function BlankPaper({ paper, squares, typed, write, reading }: BlankPaperProps) {
  const notation = useNotation();
  const { drawing } = paper;
  const standing = new Map(reading?.marks.map((mark) => [mark.square, mark.standing]));
  const left = Math.min(0, ...squares.map(({ box }) => box.x));
  const size = (squaresWide: number) => (squaresWide + ROOM) * SQUARE;
  const at = (amount: number) => (amount + ROOM / 2) * SQUARE;
  return (
    <div
      className="blank-paper"
      role="group"
      aria-label={`Blank paper: ${paper.method.name}`}
      style={{
        width: size(drawing.width - left),
        height: size(drawing.height),
        backgroundSize: `${SQUARE}px ${SQUARE}px`,
      }}
    >
      <div style={{ position: 'absolute', left: at(-left), top: at(0) }}>
        <SheetView
          paper={paper}
          step={0}
          lit={UNLIT}
          notation={notation}
          notes={false}
          notches={false}
          square={SQUARE}
          label={`${paper.method.name}, nothing written yet`}
        />
      </div>
      {squares.map(({ name, box, small }) => (
        <input
          key={name}
          className={`square ${small ? 'small' : ''} ${standing.get(name) ?? ''}`}
          style={{
            left: at(box.x - left),
            top: at(box.y),
            width: box.width * SQUARE,
            height: box.height * SQUARE,
          }}
          aria-label={squareLabel(name)}
          value={typed.get(name) ?? ''}
          maxLength={12}
          onChange={(event) => write(name, event.target.value.trim())}
          onKeyDown={(event) => goBeside(event.currentTarget, event.key)}
        />
      ))}
    </div>
  );
}

/** `line 1, place 2`: where a square is, from the right. */
function squareLabel(name: string): string {
  const [area = '', row = '0', column = '0'] = name.split(' ');
  return `${area.replaceAll('-', ' ')} ${Number(row) + 1}, ${Number(column) + 1} from the right`;
}

/** Arrows go to the nearest square in their direction. */
function goBeside(from: HTMLInputElement, key: string): void {
  const directions: Readonly<Record<string, readonly [number, number]>> = {
    ArrowLeft: [-1, 0],
    ArrowRight: [1, 0],
    ArrowUp: [0, -1],
    ArrowDown: [0, 1],
  };
  const direction = directions[key];
  if (!direction) return;
  const [dx, dy] = direction;
  const own = from.getBoundingClientRect();
  const others = [...(from.parentElement?.querySelectorAll('input') ?? [])].map((input) => {
    const box = input.getBoundingClientRect();
    const along = (box.left - own.left) * dx + (box.top - own.top) * dy;
    const across = Math.abs((box.left - own.left) * dy) + Math.abs((box.top - own.top) * dx);
    return { input, along, far: along + 3 * across };
  });
  const [next] = others.filter(({ along }) => along > 4).sort((a, b) => a.far - b.far);
  next?.input.focus();
}

const STANDINGS: readonly (readonly [MarkStanding, string])[] = [
  ['right', 'right'],
  ['leak', 'where it leaks'],
  ['followed', 'false, but right after what went wrong'],
  ['new', 'false, and explained by nothing'],
  ['beside', 'written where nothing is due'],
  ['empty', 'not written'],
];

function Reading({ reading, say }: { readonly reading: PaperReading; readonly say: Speaker }) {
  const { marks, slips, trace, isOther } = reading;
  const count = (standing: MarkStanding) =>
    marks.filter((mark) => mark.standing === standing).length;
  return (
    <article className="paper-reading" aria-label="What the paper shows">
      <h2>
        {count('right')} of {marks.length} marks are right
      </h2>
      {isOther && (
        <p>
          Most of this is no work of this method. Read it by another method, or by its answer alone.
        </p>
      )}
      {slips.length > 0 && (
        <ol className="explanations">
          {slips.map((slip) => {
            const fact = trace.facts.find(
              (one) => slip.value !== undefined && one.at.at.join() === slip.at.at.join(),
            );
            const named = fact
              ? `${fact.fact.of.join(` ${fact.fact.sign} `)} as ${slip.value}`
              : `${ideaLabel(slip.slip)} (${whereWords(slip, trace, say)})`;
            return (
              <li key={`${slip.slip} ${slip.at.at.join('.')}`}>
                <strong>
                  <MathText text={named} />
                </strong>
              </li>
            );
          })}
        </ol>
      )}
      <ul className="standings">
        {STANDINGS.filter(([standing]) => count(standing) > 0).map(([standing, words]) => (
          <li key={standing}>
            <i className={`swatch ${standing}`} /> {count(standing)} {words}
          </li>
        ))}
      </ul>
      <NewMarks reading={reading} />
      <Credit reading={reading} />
    </article>
  );
}

/** Marks that nothing explains, with what was due after what went wrong before. */
function NewMarks({ reading: { marks } }: { readonly reading: PaperReading }) {
  const lost = marks.filter(({ standing }) => standing === 'new');
  if (lost.length === 0) return null;
  return (
    <p>
      <MathText
        text={`New: ${lost.map(({ wrote, due }) => `${wrote} where ${due} was due`).join('; ')}.`}
      />
    </p>
  );
}
