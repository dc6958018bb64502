import { inBase, inNotation, problemText, scriptOf, type Problem } from '@levee/core';
import { ListItemText, Menu, MenuItem } from '@mui/material';
import { useState } from 'react';
import { dispatch } from '../../store/comparison-store.ts';
import { changed } from '../../store/edits.ts';
import { withBase } from '../../store/content.ts';
import { useNotation } from '../../worked/use-worked.ts';
import { tooLong } from '../../worked/work.ts';

const BASES = Array.from({ length: 15 }, (_, k) => k + 2);

/** The base that the numbers are written in; another one keeps the computation and rewrites it. */
export function BaseChip({ problem }: { readonly problem: Problem }) {
  const notation = useNotation();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  if (scriptOf(problem) !== 'figures') return null;
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
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        {BASES.map((base) => {
          const written = inBase(problem, base);
          const fault = written
            ? tooLong(written) && 'too long for the bench'
            : 'figures without end';
          return (
            <MenuItem
              key={base}
              dense
              selected={base === problem.base}
              disabled={fault !== null}
              onClick={() => {
                setAnchor(null);
                if (base !== problem.base) rewrite(base);
              }}
            >
              <ListItemText
                primary={`base ${base === 10 ? 'ten' : base}`}
                secondary={fault ?? inNotation(problemText(written!), notation)}
              />
            </MenuItem>
          );
        })}
      </Menu>
    </>
  );
}

/** Rewrites the numbers; the work starts over, since a step in one base is none in another. */
function rewrite(base: number): void {
  dispatch(changed((content) => withBase(content, base)));
}
