import { IconButton, Tooltip } from '@mui/material';
import type { ReactNode } from 'react';
import { command } from './commands.ts';
import { keyText } from './keys.ts';
import { useCommand } from './scene.tsx';

/** A command as a button with an icon; its name and keys are in the tip. */
export function IconCommand({ id, icon }: { readonly id: string; readonly icon: ReactNode }) {
  const { can, run, label } = useCommand(id);
  return (
    <Tooltip title={`${label} · ${keyText(command(id).keys[0]!)}`}>
      <span>
        <IconButton size="small" aria-label={label} disabled={!can} onClick={run}>
          {icon}
        </IconButton>
      </span>
    </Tooltip>
  );
}
