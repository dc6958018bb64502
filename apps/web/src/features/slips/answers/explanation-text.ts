import {
  readAddress,
  registry,
  SLIP_IDEAS,
  type Explanation,
  type Speaker,
  type Trace,
} from '@levee/core';
import { whereWords } from '../../../worked/where-words.ts';

/** What a slip is called, by the idea that explains it. */
export function ideaLabel(id: string): string {
  return SLIP_IDEAS.find((idea) => idea.id === id)?.label ?? id;
}

/** An explanation in one line: the slips, where, as a habit or once. */
export function explanationText(
  { slips, habit, copied }: Explanation,
  trace: Trace,
  say: Speaker,
): string {
  const names = [...new Set(slips.map(({ idea }) => idea))].map((idea) => {
    const own = slips.filter((slip) => slip.idea === idea);
    const [first] = own;
    const fact = first?.fact ? `: ${say.pointed(first.fact)} as ${first.wrote}` : '';
    if (habit) return `${ideaLabel(idea)}${fact}, every time`;
    const at = first && readAddress(first.at);
    const where = at && !fact && !copied ? ` (${whereWords(at, trace, say)})` : '';
    return `${ideaLabel(idea)}${fact}${where}`;
  });
  const instead = copied ? `: ${say.pointed(copied)}` : '';
  return `${names.join(', and ')}${instead}`;
}

/** By which methods it can have happened: `column, grid`; empty for what is no matter of a method. */
export function methodsText({ methods, slips }: Explanation): string {
  if (
    methods.length === 0 ||
    slips.some(({ at }) => at.includes('@operand-') && !at.startsWith('add-heading'))
  )
    return '';
  return methods.map(({ method }) => registry.get(method).shortName.toLowerCase()).join(', ');
}

/** How much such a search explains anyway. */
export function evidenceText({ evidence, slips, habit }: Explanation): string {
  const isPair = !habit && new Set(slips.map(({ idea }) => idea)).size > 1;
  const kind = isPair ? 'Two slips' : 'One slip';
  if (evidence.near === null)
    return `${kind} can give ${evidence.reaches} different wrong answers here.`;
  const percent = evidence.near * 100;
  const share =
    percent === 0
      ? 'none'
      : percent < 1
        ? 'fewer than 1 in 100'
        : `about ${Math.round(percent)} in 100`;
  return `${kind} would explain ${share} of wrong answers of this size anyway.`;
}
