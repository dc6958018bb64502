import { amountsOf, displayed, inNotation, isOwnLines, saysOf } from '@levee/core';
import { MathText } from '../../ui/math-text.tsx';
import { isTypeset, ProblemText } from '../../ui/problem-text.tsx';
import { useNotation } from '../../worked/use-worked.ts';
import type { Paper } from '../../worked/work.ts';

/** Someone's own lines as they were typed, each with what is said of it. Nothing for methods. */
export function TypedLines({ paper }: { readonly paper: Paper }) {
  const { method, lane } = paper;
  const notation = useNotation();
  if (!isOwnLines(method)) return null;
  const { paper: judged, asked } = method.judged(lane.trace.problem);
  const write = amountsOf(asked);
  if (judged.lines.length === 0) return null;
  return (
    <section className="why-method" aria-label={`${method.name} as typed`}>
      <h2>{method.name}, as typed</h2>
      <ol>
        {judged.lines.map((line) => (
          <li key={line.n}>
            <span className="why-line figures">
              <TypedLine text={line.text} />
            </span>
            <span className={`law ${line.verdict}`}>
              <MathText text={inNotation(displayed(saysOf(line, write)), notation)} />
            </span>
          </li>
        ))}
      </ol>
    </section>
  );
}

function TypedLine({ text }: { readonly text: string }) {
  const notation = useNotation();
  const body = text.trim().replace(/^=\s*/, '');
  const lead = body === text.trim() ? '' : '= ';
  return (
    <>
      {lead}
      {isTypeset(body) && !body.includes('=') ? (
        <ProblemText problem={body} />
      ) : (
        inNotation(displayed(body), notation)
      )}
    </>
  );
}
