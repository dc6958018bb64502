import type { School } from '../account/account.ts';
import { addressText } from '../account/chance.ts';
import type { LightRun } from '../account/light-run.ts';
import { registry } from '../methods/index.ts';
import { schoolsOf, type Method } from '../methods/method.ts';
import type { Problem } from '../problem/problem.ts';
import type { Budget } from './budget.ts';

/** One way in which a problem can be worked, so far as it makes a difference to what slips give. */
export interface WayOfWorking {
  readonly method: Method;
  readonly school: School;
  readonly clean: LightRun;
  /** What each slip gives that is made once, by its address; as many as the budget had room for. */
  readonly singles: ReadonlyMap<string, LightRun>;
}

/** What one run of a problem costs: its steps, what is asked and used in them, all of it more with long numbers. */
export function costOf({ operands }: Problem, { steps, opportunities, facts }: LightRun): number {
  const figures = operands.reduce((sum, { digits }) => sum + digits.length, 0);
  return Math.ceil((10 + 3 * steps + opportunities.length + facts.length) * (1 + figures / 60));
}

/** The methods that take a problem. */
export function methodsFor(problem: Problem, ids?: readonly string[]): readonly Method[] {
  return registry.methods.filter(
    (method) => (ids?.includes(method.id) ?? true) && method.accepts(problem).ok,
  );
}

/**
 * The schools of a method that can change what slips give on a problem. A school is tried by itself: when every slip made
 * once gives what it gives in the default school, the school only changes how the paper looks, and is worked once.
 */
export function waysOf(method: Method, problem: Problem, budget: Budget): readonly WayOfWorking[] {
  const first = wayBy(method, problem, method.defaultSchool, budget);
  let schools: readonly School[] = [method.defaultSchool];
  for (const { id, options } of schoolsOf(method, problem)) {
    const others = options
      .map((option) => option.id)
      .filter((option) => option !== method.defaultSchool[id])
      .filter((option) => {
        if (!budget.goesOn()) return false;
        const way = wayBy(method, problem, { ...method.defaultSchool, [id]: option }, budget);
        return signature(way) !== signature(first);
      });
    schools = [
      ...schools,
      ...others.flatMap((option) => schools.map((s) => ({ ...s, [id]: option }))),
    ];
  }
  const more = schools
    .slice(1)
    .filter(() => budget.goesOn())
    .map((school) => wayBy(method, problem, school, budget));
  const ways = [first, ...more];
  const seen = new Set<string>();
  return ways.filter((way) => {
    const own = signature(way);
    return !seen.has(own) && seen.add(own);
  });
}

function wayBy(method: Method, problem: Problem, school: School, budget: Budget): WayOfWorking {
  const clean = method.light(problem, { school });
  const cost = costOf(problem, clean);
  budget.spend(cost);
  const singles = budget.each(
    clean.opportunities,
    cost,
    ({ slip, at }) =>
      [
        addressText({ slip, at }),
        method.light(problem, { school, slips: [{ slip, at }] }),
      ] as const,
  );
  return { method, school, clean, singles: new Map(singles) };
}

const SIGNATURES = new WeakMap<WayOfWorking, string>();

/** All that slips can give by a way, as one text. */
function signature(way: WayOfWorking): string {
  const known = SIGNATURES.get(way);
  if (known !== undefined) return known;
  const slips = [...way.singles].map(([address, { answer }]) => `${address} ${answer.toString()}`);
  const facts = way.clean.facts.map((chance) => `${addressText(chance)} ${chance.fact.due}`);
  const features = way.clean.opportunities.map((chance) => chance.features.join());
  const own = [...slips, ...facts, ...features].join('|');
  SIGNATURES.set(way, own);
  return own;
}
