import { Suspense } from 'react';
import { useComparison } from '../../store/comparison-store.ts';
import { ProblemText } from '../../ui/problem-text.tsx';
import { useWorked } from '../../worked/use-worked.ts';
import { VoiceSwitch } from '../../paper/voice-switch.tsx';
import { Alone } from './alone.tsx';
import { isOwnLines } from '@levee/core';
import { cleanPapers } from './clean-papers.ts';
import { useCovers } from './covers.ts';
import { OneSlip } from './one/one-slip.tsx';
import { useSlipParams, VIEWS, type SlipParams, type SlipsView } from './use-slip-params.ts';
import './slips.css';
import { later } from '../../ui/later.ts';

const ClassView = later(async () => ({
  default: (await import('./class/class-view.tsx')).ClassView,
}));
const AnswersView = later(async () => ({
  default: (await import('./answers/answers-view.tsx')).AnswersView,
}));

const VIEW_NAMES: Readonly<Record<SlipsView, string>> = {
  one: 'One slip',
  class: 'A class',
  answers: 'Real answers',
};

interface SlipsPageProps {
  /** Whether it is shown alone, for a projector; wrong papers are covered to begin with then. */
  readonly alone?: boolean;
}

/** What goes wrong: one slip on a paper, a class that thins out, and what explains real answers. */
export function SlipsPage({ alone = false }: SlipsPageProps) {
  const worked = useWorked();
  // What is wrong in someone's own lines is no slip of a method; the bench says it line by line.
  const papers = cleanPapers(worked).filter(({ method }) => !isOwnLines(method));
  const params = useSlipParams();
  const covers = useCovers(alone);
  const { problem, answers } = useComparison((state) => state.content);
  const paper = papers.find(({ id }) => id === params.paper) ?? papers[0];
  return (
    <main className={alone ? 'slips alone' : 'slips'}>
      <header className="slips-head">
        <h1>
          Slips on <ProblemText problem={problem} />
        </h1>
        <Views params={params} answers={answers.length} />
        {params.view === 'one' && papers.length > 1 && (
          <div className="chips" role="group" aria-label="Paper">
            {papers.map(({ id, title }) => (
              <button
                key={id}
                type="button"
                className="chip"
                aria-pressed={id === paper?.id}
                onClick={() =>
                  params.set({ paper: id, slip: null, second: null, habit: null, mode: 'once' })
                }
              >
                {title}
              </button>
            ))}
          </div>
        )}
        <span className="spacer" />
        {params.view === 'one' && (
          <>
            <VoiceSwitch />
            <button
              type="button"
              className="chip"
              aria-pressed={covers.down.length > 0}
              onClick={covers.toggle}
            >
              cover
            </button>
          </>
        )}
        <Alone alone={alone} />
      </header>
      {!paper && params.view !== 'answers' && <NoMethod />}
      {paper && params.view === 'one' && <OneSlip paper={paper} params={params} covers={covers} />}
      <Suspense fallback={<p role="status">Opening …</p>}>
        {paper && params.view === 'class' && <ClassView papers={papers} />}
        {params.view === 'answers' && <AnswersView params={params} papers={papers} />}
      </Suspense>
    </main>
  );
}

function NoMethod() {
  return (
    <p className="caption">
      Slips are made on the papers of methods, and none is laid here. Where own lines go wrong, the
      bench says beside the line.
    </p>
  );
}

function Views({ params, answers }: { readonly params: SlipParams; readonly answers: number }) {
  return (
    <div className="chips" role="group" aria-label="View">
      {VIEWS.map((view) => (
        <button
          key={view}
          type="button"
          className="chip"
          aria-pressed={params.view === view}
          onClick={() => params.set({ view })}
        >
          {VIEW_NAMES[view]}
          {view === 'answers' && answers > 0 ? ` · ${answers}` : ''}
        </button>
      ))}
    </div>
  );
}
