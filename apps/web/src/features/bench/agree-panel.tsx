import {
  agreement,
  expressionLine,
  LAW_LABELS,
  movesLatex,
  termTextsOf,
  verifyAgreement,
  type Agreement,
  type MethodAgreement,
  type Notation,
  type SumExpression,
} from '@levee/core';
import { useMemo } from 'react';
import { notify } from '../../ui/notices.tsx';
import { useNotation, useWorked } from '../../worked/use-worked.ts';
import type { Worked } from '../../worked/work.ts';
import { useCommand } from './scene.tsx';

/** The certificate of the open comparison and whether it was confirmed by the independent check. */
export function useAgreement(): { certificate: Agreement; confirmed: boolean } {
  const { comparison } = useWorked();
  return useMemo(() => {
    const certificate = agreement(comparison);
    return { certificate, confirmed: verifyAgreement(certificate).ok };
  }, [comparison]);
}

const MOST_TERMS = 16;

/** Why the methods agree, in a line a method. */
export function AgreePanel() {
  const { papers } = useWorked();
  const { certificate, confirmed } = useAgreement();
  const why = useCommand('why');
  const notation = useNotation();
  const texts = termTextsOf(certificate);
  const count = certificate.terms.length;
  return (
    <section className="panel agree" aria-label="Why they agree">
      <header className="agree-head">
        <h2>
          Why they agree{' '}
          <span className="caption">{confirmed ? 'checked ✓' : 'the check failed'}</span>
        </h2>
        <span className="chips">
          <button type="button" className="chip" onClick={why.run}>
            law by law
          </button>
          <button
            type="button"
            className="chip"
            onClick={() => void copy(latexOf(certificate, papers, notation))}
          >
            copy LaTeX
          </button>
        </span>
      </header>
      <dl>
        {certificate.methods.map((method, k) => (
          <Line
            key={k}
            name={papers[k]!.method.shortName}
            text={
              count > MOST_TERMS
                ? `${count} terms, bracketed in ${method.moves.length} moves`
                : texts.fractions
                  ? renamed(method, (expression) => expressionLine(expression, texts, notation))
                  : bracketing(method, (expression) => expressionLine(expression, texts, notation))
            }
            law={lastLaw(method)}
          />
        ))}
      </dl>
      <p className="caption">
        {texts.fractions ? closingOfParts(count) : closing(count, certificate.kind)}
      </p>
    </section>
  );
}

function closingOfParts(count: number): string {
  const terms = count === 1 ? 'The same one term' : `The same ${count} terms`;
  return `${terms}: wholes and parts of the numbers. Cutting every part alike changes no amount, and as many parts as the denominator says are one whole.`;
}

function closing(count: number, kind: Agreement['kind']): string {
  if (count === 0) {
    return kind === 'product'
      ? 'A factor is zero, so there is nothing to deal with.'
      : kind === 'quotient'
        ? 'There is nothing to share.'
        : 'Everything is zero, so there is nothing to deal with.';
  }
  const terms = count === 1 ? 'The same one term' : `The same ${count} terms`;
  switch (kind) {
    case 'product':
      return `${terms}, by the distributive law; only brackets and order differ, and ten of a place is one of the next.`;
    case 'sum':
      return `${terms}: the addends’ places. Only brackets and order differ, and ten of a place is one of the next.`;
    case 'difference':
      return `${terms}: what is there, and with a minus what is taken. Each place may be worked by itself, and the same added to both changes nothing.`;
    case 'quotient':
      return `${terms}: pieces of the dividend, each shared by the divisor. Only where the cuts are differs.`;
  }
}

function Line({
  name,
  text,
  law,
}: {
  readonly name: string;
  readonly text: string;
  readonly law: string;
}) {
  return (
    <>
      <dt className="caption">{name}</dt>
      <dd className="figures">
        {text} <span className="caption">{law}</span>
      </dd>
    </>
  );
}

/** Fractions are seen to agree by what they are renamed to, and what that makes. */
function renamed(method: MethodAgreement, line: (expression: SumExpression) => string): string {
  const lines = method.moves.map(({ expression }) => line(expression));
  return lines.slice(-3).join(' = ');
}

function bracketing(method: MethodAgreement, line: (expression: SumExpression) => string): string {
  return method.bracketing ? line(method.bracketing) : '0';
}

/** The law that tells this method from the others, where there is one. */
function lastLaw({ moves }: MethodAgreement): string {
  const told = (['same-change', 'inverse', 'scale-both', 'place-value'] as const).find((law) =>
    moves.slice(1).some((move) => move.law === law),
  );
  return told ? `by ${LAW_LABELS[told]}` : '';
}

export function latexOf(
  certificate: Agreement,
  papers: Worked['papers'],
  notation: Notation,
): string {
  return certificate.methods
    .map(
      ({ moves }, k) =>
        `% ${papers[k]!.method.name}\n${movesLatex(certificate.problem, moves, termTextsOf(certificate), notation)}`,
    )
    .join('\n\n');
}

/** Puts a text on the clipboard and says so. */
export async function copy(text: string): Promise<void> {
  try {
    await navigator.clipboard.writeText(text);
    notify('Copied.');
  } catch {
    notify('The clipboard is not open to this page; use Export in the menu instead.');
  }
}
