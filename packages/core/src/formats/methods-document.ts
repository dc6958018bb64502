import { refusalText, type Method } from '../methods/method.ts';
import type { Problem } from '../problem/problem.ts';
import { slipIdea } from '../slips/catalogue.ts';
import type { MethodsDocument } from './methods-shape.ts';

/** Methods with their names, schools and slips; with a problem, which accept it and why the others do not. */
export function methodsDocument(
  methods: readonly Method[],
  problem: Problem | null,
): MethodsDocument {
  return {
    format: 'levee-methods',
    version: 1,
    methods: methods.map((method) => ({ ...described(method), ...acceptance(method, problem) })),
  };
}

function described(method: Method) {
  const { id, family, name, alsoCalled, summary, why, medium, direction, freeOrder } = method;
  const { schools, slips, ownHops } = method;
  return {
    ...{ id, family, name, alsoCalled, summary, why, medium, direction, freeOrder },
    schools: schools.map((school) => ({
      id: school.id,
      label: school.label,
      options: school.options.map((option) => ({
        id: option.id,
        label: option.label,
        reason: option.reason,
      })),
    })),
    slips: slips.map(describedSlip),
    ownHops: ownHops ? { name: ownHops.name, hint: ownHops.hint, most: ownHops.most } : null,
  };
}

/** A slip as this method makes it, with what its idea is like in all methods. */
function describedSlip({ id, label, mechanism }: Method['slips'][number]) {
  const { written, effect, often, feature = null } = slipIdea(id);
  return { id, label, mechanism, written, effect, often, feature };
}

function acceptance(method: Method, problem: Problem | null) {
  if (!problem) return {};
  const accepted = method.accepts(problem);
  return accepted.ok
    ? { accepted: true }
    : { accepted: false, reason: { ...accepted.reason, text: refusalText(accepted.reason) } };
}
