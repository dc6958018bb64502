import { bridgeLetter, scriptOf, type Problem } from '@levee/core';
import { useCommand } from '../../../commands/scene.tsx';

/** The bridge: a product of numbers read as brackets in powers of the base, and such brackets as numbers. */
export function ReadingChip({ problem }: { readonly problem: Problem }) {
  const bridge = useCommand('bridge');
  if (!bridge.can) return null;
  const isLettered = scriptOf(problem) === 'terms';
  const base = problem.base === 10 ? 'ten' : problem.base;
  const letter = bridgeLetter(problem);
  const sign = <i className="letters">{letter}</i>;
  return (
    <button
      type="button"
      className="chip"
      onClick={bridge.run}
      title={
        isLettered
          ? `The same brackets as numbers, where ${letter} is ten: now places carry.`
          : `The same product as brackets in powers of ${base}: nothing is carried.`
      }
    >
      {isLettered ? (
        <>read {sign} as ten</>
      ) : (
        <>
          read {base} as {sign}
        </>
      )}
    </button>
  );
}
