import {
  termTextsOf,
  squaredTex,
  sumTex,
  texText,
  type Agreement,
  type Law,
  type MethodAgreement,
  type Notation,
} from '@levee/core';

export interface MoveLine {
  readonly tex: string;
  readonly law: Law;
}

/** The moves of a method as typeset lines; the first begins with the problem itself. */
export function moveLines(
  { moves }: MethodAgreement,
  certificate: Agreement,
  notation: Notation,
): readonly MoveLine[] {
  const texts = termTextsOf(certificate);
  const asked = texText(certificate.problem, notation);
  const problem = certificate.kind === 'root' ? squaredTex(asked) : asked;
  return moves.map(({ expression, law }, i) => ({
    tex: `${i === 0 ? problem : ''} = ${sumTex(expression, texts, notation)}`,
    law,
  }));
}
