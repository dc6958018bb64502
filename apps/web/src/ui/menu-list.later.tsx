import { Divider, ListItemText, ListSubheader, Menu, MenuItem } from '@mui/material';
import type { MenuEntry, MenuProps } from './menu-entry.ts';

/** The list of a menu. */
export default function MenuList({ anchor, close, groups, dense = false }: MenuProps) {
  const item = (entry: MenuEntry) => [
    ...(entry.heading === undefined
      ? []
      : [
          <ListSubheader key={`over ${entry.id}`} className="choice-heading">
            {entry.heading}
          </ListSubheader>,
        ]),
    <MenuItem
      key={entry.id}
      dense={dense}
      selected={entry.selected ?? false}
      disabled={entry.disabled ?? false}
      className="choice"
      onClick={() => {
        if (!entry.stays) close();
        entry.run();
      }}
    >
      <ListItemText primary={entry.label} secondary={entry.note} />
      {entry.stays && entry.selected && <span className="laid">✓ laid</span>}
      {entry.keys && <kbd>{entry.keys}</kbd>}
    </MenuItem>,
  ];
  return (
    <Menu anchorEl={anchor} open={anchor !== null} onClose={close}>
      {anchor !== null &&
        groups()
          .filter((group) => group.length > 0)
          .flatMap((group, k) => [
            ...(k > 0 ? [<Divider key={`divider ${k}`} />] : []),
            ...group.flatMap(item),
          ])}
    </Menu>
  );
}
