import {
  answerText,
  compare,
  measured,
  notationFor,
  readAddress,
  readProblem,
  slipIdea,
  speakerFor,
  type Method,
} from '@levee/core';
import { useMemo } from 'react';
import { SquaredSheet } from '../../sheet/squared-sheet.tsx';
import { useSettings } from '../../store/settings-store.ts';
import { LettersOf } from '../../ui/letters.tsx';
import { MathText } from '../../ui/math-text.tsx';
import { UNLIT } from '../../worked/lit.ts';
import { paperOfLane } from '../../worked/work.ts';

interface SlippedExampleProps {
  readonly method: Method;
  readonly slip: string;
}

/** A slip as it stands on a paper of the method, from the catalogue's own example, beside the right answer. */
export function SlippedExample({ method, slip }: SlippedExampleProps) {
  const { words, notches } = useSettings();
  const made = useMemo(() => slippedExample(method, slip), [method, slip]);
  if (!made) return <p className="caption">{slipIdea(slip).written}</p>;
  const { paper, text, wrong, right } = made;
  const { problem } = paper.lane.trace;
  const say = speakerFor(problem, words);
  const { view } = measured(paper.drawing, false);
  const square = Math.min(24, 280 / view.width);
  return (
    <LettersOf problem={problem}>
      <figure className="slipped-example">
        <SquaredSheet
          className="method-example"
          paper={paper}
          step={paper.last}
          lit={UNLIT}
          notation={notationFor(problem, words)}
          notes={false}
          notches={notches}
          square={square}
          view={view}
          label={`${method.name} with the slip, ${text}`}
        />
        <figcaption className="caption">
          <MathText
            text={`${say.pointed(text)}: ${say.pointed(wrong)} instead of ${say.pointed(right)}.`}
          />
        </figcaption>
      </figure>
    </LettersOf>
  );
}

/** The catalogue's example of a slip by a method, worked; null where it has none that the method makes. */
function slippedExample(method: Method, slip: string) {
  const example = slipIdea(slip).examples.find((one) => one.method === method.id);
  const at = example && readAddress(`${slip}@${example.at}`);
  const read = example ? readProblem(example.problem) : null;
  if (!example || !at || !read?.ok) return null;
  const school = { ...method.defaultSchool, ...example.school };
  const [lane] = compare(read.problem, [{ method, school, slips: [at] }]).lanes;
  const right = answerText(method.trace(read.problem, { school }));
  return {
    paper: paperOfLane(lane!, 0),
    text: example.problem,
    wrong: answerText(lane!.trace),
    right,
  };
}
