import { inBase, inNotation, problemText, scriptOf, type Problem } from '@levee/core';
import { useState } from 'react';
import { dispatch } from '../../../store/comparison-store.ts';
import { changed } from '../../../store/edits.ts';
import { withBase } from '../../../store/content.ts';
import { Menu } from '../../../ui/menu.tsx';
import { type MenuEntry } from '../../../ui/menu-entry.ts';
import { useNotation } from '../../../worked/use-worked.ts';
import { tooLong } from '../../../worked/work.ts';

const BASES = Array.from({ length: 15 }, (_, k) => k + 2);

/** The base that the numbers are written in; another one keeps the computation and rewrites it. */
export function BaseChip({ problem }: { readonly problem: Problem }) {
  const notation = useNotation();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  if (scriptOf(problem) !== 'figures') return null;
  const entry = (base: number): MenuEntry => {
    const written = inBase(problem, base);
    const fault = written ? tooLong(written) && 'too long for the bench' : 'figures without end';
    return {
      id: String(base),
      label: `base ${base === 10 ? 'ten' : base}`,
      note: fault ?? inNotation(problemText(written!), notation),
      selected: base === problem.base,
      disabled: fault !== null,
      run: () => base !== problem.base && rewrite(base),
    };
  };
  return (
    <>
      <button
        type="button"
        className="chip"
        aria-haspopup="menu"
        title="The same numbers in another base: ten of one is one of the next is the base’s own rule."
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        base {problem.base === 10 ? 'ten' : problem.base}
      </button>
      <Menu anchor={anchor} close={() => setAnchor(null)} groups={() => [BASES.map(entry)]} dense />
    </>
  );
}

/** Rewrites the numbers; the work starts over, since a step in one base is none in another. */
function rewrite(base: number): void {
  dispatch(changed((content) => withBase(content, base)));
}
