import { findingText, problemText, structureOf, type ComparisonDocument } from '@levee/core';
import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { comparisonsApi } from '../../api/client.ts';
import { ComputationField } from '../../computation/computation-field.tsx';
import { freshDocument } from '../../store/content.ts';
import { notify } from '../../ui/notices.tsx';
import { ProblemText } from '../../ui/problem-text.tsx';
import { suggestions } from './suggestions.ts';
import './new.css';

/** Where a comparison begins: an empty field and three suggestions; nothing is kept before a computation is chosen. */
export function NewPage() {
  const begin = useBegin();
  const [offered] = useState(() => suggestions(3, Math.random));
  const { isEmpty, examples } = useExamples();
  return (
    <main className="new-page">
      <h1>{isEmpty ? 'Nothing is kept here yet' : 'A new comparison'}</h1>
      <p>
        Type a computation as you would write it, and press Enter:{' '}
        <span className="figures">642 − 387</span>, <span className="figures">3/4 + 1/6</span>,{' '}
        <span className="figures">(x+4)(3x−2)</span>.
      </p>
      <ComputationField
        kept=""
        autoFocus
        work={({ problem, unit = '' }) => begin({ ...freshDocument(problem), unit })}
      />
      <section aria-labelledby="suggested">
        <h2 id="suggested">Or begin with</h2>
        <ul className="offers">
          {offered.map((problem) => (
            <li key={problemText(problem)}>
              <button type="button" onClick={() => begin(freshDocument(problem))}>
                <span className="offer">
                  <ProblemText problem={problemText(problem)} />
                </span>
                <span className="caption">
                  {findingText(structureOf(problem).finding, problem.base)}
                </span>
              </button>
            </li>
          ))}
        </ul>
      </section>
      {examples.length > 0 && <Examples examples={examples} begin={begin} />}
    </main>
  );
}

function Examples(props: {
  readonly examples: readonly ComparisonDocument[];
  readonly begin: (document: ComparisonDocument) => void;
}) {
  return (
    <section aria-labelledby="examples">
      <h2 id="examples">Or look at an example</h2>
      <p className="caption">A copy is opened and kept; change it as you like.</p>
      <ul className="offers">
        {props.examples.map((document) => (
          <li key={document.title}>
            <button type="button" onClick={() => props.begin(document)}>
              <span className="offer">
                <ProblemText problem={document.problem} />
              </span>
              <span className="caption">{document.title}</span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Keeps a first version and goes to its bench. */
function useBegin(): (document: ComparisonDocument) => void {
  const navigate = useNavigate();
  return (document) => {
    void comparisonsApi.create(document).then((reply) => {
      if (reply.ok) void navigate(`/c/${reply.value.id}`);
      else notify(`A new comparison could not be made. ${reply.detail}`);
    });
  };
}

/** Whether nothing is kept, and the examples that are offered then. */
function useExamples() {
  const [isEmpty, setEmpty] = useState(false);
  const [examples, setExamples] = useState<readonly ComparisonDocument[]>([]);
  useEffect(() => {
    let stale = false;
    void comparisonsApi.list({}, 1, 1).then(async (kept) => {
      if (stale || !kept.ok || kept.value.total > 0) return;
      setEmpty(true);
      const offered = await comparisonsApi.examples();
      if (!stale && offered.ok) setExamples(offered.value);
    });
    return () => {
      stale = true;
    };
  }, []);
  return { isEmpty, examples };
}
