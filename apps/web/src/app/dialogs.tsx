import { useSession } from '../store/session-store.ts';
import { WhenOpened } from '../ui/when-opened.tsx';
import { later } from '../ui/later.ts';

const WordsDialog = later(async () => ({
  default: (await import('../features/settings/words-dialog.tsx')).WordsDialog,
}));
const ShortcutsDialog = later(async () => ({
  default: (await import('../features/settings/shortcuts-dialog.tsx')).ShortcutsDialog,
}));

/** What can be opened over every screen of a comparison. */
export function Dialogs() {
  const dialog = useSession((session) => session.dialog);
  return (
    <>
      <WhenOpened open={dialog === 'words'}>
        <WordsDialog />
      </WhenOpened>
      <WhenOpened open={dialog === 'shortcuts'}>
        <ShortcutsDialog />
      </WhenOpened>
    </>
  );
}
