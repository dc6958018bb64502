import { Button, Dialog, DialogActions, DialogContent, DialogTitle } from '@mui/material';
import { useSession } from '../../store/session-store.ts';
import { COMMANDS, type Command } from '../../commands/commands.ts';
import { keyText } from '../../commands/keys.ts';
import './settings.css';

const GROUPS: Record<Command['group'], string> = {
  move: 'Move',
  point: 'Point',
  change: 'Change',
  show: 'Show',
  go: 'Go',
};

/** Every command with its keys, read off the commands themselves. */
export function ShortcutsDialog() {
  const open = useSession((session) => session.dialog === 'shortcuts');
  const close = () => useSession.setState({ dialog: null });
  return (
    <Dialog open={open} onClose={close} maxWidth="md" fullWidth>
      <DialogTitle>Shortcuts</DialogTitle>
      <DialogContent>
        <div className="shortcuts">
          {(Object.keys(GROUPS) as Command['group'][]).map((group) => (
            <section key={group}>
              <h3>{GROUPS[group]}</h3>
              <dl>
                {COMMANDS.filter((command) => command.group === group).map((command) => (
                  <div key={command.id}>
                    <dt>{command.label}</dt>
                    <dd>
                      <kbd>{keyText(command.keys[0]!)}</kbd>
                    </dd>
                  </div>
                ))}
              </dl>
            </section>
          ))}
        </div>
        <p className="caption">
          With the focus on a paper, the arrow keys point at its marks. Single letters can be
          switched off in words and settings.
        </p>
      </DialogContent>
      <DialogActions>
        <Button variant="contained" onClick={close}>
          Close
        </Button>
      </DialogActions>
    </Dialog>
  );
}
