import { Button, Snackbar } from '@mui/material';
import { create } from 'zustand';

interface Notice {
  readonly text: string;
  readonly action?: { readonly label: string; readonly run: () => void };
}

const useNotice = create<{ readonly notice: Notice | null }>(() => ({ notice: null }));

/** Says one sentence at the foot of the screen, with at most one thing to do about it. */
export function notify(text: string, action?: Notice['action']): void {
  useNotice.setState({ notice: action ? { text, action } : { text } });
}

export function Notices() {
  const notice = useNotice((state) => state.notice);
  const close = () => useNotice.setState({ notice: null });
  return (
    <Snackbar
      key={notice?.text}
      open={notice !== null}
      message={notice?.text}
      autoHideDuration={9000}
      onClose={(_, reason) => reason !== 'clickaway' && close()}
      action={
        notice?.action && (
          <Button
            color="inherit"
            size="small"
            onClick={() => {
              notice.action?.run();
              close();
            }}
          >
            {notice.action.label}
          </Button>
        )
      }
    />
  );
}
