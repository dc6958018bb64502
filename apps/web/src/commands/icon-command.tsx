import { IconButton } from '@mui/material';
import type { ReactNode } from 'react';
import { Tip } from '../ui/tip.tsx';
import { command } from './commands.ts';
import { keyText } from './keys.ts';
import { useCommand } from './scene.tsx';

/** A command as a button with an icon; its name and keys are in the tip. */
export function IconCommand({ id, icon }: { readonly id: string; readonly icon: ReactNode }) {
  const { can, run, label } = useCommand(id);
  return (
    <Tip text={`${label} · ${keyText(command(id).keys[0]!)}`}>
      <IconButton size="small" aria-label={label} disabled={!can} onClick={run}>
        {icon}
      </IconButton>
    </Tip>
  );
}
