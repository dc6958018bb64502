import {
  failureText,
  numeral,
  numeralValue,
  readProblem,
  refusalText,
  registry,
  resolveSchool,
  schoolFailureText,
  type Exact,
  type Method,
  type Problem,
  type School,
  currentSlip,
  isWrongCopy,
  readAddress,
  readWhere,
  WRONG_FACT,
  type SlipRequest,
} from '@levee/core';
import { UsageError } from './usage-error.ts';

export function problemArgument(text: string): Problem {
  const read = readProblem(text);
  if (!read.ok) throw new UsageError(failureText(read.reason));
  return read.problem;
}

/** The method with this id, when it accepts the problem. */
export function methodArgument(id: string, problem: Problem): Method {
  const method = registry.find(id);
  if (!method) {
    const known = registry.methods.map((candidate) => candidate.id).join(', ');
    throw new UsageError(`There is no method "${id}"; the methods are: ${known}.`);
  }
  const acceptance = method.accepts(problem);
  if (!acceptance.ok) throw new UsageError(`${method.id}: ${refusalText(acceptance.reason)}`);
  return method;
}

/** `carries=above` pairs, each for a school of the method. */
export function schoolArgument(method: Method, pairs: readonly string[]): School {
  const entries = pairs.map((pair) => {
    const match = /^([a-z-]+)=([a-z-]+)$/.exec(pair);
    if (!match) throw new UsageError(`"${pair}" is not a school; write it as school=option.`);
    return [match[1]!, match[2]!] as const;
  });
  const resolved = resolveSchool(method, Object.fromEntries(entries));
  if (!resolved.ok) throw new UsageError(schoolFailureText(resolved.reason));
  return resolved.school;
}

/**
 * `forget-carry@line-1.1`: the slip where that is dealt with; `forget-carry@2`: the second chance at it; without
 * either, the first.
 */
export function slipArgument(method: Method, text: string): SlipRequest {
  const fact = readAddress(text);
  if (fact?.slip === WRONG_FACT) return fact;
  const [named = '', chance = '1', ...rest] = text.split('@');
  const slip = currentSlip(named);
  const at = readWhere(chance);
  if (rest.length > 0 || (!at && !/^[1-9]\d{0,5}$/.test(chance))) {
    throw new UsageError(
      `"${text}" is not a slip; write it as slip@occurrence, such as ${method.slips[0]?.id}@1, or with the address that the trace gives.`,
    );
  }
  if (!method.slips.some((known) => known.id === slip)) {
    if (isWrongCopy(slip)) {
      throw new UsageError(
        `"${slip}" is made before the work: another computation is set down, and worked as it should be. Trace that one; levee diagnose says which it is.`,
      );
    }
    const known = method.slips.map((candidate) => candidate.id).join(', ');
    throw new UsageError(`There is no slip "${slip}" in ${method.id}; its slips are: ${known}.`);
  }
  return at ? { slip, at } : { slip, occurrence: Number(chance) };
}

export function oneOf<T extends string>(value: string, known: readonly T[], what: string): T {
  const found = known.find((candidate) => candidate === value);
  if (found === undefined) {
    throw new UsageError(`There is no ${what} "${value}"; choose one of: ${known.join(', ')}.`);
  }
  return found;
}

/** Her own hops, `3,10,-5`, when the method takes them and every one can be made. */
export function hopsArgument(
  method: Method,
  problem: Problem,
  school: School,
  text: string | undefined,
): readonly Exact[] | null {
  if (text === undefined) return null;
  const { ownHops } = method;
  if (!ownHops) throw new UsageError(`${method.id} takes no hops of your own; leave out --hops.`);
  const hops = text.split(',').map((hop) => {
    const [, minus, figures] = /^\s*[+]?(-?)(\d{1,60}(?:\.\d{1,60})?)\s*$/.exec(hop) ?? [];
    if (figures === undefined) {
      throw new UsageError(`"${hop.trim()}" is not a ${ownHops.name}; write them as 3,10,-5.`);
    }
    const by = numeralValue(numeral(figures));
    return minus === '-' ? by.negate() : by;
  });
  if (hops.length > ownHops.most) {
    throw new UsageError(
      `${method.id} takes up to ${ownHops.most} of your own, not ${hops.length}.`,
    );
  }
  for (const verdict of ownHops.judge(problem, hops, school)) {
    if (!verdict.ok) throw new UsageError(verdict.fault);
  }
  return hops;
}
