import {
  inNotation,
  leakText,
  OWN_LINES,
  UNFINISHED,
  lawName,
  movesLatex,
  termTextsOf,
  type Agreement,
  type MethodAgreement,
  nameOfMethod,
} from '@levee/core';
import { Tex } from '../../ui/tex.tsx';
import { useNotation } from '../../worked/use-worked.ts';
import { copy } from '../../ui/copy.ts';
import { MathText } from '../../ui/math-text.tsx';
import { useMemo, useState } from 'react';
import { useSeen } from '../../ui/use-seen.ts';
import { moveLines, MOST_TOLD, type MoveLine } from './move-lines.ts';

/** How a method comes from the problem to its value, line by line. */
export function MethodLines(props: {
  readonly method: MethodAgreement;
  readonly certificate: Agreement;
}) {
  const { method, certificate } = props;
  const notation = useNotation();
  const name = method.title ?? nameOfMethod(method.method);
  const lines = useMemo(
    () => moveLines(method, certificate, notation),
    [method, certificate, notation],
  );
  const latex = () =>
    movesLatex(certificate.problem, method.moves, termTextsOf(certificate), notation);
  return (
    <section className="why-method" aria-label={name}>
      <h2>
        {name}
        {method.method === OWN_LINES && ', as terms'}{' '}
        <button type="button" className="link caption" onClick={() => void copy(latex())}>
          copy LaTeX
        </button>
      </h2>
      <ol>
        {lines.map((line, i) => (
          <Line key={i} line={line} law={lawName(line.law, certificate)} />
        ))}
      </ol>
      {method.unfinished && !method.leak && <p className="caption">{UNFINISHED}</p>}
      {method.leak && (
        <p className="caption">
          <MathText text={leakText(method.leak, (text) => inNotation(text, notation))} />
        </p>
      )}
    </section>
  );
}

/** One line with its law; typeset when it comes into view, and a long one in full only when that is asked for. */
function Line({ line, law }: { readonly line: MoveLine; readonly law: string }) {
  const [whole, setWhole] = useState(false);
  const [ref, seen] = useSeen<HTMLLIElement>();
  const isLong = line.size > MOST_TOLD;
  return (
    <li ref={ref}>
      <span className="why-line">
        {seen ? <Tex source={line.tex(whole || !isLong)} /> : <span className="why-unseen" />}
      </span>
      <span className="law">
        {law}
        {isLong && (
          <>
            {' '}
            <button type="button" className="link" onClick={() => setWhole(!whole)}>
              {whole ? 'in short' : `all ${line.size} parts`}
            </button>
          </>
        )}
      </span>
    </li>
  );
}
