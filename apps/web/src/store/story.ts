import { numeralText, scriptOf, type Problem } from '@levee/core';
import { withProblem, problemOf } from './content.ts';
import type { Content } from './desk.ts';

/**
 * A computation typed in place of the one before. The numbers in the story follow when it is of the same
 * kind; the story and the unit of another kind of computation go, since they would say what is not so.
 */
export function withTyped(content: Content, problem: Problem): Content {
  const before = problemOf(content);
  const next = withProblem(content, problem);
  return isAlike(before, problem)
    ? { ...next, story: retold(content.story, before, problem), units: unitsFor(content, problem) }
    : { ...next, story: '', unit: '', units: [], counted: false };
}

/** The units of the numbers, where there are as many numbers as before. */
function unitsFor({ units }: Content, { operands }: Problem): readonly string[] {
  return units.length === operands.length ? units : [];
}

function isAlike(before: Problem, after: Problem): boolean {
  const lettered = [before, after].filter((problem) => scriptOf(problem) === 'terms').length;
  return before.kind === after.kind && lettered !== 1;
}

/** A story with every number that was an operand replaced by the operand in its place, with its own point or comma. */
export function retold(story: string, before: Problem, after: Problem): string {
  if (before.operands.length !== after.operands.length) return story;
  const left = before.operands.map((operand, k) => ({
    text: numeralText(operand),
    now: numeralText(after.operands[k]!),
  }));
  return story.replace(anyOf(left.map(({ text }) => text)), (found) => {
    const text = found.replace(',', '.');
    const pair = left.find((one) => one.text === text);
    if (!pair) return found;
    left.splice(left.indexOf(pair), 1);
    return found.includes(',') ? pair.now.replace('.', ',') : pair.now;
  });
}

/** Finds these numbers where they stand alone: no part of another number, word or fraction. */
function anyOf(numbers: readonly string[]): RegExp {
  const longestFirst = [...numbers].sort((one, other) => other.length - one.length);
  const any = longestFirst.map((text) => text.replace('.', '[.,]').replace(/[()^+*]/g, '\\$&'));
  return new RegExp(
    `(?<![\\p{L}\\p{N}.,/]|\\d )(?:${any.join('|')})(?![\\p{L}\\p{N}/]|[.,]\\d)`,
    'gu',
  );
}
