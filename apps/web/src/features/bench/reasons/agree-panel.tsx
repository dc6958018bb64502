import {
  LAW_LABELS,
  commonText,
  differingCuts,
  expressionLine,
  inNotation,
  briefOf,
  displayed,
  isOwnLines,
  leakText,
  UNFINISHED,
  movesLatex,
  sumTex,
  termShape,
  termTextsOf,
  type Agreement,
  type MethodAgreement,
  type Notation,
  type Reasons,
  type SumExpression,
} from '@levee/core';
import type { ReactNode } from 'react';
import { MathText } from '../../../ui/math-text.tsx';
import { Tex } from '../../../ui/tex.tsx';
import { brokenBeforeSigns } from '../../../ui/breaks.ts';
import { copy } from '../../../ui/copy.ts';
import { isPlain } from '../../../certificate/plain-terms.ts';
import { useNotation, useSpeaker, useWorked } from '../../../worked/use-worked.ts';
import type { Paper, Worked } from '../../../worked/work.ts';
import { useCommand } from '../../../commands/scene.tsx';
import { useAgreement } from '../../../certificate/certified.ts';
import type { Certified } from '../../../certificate/certify.ts';
import './reasons.css';

const MOST_TERMS = 16;

/** A work with a slip is certified as far as it goes, and no agreement is claimed for it. */
function statusOf(made: Certified | null): string {
  if (made === null) return 'checking …';
  if (!made.confirmed) return 'the check failed';
  const slipped = made.reasons.common.methods.some(({ leak }) => leak !== undefined);
  if (slipped) return 'checked, up to the slip';
  const unfinished = made.reasons.common.methods.some((method) => method.unfinished);
  return unfinished ? 'checked, as far as they go' : 'checked ✓';
}

/** Why the methods agree, in a line a method. */
export function AgreePanel() {
  const made = useAgreement();
  return (
    <section className="panel agree" aria-label="Why they agree">
      <header className="agree-head">
        <h2>
          Why they agree{' '}
          <span className="caption" role="status">
            {statusOf(made)}
          </span>
        </h2>
        <AgreeActions reasons={made?.reasons ?? null} />
      </header>
      {made && <AgreeLines reasons={made.reasons} />}
    </section>
  );
}

function AgreeActions({ reasons }: { readonly reasons: Reasons | null }) {
  const { papers } = useWorked();
  const why = useCommand('why');
  const notation = useNotation();
  return (
    <span className="chips">
      <button type="button" className="chip" onClick={why.run}>
        law by law
      </button>
      <button
        type="button"
        className="chip"
        disabled={!reasons}
        onClick={() => reasons && void copy(latexOf(reasons, papers, notation))}
      >
        copy LaTeX
      </button>
    </span>
  );
}

function AgreeLines({ reasons }: { readonly reasons: Reasons }) {
  const { papers } = useWorked();
  const notation = useNotation();
  const say = useSpeaker();
  const { common } = reasons;
  return (
    <>
      <dl>
        {reasons.alone.map((own, k) => {
          const method = own.methods[0]!;
          const typed = method.leak || method.unfinished ? null : firstLine(papers[k]!);
          return typed ? (
            <Line
              key={k}
              name={papers[k]!.title}
              text={<MathText text={brokenBeforeSigns(inNotation(typed.text, notation))} />}
              law={typed.law}
            />
          ) : (
            <Line
              key={k}
              name={papers[k]!.title}
              text={ownText(own, notation)}
              law={
                method.leak
                  ? leakText(method.leak, say.pointed.bind(say))
                  : method.unfinished
                    ? UNFINISHED
                    : lastLaw(method)
              }
            />
          );
        })}
      </dl>
      <p className="caption">
        {differingCuts(reasons).length > 0 && (
          <>
            <MathText text={commonText(reasons, (text) => inNotation(text, notation))} />{' '}
          </>
        )}
        {closing(common.terms.length, common)}
      </p>
    </>
  );
}

/** Of someone's own lines, the first that changes the problem: it tells the way from others. */
function firstLine({
  method,
  lane,
}: Paper): { readonly text: string; readonly law: string } | null {
  if (!isOwnLines(method)) return null;
  const { lines } = method.judged(lane.trace.problem).paper;
  const read = lines.filter(({ kind, verdict }) => kind !== 'note' && verdict !== 'unread');
  const first = read.find(({ readings }) => readings.length > 0) ?? read[0];
  return first
    ? {
        text: displayed(first.text.replace(/^\s*=\s*/, '')),
        law: briefOf(first)?.words ?? '',
      }
    : null;
}

/** The last bracketing of a method in its own cut, or how long its reason is. */
function ownText(own: Agreement, notation: Notation): ReactNode {
  const method = own.methods[0]!;
  const texts = termTextsOf(own);
  const count = own.terms.length;
  if (count > MOST_TERMS) return `${count} terms, bracketed in ${method.moves.length} moves`;
  if (isPlain(texts)) {
    const line = bracketing(method, (one) => expressionLine(one, texts, notation));
    return brokenBeforeSigns(line);
  }
  const most = texts.script === 'terms' ? 2 : 3;
  return (
    <Tex source={lastLines(method, most, (expression) => sumTex(expression, texts, notation))} />
  );
}

function closingOfParts(count: number, kind: Agreement['kind']): string {
  const terms = count === 1 ? 'The same one term' : `The same ${count} terms`;
  if (kind === 'product')
    return `${terms}: every part of one number by every part of the other. A part of a part is as small as both denominators together say.`;
  if (kind === 'quotient')
    return `${terms}: how often one amount goes into the other. That stays when both are cut alike, or multiplied alike.`;
  return `${terms}: wholes and parts of the numbers. Cutting every part alike changes no amount, and as many parts as the denominator says are one whole.`;
}

function closingOfTerms(count: number, kind: Agreement['kind']): string {
  const terms = count === 1 ? 'The same one term' : `The same ${count} terms`;
  return termShape(kind) === 'products'
    ? `${terms}: every term of one bracket by every term of the others. Only order and gathering differ, and no power carries into the next.`
    : `${terms} of the brackets, each with its sign. Only order and gathering differ.`;
}

/** What is said of the terms of a kind: that there are none, and how they are the same for all. */
const CLOSINGS: Record<Agreement['kind'], { readonly none: string; readonly same: string }> = {
  product: {
    none: 'A factor is zero, so there is nothing to deal with.',
    same: ', by the distributive law; only brackets and order differ, and ten of a place is one of the next.',
  },
  sum: {
    none: 'Everything is zero, so there is nothing to deal with.',
    same: ': the addends’ places. Only brackets and order differ, and ten of a place is one of the next.',
  },
  difference: {
    none: 'Everything is zero, so there is nothing to deal with.',
    same: ': what is there, and with a minus what is taken. Each place may be worked by itself, and the same added to both changes nothing.',
  },
  quotient: {
    none: 'There is nothing to share.',
    same: ': pieces of the dividend, each shared by the divisor. Only where the cuts are differs.',
  },
  expression: {
    none: 'Everything is zero, so there is nothing to deal with.',
    same: ' of one length: every line is as long as the one before.',
  },
  root: {
    none: 'Everything is zero, so there is nothing to deal with.',
    same: ': pieces of the number. The square of a sum lays them as a square and strips; its primes pair them into squares.',
  },
};

function closing(count: number, { kind, script }: Agreement): string {
  if (script === 'fractions' && kind !== 'expression') return closingOfParts(count, kind);
  if (script === 'terms' && kind !== 'expression') return closingOfTerms(count, kind);
  const { none, same } = CLOSINGS[kind];
  if (count === 0) return none;
  return `${count === 1 ? 'The same one term' : `The same ${count} terms`}${same}`;
}

function Line({
  name,
  text,
  law,
}: {
  readonly name: string;
  readonly text: ReactNode;
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

/** Where amounts are written in other ways, methods are seen to agree by their last lines. */
function lastLines(
  method: MethodAgreement,
  most: number,
  line: (expression: SumExpression) => string,
): string {
  const lines = method.moves.map(({ expression }) => line(expression));
  return lines.slice(-most).join(' = ');
}

function bracketing(method: MethodAgreement, line: (expression: SumExpression) => string): string {
  return method.bracketing ? line(method.bracketing) : '0';
}

/** The law that tells this method from the others, where there is one. */
function lastLaw({ moves }: MethodAgreement): string {
  const told = (['same-change', 'inverse', 'scale-both', 'place-value', 'unnamed'] as const).find(
    (law) => moves.slice(1).some((move) => move.law === law),
  );
  return told ? `by ${LAW_LABELS[told]}` : '';
}

function latexOf({ alone }: Reasons, papers: Worked['papers'], notation: Notation): string {
  return alone
    .map(
      (own, k) =>
        `% ${papers[k]!.method.name}\n${movesLatex(own.problem, own.methods[0]!.moves, termTextsOf(own), notation)}`,
    )
    .join('\n\n');
}
