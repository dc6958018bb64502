import { IconButton } from '@mui/material';
import type { ReactNode } from 'react';
import { Tip } from '../ui/tip.tsx';
import { command } from './commands.ts';
import { keyText } from './keys.ts';
import { useCommand } from './scene.tsx';

/** A command as a button with an icon; its name and keys are in the tip, or why it cannot be done. */
export function IconCommand({ id, icon }: { readonly id: string; readonly icon: ReactNode }) {
  const { can, run, label, whyNot } = useCommand(id);
  return (
    <Tip text={whyNot ?? `${label} · ${keyText(command(id).keys[0]!)}`}>
      <IconButton
        size="small"
        aria-label={whyNot ? `${label}: ${whyNot}` : label}
        aria-disabled={whyNot !== null || undefined}
        disabled={!can && whyNot === null}
        onClick={can ? run : undefined}
      >
        {icon}
      </IconButton>
    </Tip>
  );
}
