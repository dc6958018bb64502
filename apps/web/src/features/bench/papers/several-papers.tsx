import PlaylistAddIcon from '@mui/icons-material/PlaylistAdd';
import { MAX_PAPERS, OWN_LINES } from '@levee/core';
import { IconButton } from '@mui/material';
import { useState } from 'react';
import { dispatch } from '../../../store/comparison-store.ts';
import { paperOf } from '../../../store/content.ts';
import { laidBeside, putAway } from '../../../store/edits.ts';
import { Menu } from '../../../ui/menu.tsx';
import { type MenuEntry } from '../../../ui/menu-entry.ts';
import { useWorked } from '../../../worked/use-worked.ts';
import { methodGroups, type Option } from './method-groups.ts';

/** A list of methods in which several can be laid, or put away, one after the other. */
export function SeveralPapers() {
  const { papers, problem } = useWorked();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const [withOthers, showOthers] = useState(false);
  const isFull = papers.length >= MAX_PAPERS;
  const entry = (option: Option): MenuEntry => {
    // Lines that someone has typed are not put away by a list; more of them can be laid.
    const laid =
      option.id === OWN_LINES
        ? undefined
        : papers.findLast(({ lane }) => lane.trace.method === option.id);
    const run = () => dispatch(laid ? putAway(laid.id) : laidBeside(paperOf(option.id)));
    const isStuck = laid ? papers.length === 1 : isFull;
    return { run, disabled: isStuck, ...option, selected: laid !== undefined, stays: true };
  };
  return (
    <>
      <IconButton
        size="small"
        aria-label="Choose several papers"
        aria-haspopup="menu"
        title="Choose several papers"
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        <PlaylistAddIcon />
      </IconButton>
      <Menu
        anchor={anchor}
        close={() => {
          setAnchor(null);
          showOthers(false);
        }}
        groups={() =>
          methodGroups(problem, withOthers, () => showOthers(true)).map((group) => group.map(entry))
        }
      />
    </>
  );
}
