import { LAWS } from '../account/account.ts';
import type { Agreement } from '../compare/agreement.ts';
import type { Expression, MethodAgreement, Move } from '../compare/expressions.ts';
import { PROBLEM_KINDS } from '../problem/problem.ts';
import { SCRIPTS } from '../problem/script.ts';
import {
  amountIn,
  attempt,
  countIn,
  fieldsOf,
  listIn,
  oneOfIn,
  ReadingFault,
  textIn,
  type Read,
} from './reading.ts';

const VERSIONS = [1, 2, 3];

/**
 * Reads a certificate from anything and trusts nothing; what it claims is for `verifyAgreement` to check. Version 1,
 * without numbers of lines, is read too.
 */
export function decodeAgreement(input: unknown): Read<Agreement> {
  return attempt(() => {
    const fields = fieldsOf(input, 'certificate');
    if (fields['format'] !== 'levee-agreement') {
      throw new ReadingFault('format', 'this is not a certificate of agreement');
    }
    if (!VERSIONS.includes(fields['version'] as number)) {
      throw new ReadingFault('version', `version ${String(fields['version'])} is not known here`);
    }
    return {
      format: 'levee-agreement',
      version: fields['version'] as 2 | 3,
      problem: textIn(fields['problem'], 'problem'),
      kind: oneOfIn(fields['kind'], 'kind', PROBLEM_KINDS),
      script: oneOfIn(fields['script'], 'script', SCRIPTS),
      base: countIn(fields['base'], 'base'),
      operands: listIn(fields['operands'], 'operands', operandIn),
      value: amountIn(fields['value'], 'value'),
      terms: listIn(fields['terms'], 'terms', termIn),
      methods: listIn(fields['methods'], 'methods', methodIn),
    };
  });
}

function operandIn(input: unknown, where: string): Agreement['operands'][number] {
  const fields = fieldsOf(input, where);
  return {
    text: textIn(fields['text'], `${where}.text`),
    worth: amountIn(fields['worth'], `${where}.worth`),
    parts: listIn(fields['parts'], `${where}.parts`, amountIn),
  };
}

function termIn(input: unknown, where: string): Agreement['terms'][number] {
  const fields = fieldsOf(input, where);
  return {
    id: textIn(fields['id'], `${where}.id`),
    text: textIn(fields['text'], `${where}.text`),
    worth: amountIn(fields['worth'], `${where}.worth`),
  };
}

function methodIn(input: unknown, where: string): MethodAgreement {
  const fields = fieldsOf(input, where);
  const { bracketing, brief, leak } = fields;
  const moves = listIn(fields['moves'], `${where}.moves`, moveIn);
  return {
    method: textIn(fields['method'], `${where}.method`),
    moves,
    bracketing: bracketing === null ? null : expressionIn(bracketing, `${where}.bracketing`, 0),
    // Version 1 did not say so: a sum in three lines was one in brief.
    brief:
      brief === true || (brief === undefined && moves.length <= 3 && moves[1]?.law === 'reorder'),
    ...(leak === undefined ? {} : { leak: leakIn(leak, `${where}.leak`) }),
  };
}

function leakIn(input: unknown, where: string): NonNullable<MethodAgreement['leak']> {
  const { step, amount } = fieldsOf(input, where);
  return { step: countIn(step, `${where}.step`), amount: amountIn(amount, `${where}.amount`) };
}

function moveIn(input: unknown, where: string): Move {
  const { law, expression, line, by } = fieldsOf(input, where);
  return {
    law: oneOfIn(law, `${where}.law`, LAWS),
    expression: expressionIn(expression, `${where}.expression`, 0),
    ...(line === undefined ? {} : { line: countIn(line, `${where}.line`) }),
    ...(by === undefined ? {} : { by: amountIn(by, `${where}.by`) }),
  };
}

/** Brackets may stand so deep inside each other; more than any method writes. */
const MOST_DEEP = 60;

function expressionIn(input: unknown, where: string, depth: number): Expression {
  if (depth > MOST_DEEP) throw new ReadingFault(where, 'brackets are nested too deep');
  const fields = fieldsOf(input, where);
  const kind = oneOfIn(fields['kind'], `${where}.kind`, ['product', 'amount', 'sum']);
  const scaled =
    fields['scaled'] === undefined ? {} : { scaled: textIn(fields['scaled'], `${where}.scaled`) };
  switch (kind) {
    case 'product':
      return { kind, term: textIn(fields['term'], `${where}.term`), ...scaled };
    case 'amount':
      return {
        kind,
        worth: amountIn(fields['worth'], `${where}.worth`),
        of: listIn(fields['of'], `${where}.of`, textIn),
        ...scaled,
      };
    case 'sum':
      return {
        kind,
        parts: listIn(fields['parts'], `${where}.parts`, (part, at) =>
          expressionIn(part, at, depth + 1),
        ),
      };
  }
}
