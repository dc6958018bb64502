import MenuIcon from '@mui/icons-material/Menu';
import { IconButton } from '@mui/material';
import { useState } from 'react';
import { useSession } from '../../../store/session-store.ts';
import { useSettings } from '../../../store/settings-store.ts';
import { Menu } from '../../../ui/menu.tsx';
import { type MenuEntry } from '../../../ui/menu-entry.ts';
import { useFramed, useWorked } from '../../../worked/use-worked.ts';
import { command, sceneNow } from '../../../commands/commands.ts';
import { keyText } from '../../../commands/keys.ts';
import { useGo } from '../../../commands/scene.tsx';
import type { Export } from './exports.ts';

/** What is done with a whole comparison. */
export function BenchMenu({ onAbout }: { readonly onAbout: () => void }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const go = useGo();
  const worked = useWorked();
  const framed = useFramed();
  const settings = useSettings();
  const { notes, notches } = settings;
  const save = (as: Export) => {
    void import('./exports.ts').then(({ exportAs }) => exportAs(as, framed, worked, settings));
  };
  const run = (id: string) => command(id).run(sceneNow(go));
  const close = () => setAnchor(null);
  const item = (label: string, run: () => void, keys?: string): MenuEntry => ({
    id: label,
    label,
    run,
    ...(keys ? { keys: keyText(keys) } : {}),
  });
  const shortcut = (id: string) => command(id).keys[0]!;
  const groups = () => [
    [
      item('New comparison', () => go('new')),
      item('Title, story, units, tags', onAbout),
      item('Presenting view', () => go('present'), shortcut('present')),
      item('Print view', () => go('print'), shortcut('print')),
    ],
    [
      item(notes ? 'Hide side notes' : 'Show side notes', () => run('notes'), shortcut('notes')),
      item(
        notches ? 'Hide place notches' : 'Show place notches',
        () => run('notches'),
        shortcut('notches'),
      ),
    ],
    [
      item('Export comparison (JSON)', () => save('json')),
      item('Export agreement (Markdown)', () => save('markdown')),
      item('Export agreement (LaTeX)', () => save('latex')),
      item('Export papers (SVG)', () => save('svg')),
    ],
    [
      item('Words and settings', () => openDialog('words'), shortcut('words')),
      item('Shortcuts', () => openDialog('shortcuts'), shortcut('shortcuts')),
    ],
  ];
  return (
    <>
      <IconButton
        aria-label="Menu"
        aria-haspopup="menu"
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        <MenuIcon />
      </IconButton>
      <Menu anchor={anchor} close={close} groups={groups} />
    </>
  );
}

function openDialog(dialog: 'words' | 'shortcuts'): void {
  useSession.setState({ dialog });
}
