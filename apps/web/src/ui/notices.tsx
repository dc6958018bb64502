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

/** In the middle beside the navigation and no wider than a panel, so that the pictures stay in view. */
const BETWEEN_PANELS = {
  '&.MuiSnackbar-root': { left: 'calc(50% + 36px)', maxWidth: 350 },
  '& .MuiSnackbarContent-root': { minWidth: 0 },
};

export function Notices() {
  const notice = useNotice((state) => state.notice);
  const close = () => useNotice.setState({ notice: null });
  return (
    <Snackbar
      key={notice?.text}
      open={notice !== null}
      message={notice?.text}
      autoHideDuration={9000}
      anchorOrigin={{ vertical: 'bottom', horizontal: 'center' }}
      sx={BETWEEN_PANELS}
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
