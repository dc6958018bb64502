import { Random } from '../exact/random.ts';
import { agreement } from '../compare/certificate/agreement.ts';
import { CERTIFICATE_UNCHECKED_FIELDS } from '../compare/certificate/certificate-claims.ts';
import { compare } from '../compare/compare.ts';
import { verifyAgreement } from '../compare/certificate/verify-agreement.ts';
import { audit } from '../laws/audit.ts';
import { registry } from '../methods/index.ts';
import { readAsked } from '../own/read/asked.ts';
import { ownLinesMethod } from '../own/paper/method.ts';
import { workOf } from '../own/paper/own-work.ts';
import { judgeLines } from '../own/judge/judge-lines.ts';
import { everyFieldChanged, type Changed } from '../testing/every-field.ts';
import { Dice } from '../testing/rewritings.ts';
import { problemFrom } from '../testing/work.ts';
import { decodeAgreement } from './agreement-document.ts';
import { comparisonReport } from './comparison-report.ts';
import { linesDocument } from './lines-document.ts';
import { decodeReport, REPORT_UNCHECKED_FIELDS, verifyReport } from './report-claims.ts';
import { auditDocument } from './trace-audit.ts';
import { TRACE_UNCHECKED_FIELDS } from './trace-claims.ts';
import { traceDocument } from './trace-document.ts';
import type { TraceDocument } from './trace-shape.ts';

const PROBLEMS = [
  '46 × 58',
  '3.6 × 20.5',
  '12 × 25 × 8',
  '1011_2 × 110_2',
  '642 − 387',
  '5.3 − 2.78',
  '386 + 478',
  '7 + 9 + 4 + 8 + 6',
  '11_2 + 11_2 + 11_2 + 11_2 + 11_2',
  '952 ÷ 7',
  '31.5 ÷ 0.7',
  '1 ÷ 7',
  '955 ÷ 7',
  '3/4 + 1/6',
  '5 1/6 − 2 5/6',
  '(x+4)(3x−2)',
  '(x−2)(x+5)(x−4)',
  '(x^3+5x^2)−(2x^2−7x)',
  '√7396',
  '√2',
  '√72',
];

const OWN: readonly (readonly [problem: string, ...lines: string[]])[] = [
  ['46 × 58', '= 46 × 60 − 46 × 2', '= 2760 − 92', '= 2668'],
  ['46 × 58', '= 46 × (58 + 11 − 11)', '= 2668'],
  ['14 ÷ (−2)', '= −7'],
  ['4/1', '= 8/2', '= 4'],
  ['642 − 387', '387 +13→ 400 +242→ 642', '= 255'],
  ['3/4 + 1/6', '= 9/12 + 2/12', '= 11/12'],
];

const json = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;

function isUnchecked({ field }: Changed, fields: readonly string[]): boolean {
  return fields.some(
    (own) => field === own || field.startsWith(`${own}.`) || field.startsWith(`${own}[`),
  );
}

/** Lists that tell less when an entry is gone; a law that the table of laws takes is a law of that step. */
const TRUE_STILL: ReadonlySet<string> = new Set(['groups', 'entries', 'steps[].law']);

/** Roles of marks that note something at the side. */
const NOTES: ReadonlySet<string | null> = new Set([
  'side number',
  'trial',
  'words',
  'halved',
  'doubled',
  'stop',
  'prime',
  'ladder number',
]);

/** Whether a change leaves true what is told, or concerns what is said not to be checked, in words of its entry. */
function isTrueStill(changed: Changed, document: TraceDocument): boolean {
  const { field, from, to, path } = changed;
  const byId = new Map(document.entries.map((entry) => [entry.id, entry]));
  const worthOf = (id: unknown) => byId.get(id as string)?.worth;
  if (field.startsWith('entries[].')) return isEntryTrue(changed, document);
  if (field === 'steps[].takes[]') return worthOf(from) === '0' && worthOf(to) === '0';
  if (field === 'groups[].marks[]') {
    const [one, other] = [from, to].map((id) => byId.get(id as string));
    const isAlike = one?.worth === '0' || String(one?.terms) === String(other?.terms);
    return one?.worth === other?.worth && isAlike;
  }
  // The answer may name terms that have come to nothing, or not.
  if (field.startsWith('groups[].terms'))
    return document.groups[path[1] as number]!.role === 'answer';
  if (field !== 'groups[].marks' && field !== 'steps[].takes') return false;
  const gone = (from as string[]).filter((id) => !(to as string[]).includes(id));
  return gone.every((id) => worthOf(id) === '0');
}

function isEntryTrue({ field, from, to, path }: Changed, document: TraceDocument): boolean {
  const entry = document.entries[path[1] as number]!;
  const isNothing = entry.worth === '0';
  switch (field) {
    case 'entries[].glyph': {
      const isZeros = [from, to].every((text) => /^0+$/.test(String(text)));
      // A sign that stands before what counts against is worth just that.
      const isOwnSign = to === `-${String(from)}` && entry.worth.startsWith('-');
      return NOTES.has(entry.role) || isOwnSign || (isNothing && isZeros);
    }
    case 'entries[].place':
      return isNothing || NOTES.has(entry.role) || entry.glyph === '•' || entry.role === 'scratch';
    case 'entries[].terms':
    case 'entries[].terms[]': {
      const step = document.steps.find(({ gives }) => gives.includes(entry.id));
      const others = document.entries.filter(
        ({ id }) => id !== entry.id && step?.gives.includes(id),
      );
      // What a figure of nothing held that was taken may be named or not.
      const taken = document.entries.filter(
        ({ id, worth }) => worth === '0' && step?.takes.includes(id),
      );
      const held = new Set([...others, ...taken].flatMap(({ terms }) => terms));
      const touched = [from, to]
        .flat()
        .filter((term) => ![from, to].every((list) => [list].flat().includes(term)));
      return isNothing || touched.every((term) => held.has(String(term)));
    }
    default:
      return false;
  }
}

interface Tally {
  tried: number;
  confirmed: string[];
}

describe('every single field of a document that is changed', () => {
  const traces: Tally = { tried: 0, confirmed: [] };

  function tried(name: string, document: TraceDocument, k: number): void {
    expect([name, auditDocument(document)]).toEqual([name, null]);
    for (const changed of everyFieldChanged(document, new Dice(new Random(k)))) {
      if (isUnchecked(changed, TRACE_UNCHECKED_FIELDS) || TRUE_STILL.has(changed.field)) continue;
      traces.tried += 1;
      if (auditDocument(changed.document) !== null || isTrueStill(changed, document)) continue;
      const { field, from, to } = changed;
      traces.confirmed.push(`${name}: ${field} ${JSON.stringify(from)} → ${JSON.stringify(to)}`);
    }
  }

  it.each(PROBLEMS)('makes the trace of %s fail its audit', (text) => {
    const problem = problemFrom(text);
    for (const [k, method] of registry.methods.entries()) {
      if (!method.accepts(problem).ok) continue;
      traces.confirmed = [];
      tried(`${method.id} ${text}`, json(traceDocument(method, method.trace(problem))), k);
      expect(traces.confirmed).toEqual([]);
    }
  });

  it.each(OWN)('makes the own lines of %s fail their audit', (text, ...lines) => {
    const read = readAsked(text);
    if (!read.ok) throw new Error(read.reason);
    const { trace } = linesDocument(judgeLines(read.asked, lines));
    traces.confirmed = [];
    tried(text, json(trace!), 1);
    expect(traces.confirmed).toEqual([]);
  });

  it.each(PROBLEMS)('makes the certificate of %s fail', (text) => {
    const problem = problemFrom(text);
    const methods = registry.methods.filter((method) => method.accepts(problem).ok);
    const certificate = json(
      agreement(
        compare(
          problem,
          methods.map((method) => ({ method })),
        ),
      ),
    );
    expect(verifyAgreement(certificate)).toEqual({ ok: true });
    const confirmed = everyFieldChanged(certificate, new Dice(new Random(3))).flatMap((changed) => {
      const isLess =
        changed.field === 'methods' || (changed.field === 'version' && changed.to === 3);
      if (isLess || isUnchecked(changed, CERTIFICATE_UNCHECKED_FIELDS)) return [];
      const read = decodeAgreement(changed.document);
      if (!read.ok || !verifyAgreement(read.value).ok) return [];
      const { field, from, to } = changed;
      if (field === 'methods[].moves[].by' && to === `-${String(from)}`) return [];
      return [
        `${field} ${JSON.stringify(from)?.slice(0, 90)} → ${JSON.stringify(to)?.slice(0, 90)}`,
      ];
    });
    expect(confirmed).toEqual([]);
  });
});

describe('the report of a comparison', () => {
  it.each(PROBLEMS)('of %s fails with any field of it changed', (text) => {
    const problem = problemFrom(text);
    const methods = registry.methods.filter((method) => method.accepts(problem).ok);
    const choices = methods.map((method) => ({ method }));
    const report = json(comparisonReport(compare(problem, choices)));
    expect(verifyReport(report)).toEqual({ ok: true });
    const confirmed = everyFieldChanged(report, new Dice(new Random(5))).flatMap((changed) => {
      // Its certificate is held by itself.
      if (changed.field.startsWith('agreement')) return [];
      // What is told of fewer is true of them.
      if (changed.field.startsWith('sameAmounts') && Array.isArray(changed.from)) return [];
      if (isUnchecked(changed, REPORT_UNCHECKED_FIELDS)) return [];
      const read = decodeReport(changed.document);
      return read.ok && verifyReport(read.value).ok
        ? [`${changed.field} ${JSON.stringify(changed.from)} → ${JSON.stringify(changed.to)}`]
        : [];
    });
    expect(confirmed).toEqual([]);
  });

  it('fails with its certificate', () => {
    const report = json(
      comparisonReport(compare(problemFrom('46 × 58'), [{ method: registry.get('lattice') }])),
    );
    const [first, ...more] = report.agreement.methods;
    const moves = first!.moves.map((move, k) => (k === 1 ? { ...move, law: 'sign' } : move));
    const changed = {
      ...report,
      agreement: { ...report.agreement, methods: [{ ...first, moves }, ...more] },
    };
    const read = decodeReport(changed);
    expect(read.ok && verifyReport(read.value).ok).toBe(false);
  });

  it('tells a slipped work as one that is not balanced and does not agree', () => {
    const slips = [{ slip: 'forget-carry', occurrence: 1 }];
    const report = json(
      comparisonReport(
        compare(problemFrom('46 × 58'), [
          { method: registry.get('column-multiplication'), slips },
          { method: registry.get('lattice') },
        ]),
      ),
    );
    expect(report.agree).toBe(false);
    expect(verifyReport(report)).toEqual({ ok: true });
    expect(verifyReport({ ...report, agree: true }).ok).toBe(false);
  });
});

describe('a method that is false', () => {
  const lattice = registry.get('lattice');
  const problem = problemFrom('46 × 58');
  const trace = lattice.trace(problem);

  it('fails its own audit by a false law', () => {
    const steps = trace.steps.map((step, k) =>
      k === 0 ? { ...step, law: 'sign' as const } : step,
    );
    expect(audit({ ...trace, steps })[0]?.fault).toMatch(/no instance of sign/);
    const told = json(traceDocument(lattice, { ...trace, steps }));
    expect(auditDocument(told)?.fault).toMatch(/no instance of sign/);
  });

  it('fails its own audit by a false figure', () => {
    const steps = trace.steps.map((step, k) =>
      k === 1
        ? { ...step, gives: step.gives.map((mark) => ({ ...mark, glyph: '9', text: '9' })) }
        : step,
    );
    expect(audit({ ...trace, steps })[0]?.fault).toMatch(/“9” is written for what is worth/);
    const told = json(traceDocument(lattice, { ...trace, steps }));
    expect(auditDocument(told)?.fault).toMatch(/“9” is written for what is worth/);
  });
});

it('own lines are compared with their account as it is told', () => {
  const method = ownLinesMethod(workOf(['= 46 × 60 − 46 × 2', '= 2760 − 92']));
  expect(audit(method.trace(problemFrom('46 × 58')))).toEqual([]);
});
