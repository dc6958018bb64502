import {
  reasonsLatex,
  reasonsMarkdown,
  reasonsOf,
  compare,
  comparingFailure,
  comparisonReport,
  failureText,
  hasOpportunity,
  PLAIN_NOTATION,
  methodsDocument,
  registry,
  sheetSvg,
  sheetText,
  traceDocument,
  traceMarkdown,
  whereText,
  type SlipRequest,
  type Trace,
  nameOfMethod,
} from '@levee/core';
import {
  hopsArgument,
  methodArgument,
  oneOf,
  problemArgument,
  schoolArgument,
  slipArgument,
} from './arguments.ts';
import { UsageError } from './usage-error.ts';

export interface MethodsOptions {
  readonly problem?: string;
  readonly format: string;
}

/** Every method with its names and schools; with a problem, whether it accepts it. */
export function methodsCommand({ problem: text, format }: MethodsOptions): string {
  oneOf(format, ['json'], 'format');
  const problem = text === undefined ? null : problemArgument(text);
  return json(methodsDocument(registry.methods, problem));
}

export interface TraceCommandOptions {
  readonly method: string;
  readonly school: readonly string[];
  readonly slip: readonly string[];
  readonly order?: string;
  readonly hops?: string;
  readonly format: string;
}

/** One method's work on a problem. */
export function traceCommand(text: string, options: TraceCommandOptions): string {
  const format = oneOf(options.format, ['json', 'markdown', 'svg', 'text'], 'format');
  const problem = problemArgument(text);
  const method = methodArgument(options.method, problem);
  const school = schoolArgument(method, options.school);
  const slips = options.slip.map((slip) => slipArgument(method, slip));
  const order = orderArgument(options.order);
  if (order && !method.freeOrder) {
    throw new UsageError(`The order of ${method.id} is not free; leave out --order.`);
  }
  const hops = hopsArgument(method, problem, school, options.hops);
  const request = { school, ...(order ? { order } : {}), ...(hops ? { hops } : {}) };
  const clean = method.trace(problem, request);
  const absent = order?.find((id) => !clean.start.some((entry) => entry.id === `o${id}`));
  if (absent !== undefined) throw new UsageError(`There is no term "${absent}" to order here.`);
  const uncounted = slips.find((slip) => !slip.at && !hasOpportunity(clean, slip));
  if (uncounted) throw new UsageError(noChance(clean, uncounted));
  const trace = slips.length > 0 ? method.trace(problem, { ...request, slips }) : clean;
  const missing = slips.find((slip) => slip.at && !hasOpportunity(trace, slip));
  if (missing) throw new UsageError(noChance(trace, missing));
  switch (format) {
    case 'json':
      return json(traceDocument(method, trace));
    case 'markdown':
      return traceMarkdown(method, trace);
    case 'svg':
      return sheetSvg(method.sheet(trace), trace, { title: `${method.name}, ${text}` });
    case 'text':
      return `${sheetText(method.sheet(trace), trace)}\n`;
  }
}

function noChance({ opportunities, facts }: Trace, wished: SlipRequest): string {
  const chances = [...opportunities, ...facts].filter(({ slip }) => slip === wished.slip);
  const has = `This work has ${chances.length} ${chances.length === 1 ? 'chance' : 'chances'} for ${wished.slip}`;
  if (!wished.at) return `${has}; there is no number ${wished.occurrence}.`;
  const named = chances.slice(0, 8).map(({ at }) => whereText(at));
  const list = named.length === 0 ? '' : `: ${named.join(', ')}${chances.length > 8 ? ' …' : ''}`;
  return `${has}, none at ${whereText(wished.at)}${list}.`;
}

function orderArgument(order: string | undefined): readonly string[] | null {
  return order === undefined ? null : order.split(',').map((id) => id.trim());
}

export interface CompareOptions {
  readonly methods: string;
  readonly school: readonly string[];
  readonly slip?: readonly string[];
  readonly format: string;
}

/** Several methods on one problem: same amounts, alignment, agreement and cost. */
export function compareCommand(text: string, options: CompareOptions): string {
  const format = oneOf(options.format, ['json', 'markdown', 'latex'], 'format');
  const problem = problemArgument(text);
  const excess = comparingFailure(problem);
  if (excess) throw new UsageError(failureText(excess));
  const ids = options.methods.split(',').map((id) => id.trim());
  const choices = ids.map((id) => {
    const method = methodArgument(id, problem);
    const own = options.school.filter((pair) => pair.startsWith(`${id}:`));
    const slips = (options.slip ?? [])
      .filter((text) => text.startsWith(`${id}:`))
      .map((text) => slipArgument(method, text.slice(id.length + 1)));
    return {
      method,
      ...(slips.length > 0 ? { slips } : {}),
      school: schoolArgument(
        method,
        own.map((pair) => pair.slice(id.length + 1)),
      ),
    };
  });
  const stray = options.school.find((pair) => !ids.includes(pair.split(':')[0] ?? ''));
  if (stray !== undefined) {
    throw new UsageError(`"${stray}" names no compared method; write it as method:school=option.`);
  }
  const strange = options.slip?.find((text) => !ids.includes(text.split(':')[0] ?? ''));
  if (strange !== undefined) {
    throw new UsageError(`"${strange}" names no compared method; write it as method:slip@where.`);
  }
  const comparison = compare(problem, choices);
  for (const [k, { trace }] of comparison.lanes.entries()) {
    const { method, school, slips = [] } = choices[k]!;
    for (const slip of slips) {
      const asked = slip.at ? trace : method.trace(problem, { school });
      if (!hasOpportunity(asked, slip)) throw new UsageError(noChance(asked, slip));
    }
  }
  if (format === 'json') return json(comparisonReport(comparison));
  const names = { method: nameOfMethod, notation: PLAIN_NOTATION };
  const reasons = reasonsOf(comparison);
  return format === 'latex' ? reasonsLatex(reasons, names) : reasonsMarkdown(reasons, names);
}

function json(document: unknown): string {
  return `${JSON.stringify(document)}\n`;
}
