import {
  asFigures,
  bridgeLetter,
  bridgeRows,
  problemText,
  scriptOf,
  termText,
  Exact,
} from '@levee/core';
import { LettersOf } from '../../ui/letters.tsx';
import { ProblemText } from '../../ui/problem-text.tsx';
import { PaperTable } from '../../ui/paper-table.tsx';
import { useSpeaker, useWorked } from '../../worked/use-worked.ts';
import { otherReading } from '../../store/content.ts';

/**
 * The bridge between numbers and brackets: the same pairs of figures gathered by place or by power, once
 * without carrying and once with it.
 */
export function Bridge() {
  const { problem } = useWorked();
  const say = useSpeaker();
  const isLettered = scriptOf(problem) === 'terms';
  const other = otherReading(problem);
  const figures = isLettered ? asFigures(problem) : problem;
  const letters = isLettered ? problem : other;
  if (!other || !figures || !letters || figures.operands.length !== 2) return null;
  const letter = bridgeLetter(problem);
  const power = (place: number) => Exact.letter(letter).power(place);
  const rows = [...bridgeRows(figures)].reverse().map((row) => {
    const { place, pairs, total, carried, figure, goesOn } = row;
    const made = Exact.of(total).times(power(place));
    return {
      name: place === 0 ? 'ones' : termText(power(place)),
      cells: [
        pairs.map(([a, b]) => `${say.number(a)} · ${say.number(b)}`).join(' + ') || '—',
        total === 0 ? '—' : termText(made),
        carried === 0 ? '—' : `+ ${say.number(carried)}`,
        say.number(figure),
        goesOn === 0 ? '—' : say.number(goesOn),
      ],
    };
  });
  return (
    <LettersOf problem={letters}>
      <PaperTable
        title="The bridge: without carrying and with it"
        corner={`power of ${letter}, which is the place`}
        columns={['pairs', 'gathered', 'carried in', 'figure', 'goes on']}
        rows={rows}
      />
      <p className="caption">
        {problemText(figures)} and <ProblemText problem={problemText(letters)} /> are one product
        where <i className="letters">{letter}</i> is {figures.base === 10 ? 'ten' : figures.base}:
        the same pairs are multiplied and gathered. Between powers of a letter nothing is carried;
        between places {say.number(0)} to {say.number(figures.base - 1)} is all that a figure can
        say, so the rest goes on.
      </p>
    </LettersOf>
  );
}
