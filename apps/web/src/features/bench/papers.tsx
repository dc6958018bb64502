import AddIcon from '@mui/icons-material/Add';
import { useMemo } from 'react';
import { litPapers, type Lit } from '../../worked/lit.ts';
import { useLarge, useSteps, useSubject, useWorked } from '../../worked/use-worked.ts';
import { PaperCard } from './paper-card.tsx';
import { IconCommand } from './icon-command.tsx';

export function useLit(): readonly Lit[] {
  const worked = useWorked();
  const steps = useSteps();
  const subject = useSubject();
  return useMemo(() => litPapers(worked, subject, steps), [worked, subject, steps]);
}

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
