import { clock } from '../../../ui/clock.ts';
import { Button, Dialog, DialogActions, DialogContent, DialogTitle } from '@mui/material';
import { useWorked } from '../../../worked/use-worked.ts';
import { resolveConflict } from '../../../store/keeping.ts';
import { useComparison } from '../../../store/comparison-store.ts';
import type { Stored } from '../../../api/client.ts';

/** Both versions of a comparison that was changed in two places. */
export default function ConflictDialog(props: {
  readonly theirs: Stored;
  readonly fault: string | undefined;
}) {
  const { theirs, fault } = props;
  const mine = useComparison((state) => state.content);
  const { papers } = useWorked();
  return (
    <Dialog open maxWidth="sm" fullWidth aria-labelledby="conflict-title">
      <DialogTitle id="conflict-title">This comparison was changed elsewhere</DialogTitle>
      <DialogContent className="versions">
        <Version
          name="This version"
          title={mine.title}
          problem={mine.problem}
          papers={papers.map((paper) => paper.method.shortName)}
        />
        <Version
          name={`The other, kept ${clock(theirs.updatedAt)}`}
          title={theirs.document.title}
          problem={theirs.document.problem}
          papers={theirs.document.papers.map((paper) => paper.method)}
        />
      </DialogContent>
      {fault && <p className="dialog-fault">The copy could not be kept. {fault}</p>}
      <DialogActions>
        <Button onClick={() => void resolveConflict('theirs')}>Take the other</Button>
        <Button onClick={() => void resolveConflict('both')}>Keep this one as a copy</Button>
        <Button variant="contained" onClick={() => void resolveConflict('mine')}>
          Keep this one
        </Button>
      </DialogActions>
    </Dialog>
  );
}

interface VersionProps {
  readonly name: string;
  readonly title: string;
  readonly problem: string;
  readonly papers: readonly string[];
}

function Version({ name, title, problem, papers }: VersionProps) {
  return (
    <section>
      <h3>{name}</h3>
      <p>{title || 'no title'}</p>
      <p className="figures">{problem}</p>
      <p className="caption">{papers.join(', ')}</p>
    </section>
  );
}
