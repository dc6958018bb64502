import { isOwnLines, unjudgedLinesMethod, type Choice } from '@levee/core';

/**
 * Lays papers out; where that fails, papers of own lines that fail by themselves stand with their lines and nothing said of
 * them, so that one paper never takes the others with it. Any other failure is thrown.
 */
export function soundly<T>(choices: readonly Choice[], lay: (choices: readonly Choice[]) => T): T {
  try {
    return lay(choices);
  } catch {
    return lay(choices.map((choice) => soundChoice(choice, lay)));
  }
}

function soundChoice(choice: Choice, lay: (choices: readonly Choice[]) => unknown): Choice {
  const { method } = choice;
  if (!isOwnLines(method)) return choice;
  try {
    lay([choice]);
    return choice;
  } catch (failure) {
    return { ...choice, method: unjudgedLinesMethod(method.own, (failure as Error).message) };
  }
}
