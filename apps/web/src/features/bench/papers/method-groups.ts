import {
  OWN_LINES,
  OWN_LINES_NAME,
  refusalText,
  registry,
  type Method,
  type Problem,
  type ProblemKind,
} from '@levee/core';
import type { MenuEntry } from '../../../ui/menu-entry.ts';

/** What can be chosen; what is done when it is, where that is not what is done for all. */
export type Option = Omit<MenuEntry, 'run' | 'selected'> & Partial<Pick<MenuEntry, 'run'>>;

/** Anyone's own way takes every problem. */
const OWN_OPTION: Option = {
  id: OWN_LINES,
  label: OWN_LINES_NAME,
  note: 'Anyone’s own way of working, typed line by line and judged by law.',
};

const HEADINGS: Readonly<Record<Method['medium'], string>> = {
  'on paper': 'On paper',
  either: 'On paper or in the head',
  'in the head': 'In the head',
};

const KINDS: Readonly<Record<ProblemKind, string>> = {
  sum: 'such a sum',
  difference: 'such a difference',
  product: 'such a product',
  quotient: 'such a quotient',
  root: 'such a root',
  expression: 'such a computation',
};

/**
 * What can be laid for a problem: own lines, then the methods that work it, by where they are worked; those that do not are one line
 * at the end, which opens and says why of each.
 */
export function methodGroups(
  problem: Problem,
  withOthers: boolean,
  showOthers: () => void,
): readonly (readonly Option[])[] {
  const isAccepted = (method: Method) => method.accepts(problem).ok;
  const offered = registry.methods.filter(isAccepted);
  const others = registry.methods.filter((method) => !isAccepted(method));
  const byMedium = (['on paper', 'either', 'in the head'] as const).map((medium) =>
    offered
      .filter((method) => method.medium === medium)
      .map((method, k): Option => ({
        id: method.id,
        label: method.name,
        note: method.summary,
        ...(k === 0 ? { heading: HEADINGS[medium] } : {}),
      })),
  );
  const line: Option = {
    id: 'others',
    label: `${others.length} others do not work ${KINDS[problem.kind]}: why?`,
    stays: true,
    run: showOthers,
  };
  const last = withOthers ? others.map((method) => refused(method, problem)) : [line];
  return [[OWN_OPTION], ...byMedium, others.length > 0 ? last : []];
}

function refused(method: Method, problem: Problem): Option {
  const accepted = method.accepts(problem);
  const note = accepted.ok ? method.summary : refusalText(accepted.reason);
  return { id: method.id, label: method.name, note, disabled: true };
}
