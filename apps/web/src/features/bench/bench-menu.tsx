import { agreement, agreementLatex, agreementMarkdown, registry, sheetSvg } from '@levee/core';
import MenuIcon from '@mui/icons-material/Menu';
import { Divider, IconButton, ListItemText, Menu, MenuItem } from '@mui/material';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { comparisonsApi } from '../../api/client.ts';
import { currentDocument } from '../../store/comparison-store.ts';
import { freshDocument } from '../../store/content.ts';
import { useSession } from '../../store/session-store.ts';
import { useSettings } from '../../store/settings-store.ts';
import { download, fileName } from '../../ui/download.ts';
import { notify } from '../../ui/notices.tsx';
import { useWorked } from '../../worked/use-worked.ts';
import { command, sceneNow } from './commands.ts';
import { keyText } from './keys.ts';
import { useGo } from './scene.tsx';

/** What is done with a whole comparison. */
export function BenchMenu({ onAbout }: { readonly onAbout: () => void }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const go = useGo();
  const fresh = useNewComparison();
  const exporters = useExporters();
  const { notes, notches } = useSettings();
  const run = (id: string) => command(id).run(sceneNow(go));
  const close = () => setAnchor(null);
  const item = (label: string, run: () => void, keys?: string) => (
    <MenuItem
      key={label}
      onClick={() => {
        close();
        run();
      }}
    >
      <ListItemText>{label}</ListItemText>
      {keys && <kbd>{keyText(keys)}</kbd>}
    </MenuItem>
  );
  const shortcut = (id: string) => command(id).keys[0]!;
  return (
    <>
      <IconButton
        aria-label="Menu"
        aria-haspopup="menu"
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        <MenuIcon />
      </IconButton>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={close}>
        {item('New comparison', fresh)}
        {item('Title, story, unit', onAbout)}
        {item('Presenting view', () => go('present'), shortcut('present'))}
        {item('Print view', () => go('print'), shortcut('print'))}
        <Divider />
        {item(notes ? 'Hide side notes' : 'Show side notes', () => run('notes'), shortcut('notes'))}
        {item(
          notches ? 'Hide place notches' : 'Show place notches',
          () => run('notches'),
          shortcut('notches'),
        )}
        <Divider />
        {exporters.map(({ label, run }) => item(label, run))}
        <Divider />
        {item(
          'Words and settings',
          () => useSession.setState({ dialog: 'words' }),
          shortcut('words'),
        )}
        {item(
          'Shortcuts',
          () => useSession.setState({ dialog: 'shortcuts' }),
          shortcut('shortcuts'),
        )}
      </Menu>
    </>
  );
}

/** Makes a new comparison and goes there. */
export function useNewComparison(): () => void {
  const navigate = useNavigate();
  return () => {
    void comparisonsApi.create(freshDocument()).then((reply) => {
      if (reply.ok) void navigate(`/c/${reply.value.id}`);
      else notify(`A new comparison could not be made. ${reply.detail}`);
    });
  };
}

function useExporters(): readonly { label: string; run: () => void }[] {
  const { comparison, papers } = useWorked();
  const { words, notes, notches } = useSettings();
  const name = (ending: string) => {
    const { title, problem } = currentDocument();
    return fileName(title || problem, ending);
  };
  const names = { method: (id: string) => registry.get(id).name, notation: words };
  return [
    {
      label: 'Export comparison (JSON)',
      run: () =>
        download(
          name('levee.json'),
          JSON.stringify(currentDocument(), null, 2),
          'application/json',
        ),
    },
    {
      label: 'Export agreement (Markdown)',
      run: () =>
        download(name('md'), agreementMarkdown(agreement(comparison), names), 'text/markdown'),
    },
    {
      label: 'Export agreement (LaTeX)',
      run: () => download(name('tex'), agreementLatex(agreement(comparison), names), 'text/x-tex'),
    },
    {
      label: 'Export papers (SVG)',
      run: () =>
        papers.forEach(({ method, sheet, lane, index }) =>
          download(
            name(`${method.id}-${index + 1}.svg`),
            sheetSvg(sheet, lane.trace, {
              step: currentDocument().steps[index]!,
              notation: words,
              notes,
              notches,
              title: `${method.name}, ${currentDocument().problem}`,
            }),
            'image/svg+xml',
          ),
        ),
    },
  ];
}
