import {
  directions,
  directionText,
  Exact,
  findingText,
  contextWarnings,
  contextWarningText,
  structureOf,
  type Problem,
  type Structure,
} from '@levee/core';
import { Tip } from '../../../ui/tip.tsx';
import { useMemo } from 'react';
import { useComparison } from '../../../store/comparison-store.ts';
import { useSpeaker } from '../../../worked/use-worked.ts';

const LEVELS: Record<Structure['level'], string> = {
  0: 'plain',
  1: 'a little hard',
  2: 'harder',
  3: 'hard',
};

/** How hard the numbers are by structure, before any step: what passes ten or falls short, and where. */
export function StructureChip({ problem }: { readonly problem: Problem }) {
  const say = useSpeaker();
  const { level, finding: found, places } = useMemo(() => structureOf(problem), [problem]);
  const finding = findingText(found, problem.base);
  const where = places.length > 0 ? `: ${say.list(places.map((place) => say.places(place)))}` : '';
  return (
    <Tip text={`${LEVELS[level]} by structure, whatever the size: ${finding}${where}`}>
      <span className="chip plain structure" tabIndex={0}>
        <span className="steps" aria-hidden>
          {[1, 2, 3].map((n) => (
            <i key={n} className={n <= level ? 'on' : ''} />
          ))}
        </span>
        {finding}
      </span>
    </Tip>
  );
}

/** Where the answer must lie when a factor or the divisor is below one, foreseen before any step. */
export function DirectionChip({ problem }: { readonly problem: Problem }) {
  const say = useSpeaker();
  const found = directions(problem).filter(({ by, way }) => way !== 0 && by.compare(Exact.ONE) < 0);
  if (found.length === 0) return null;
  const sentences = found.map((one) => say.pointed(directionText(one, problem)));
  const short = found.map(({ of, way }) => `${way < 0 ? 'below' : 'above'} ${say.worth(of)}`);
  return (
    <Tip text={sentences.join(' ')}>
      <span className="chip plain" tabIndex={0} aria-label={sentences.join(' ')}>
        answer {say.list(short)}
      </span>
    </Tip>
  );
}

/** Where the computation makes no sense for the things it counts. */
export function ContextNotes({ problem }: { readonly problem: Problem }) {
  const { unit, counted } = useComparison((state) => state.content);
  const say = useSpeaker();
  const warnings = contextWarnings(problem, { unit, counted });
  return warnings.map((warning) => {
    const text = say.pointed(contextWarningText(warning, unit, problem.base));
    return (
      <Tip key={warning.code} text={text}>
        <span className="chip plain warning" role="note" tabIndex={0} aria-label={text}>
          {warning.code === 'left-over' ? 'something is left over' : `makes no sense in ${unit}`}
        </span>
      </Tip>
    );
  });
}
