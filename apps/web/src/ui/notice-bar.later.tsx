import { Button, Snackbar } from '@mui/material';
import type { Notice } from './notice.ts';

/** In the middle beside the navigation and no wider than a panel, so that the pictures stay in view. */
const BETWEEN_PANELS = {
  '&.MuiSnackbar-root': { left: 'calc(50% + 36px)', maxWidth: 350 },
  '& .MuiSnackbarContent-root': { minWidth: 0 },
};

interface NoticeBarProps {
  readonly notice: Notice | null;
  readonly close: () => void;
}

/** One sentence at the foot of the screen. */
export default function NoticeBar({ notice, close }: NoticeBarProps) {
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
