import AddIcon from '@mui/icons-material/Add';
import { useSteps, useWorked } from '../../../worked/use-worked.ts';
import { useLit } from '../../../paper/use-lit.ts';
import { useRefocus } from '../../../ui/use-refocus.ts';
import { PaperCard } from './paper-card.tsx';
import { IconCommand } from '../../../commands/icon-command.tsx';
import { SeveralPapers } from './several-papers.tsx';
import './papers.css';

/** The papers side by side. Only the first so many are drawn; room is kept for the others. */
export function Papers({ drawn }: { readonly drawn: number }) {
  const { papers } = useWorked();
  const steps = useSteps();
  const lit = useLit();
  const list = useRefocus<HTMLElement>(papers.length, '.stage-wrap');
  return (
    <section className="papers" aria-label="Papers" ref={list}>
      {papers.map((paper, k) =>
        k < drawn ? (
          <PaperCard
            key={paper.id}
            paper={paper}
            step={steps[paper.index]!}
            lit={lit[paper.index]!}
            removable={papers.length > 1}
            costs={drawn >= papers.length}
          />
        ) : (
          <article key={paper.id} className="paper" aria-hidden />
        ),
      )}
      <div className="add-paper">
        <IconCommand id="add-paper" icon={<AddIcon />} />
        <SeveralPapers />
      </div>
    </section>
  );
}
