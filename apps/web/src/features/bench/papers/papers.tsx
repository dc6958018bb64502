import AddIcon from '@mui/icons-material/Add';
import { useLarge, useSteps, useWorked } from '../../../worked/use-worked.ts';
import { useLit } from '../../../paper/use-lit.ts';
import { PaperCard } from './paper-card.tsx';
import { IconCommand } from '../../../commands/icon-command.tsx';
import './papers.css';

/** The papers side by side, or one of them large. */
export function Papers() {
  const { papers } = useWorked();
  const steps = useSteps();
  const lit = useLit();
  const large = useLarge();
  const shown = large ? [large] : papers;
  return (
    <section className="papers" aria-label="Papers">
      {shown.map((paper) => (
        <PaperCard
          key={paper.id}
          paper={paper}
          step={steps[paper.index]!}
          lit={lit[paper.index]!}
          removable={papers.length > 1}
        />
      ))}
      {large === null && papers.length < 4 && (
        <div className="add-paper">
          <IconCommand id="add-paper" icon={<AddIcon />} />
        </div>
      )}
    </section>
  );
}
