import {
  notationOf,
  sumTex,
  texText,
  type Agreement,
  type Law,
  type MethodAgreement,
} from '@levee/core';

export interface MoveLine {
  readonly tex: string;
  readonly law: Law;
}

/** The moves of a method as typeset lines; the first begins with the problem itself. */
export function moveLines(
  { moves }: MethodAgreement,
  certificate: Agreement,
  times: '×' | '·',
): readonly MoveLine[] {
  const notation = notationOf(certificate);
  const problem = texText(certificate.problem, times);
  return moves.map(({ expression, law }, i) => ({
    tex: `${i === 0 ? problem : ''} = ${sumTex(expression, notation, times)}`,
    law,
  }));
}
