import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { mkdtempSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import {
  DOCUMENTS,
  LAW_TABLE,
  readExpression,
  registry,
  schemaFile,
  verifyAgreement,
} from '@levee/core';
import { Ajv2020, type ValidateFunction } from 'ajv/dist/2020.js';
import { runCommandLine } from './program.ts';

const ROOT = fileURLToPath(new URL('../../../', import.meta.url));
const SCHEMAS = fileURLToPath(new URL('../../../docs/schemas/', import.meta.url));

const validators = new Map<string, ValidateFunction>(
  readdirSync(SCHEMAS).map((file) => {
    const schema = JSON.parse(readFileSync(`${SCHEMAS}${file}`, 'utf8')) as object;
    const ajv = new Ajv2020({ allErrors: true, allowUnionTypes: true });
    return [file.replace('.schema.json', ''), ajv.compile(schema)];
  }),
);

/** Runs a command that must succeed, and checks its JSON against the schema of its format. */
function json<T = Record<string, unknown>>(...args: string[]): T {
  const { exitCode, output, error } = runCommandLine(args);
  expect([exitCode, error]).toEqual([0, '']);
  const document = JSON.parse(output) as { format: string };
  const validate = validators.get(document.format)!;
  validate(document);
  expect(validate.errors ?? []).toEqual([]);
  return document as T;
}

describe('levee methods', () => {
  it('lists every method with its schools', () => {
    const { methods } = json<{ methods: { id: string; schools: { id: string }[] }[] }>('methods');
    expect(methods.map(({ id }) => id)).toEqual(registry.methods.map(({ id }) => id));
    const column = methods.find(({ id }) => id === 'column-multiplication')!;
    expect(column.schools.map(({ id }) => id)).toEqual(['carries', 'shift', 'zero-rows', 'on-top']);
  });

  it('says which accept a problem, and why the others do not', () => {
    type Answer = {
      methods: { id: string; accepted: boolean; reason?: { code: string; text: string } }[];
    };
    const kinds = [
      '46 + 58',
      '642 - 387',
      '46 * 58',
      '952 ÷ 7',
      '3/4 + 1/6',
      '1 3/4 + 1/6',
      '3/4 × 1/6',
      '3/4 ÷ 1/6',
      '(x+4)(3x-2)',
      '3x+2x',
      'sqrt(72)',
    ];
    const families = kinds.map((problem) =>
      json<Answer>('methods', '--problem', problem, '--format', 'json').methods.flatMap(
        ({ id, accepted }) => (accepted ? [id] : []),
      ),
    );
    expect(families.map((ids) => ids.length)).toEqual([7, 6, 6, 3, 2, 2, 2, 2, 3, 2, 2]);
    expect(new Set(families.flat()).size).toBe(registry.methods.length);
    const three = json<Answer>('methods', '--problem', '2 + 3 + 4');
    expect(three.methods.find(({ id }) => id === 'compensation-addition')).toMatchObject({
      accepted: false,
      reason: { code: 'two-operands-only', operands: 3 },
    });
  });
});

describe('levee trace', () => {
  type Trace = {
    answer: string;
    answerText: string;
    balanced: boolean;
    school: Record<string, string>;
    problem: { text: string; value: string };
    steps: {
      balance: string;
      takes: string[];
      gives: string[];
      strikes: string[];
      digitVoice: string;
      valueVoice: string;
    }[];
    entries: { id: string; terms: string[] }[];
  };

  const samples: Record<string, readonly [source: string, text: string, value: string]> = {
    multiplication: ['46 * 58', '46 × 58', '2668'],
    addition: ['386+58', '386 + 58', '444'],
    subtraction: ['642 - 387', '642 − 387', '255'],
    division: ['952 / 7', '952 ÷ 7', '136'],
    fractions: ['1 1/3+4/6', '1 1/3 + 4/6', '2'],
    'fraction-products': ['1 1/2 * 2/9', '1 1/2 × 2/9', '1/3'],
    shared: ['3/4 / 1 1/2', '3/4 ÷ 1 1/2', '1/2'],
    polynomials: ['(x+4)(3x-2)', '(x + 4)(3x − 2)', '3x^2+10x-8'],
    like: ['(x^3+5x^2)-(2x^2-7x)', '(x^3 + 5x^2) − (2x^2 − 7x)', 'x^3+3x^2+7x'],
    roots: ['sqrt(7396)', '√7396', '86'],
  };
  const pointed: typeof samples = {
    multiplication: ['3.6 * 20.5', '3.6 × 20.5', '73.8'],
    addition: ['3.06+1.8', '3.06 + 1.8', '4.86'],
    subtraction: ['5.2 - 1.84', '5.2 − 1.84', '3.36'],
    division: ['31.5 : 0.7', '31.5 ÷ 0.7', '45'],
    fractions: ['5 1/6 - 2 5/6', '5 1/6 − 2 5/6', '2 1/3'],
    roots: ['sqrt(20.25)', '√20.25', '4.5'],
  };

  /** Which sample a method is tried on: its family's, or one of its own. */
  const sampleOf = (id: string, family: string) => {
    if (id.startsWith('like')) return 'like';
    return /reciprocal|common-denominator/.test(id) ? 'shared' : family;
  };

  it.each(registry.methods.map(({ id, family }) => [id, family]))('writes %s', (id, family) => {
    if (/cross|least/.test(id)) return;
    const [source, text, value] = samples[sampleOf(id, family)]!;
    const trace = json<Trace>('trace', source, '--method', id, '--format', 'json');
    expect(trace).toMatchObject({
      answer: value,
      balanced: true,
      problem: { text, value },
    });
    expect(trace.answerText.replaceAll(/(?<=\S) ([-+]) /g, '$1')).toBe(value);
    // The account of a root holds the number under the sign.
    const held = family === 'roots' ? '7396' : value;
    expect(trace.steps.every(({ balance }) => balance === held)).toBe(true);
    const known = new Set(trace.entries.map((entry) => entry.id));
    for (const { takes, gives, strikes } of trace.steps) {
      for (const named of [...takes, ...gives, ...strikes]) expect(known.has(named)).toBe(true);
    }
    expect(trace.steps[0]!.digitVoice).not.toBe(trace.steps[0]!.valueVoice);
    if (!pointed[family] || id === 'prime-pairs') return;
    const [decimals, told, wanted] = pointed[family];
    const scaled = json<Trace>('trace', decimals, '--method', id);
    expect(scaled).toMatchObject({ answerText: wanted, balanced: true, problem: { text: told } });
  });

  it('writes remainders, figures that repeat and stages', () => {
    const answer = (text: string, method: string, ...more: string[]) => {
      const trace = json<Trace>('trace', text, '--method', method, ...more);
      expect(trace.balanced).toBe(true);
      return [trace.answer, trace.answerText];
    };
    expect(answer('955 ÷ 7', 'long-division')).toEqual(['955/7', '136 r 3']);
    const decimals = ['--school', 'stop=decimals'];
    expect(answer('6 ÷ 7', 'short-division', ...decimals)).toEqual(['6/7', '0.(857142)']);
    expect(answer('2 × 3.5 × 4', 'lattice')).toEqual(['28', '28']);
    expect(answer('3/4 + 1/6', 'cross-products')).toEqual(['11/12', '11/12']);
    expect(answer('1/2 + 1/3 + 3/4', 'least-common-denominator')).toEqual(['19/12', '1 7/12']);
    expect(answer('952 ÷ 7', 'partial-quotients', '--hops', '100,30')).toEqual(['136', '136']);
    expect(answer('95.2 ÷ 7', 'partial-quotients', '--hops', '10,3.5')[1]).toBe('13.6');
    expect(answer('√72', 'prime-pairs')).toEqual(['6√2', '6√2']);
    expect(answer('√15', 'prime-pairs')).toEqual(['√15', '√15']);
    expect(answer('√72', 'digit-pairs')).toEqual(['212/25', '8.48 r 0.0896']);
    const untidy = ['--school', 'tidy=at-the-end', '--school', 'start=the-last-two'];
    expect(answer('(x-2)(x+5)(x-4)', 'expand-grid', ...untidy)[0]).toBe('x^3-x^2-22x+40');
  });

  it('takes schools, slips and an order', () => {
    const school = 'second-factor=left';
    const trace = json<Trace>('trace', '46*58', '--method', 'lattice', '--school', school);
    expect(trace.school['second-factor']).toBe('left');
    const slipped = json<Trace>(
      'trace',
      '46*58',
      '--method',
      'column-multiplication',
      '--slip',
      'omit-placeholder',
    );
    expect(slipped).toMatchObject({ answer: '598', balanced: false });
    const ordered = json<Trace>('trace', '46*58', '--method', 'lattice', '--order', '1.1,0.0');
    expect(ordered.answer).toBe('2668');
  });

  it('takes hops of one’s own and judges them', () => {
    const own = ['trace', '642 - 387', '--method', 'counting-up', '--hops', '13,300,-50'];
    const trace = json<Trace>(...own);
    expect(trace).toMatchObject({ answer: '255', balanced: true });
    expect(trace.steps.map(({ digitVoice }) => digitVoice)[2]).toMatch(/700 − 50 = 650/);
    const negative = json<Trace>('trace', '387 - 642', '--method', 'partial-differences');
    expect(negative).toMatchObject({ answer: '-255', answerText: '-255' });
  });

  it('keeps worths in base ten and the answer in the base of the problem', () => {
    const trace = json<Trace>('trace', '1011_2 × 110_2', '--method', 'lattice');
    expect(trace).toMatchObject({ answer: '66', answerText: '1000010' });
  });

  it('writes Markdown, SVG and text', () => {
    const output = (format: string) =>
      runCommandLine(['trace', '46*58', '--method', 'lattice', '--format', format]).output;
    expect(output('markdown')).toMatch(/^# Lattice: 46 × 58 = 2668\n/);
    expect(output('svg')).toMatch(/^<svg xmlns[\s\S]*<\/svg>\n$/);
    expect(output('text')).toContain('+------+------+');
  });

  it('works 70 figures by 70, and refuses more in one line', () => {
    const long = '7'.repeat(70);
    const args = [
      'trace',
      `${long} * ${long}`,
      '--method',
      'column-multiplication',
      '--format',
      'text',
    ];
    const lines = runCommandLine(args).output.trim().split('\n');
    const answer = lines.at(-1)!.replaceAll(' ', '');
    expect(BigInt(answer)).toBe(BigInt(long) ** 2n);
    const more = runCommandLine(['trace', `${long}77 * ${long}`, '--method', 'lattice']);
    expect(more).toMatchObject({
      exitCode: 2,
      output: '',
      error: expect.stringMatching(/5000 are worked/),
    });
    const many = ['compare', `${long} * ${long}`, '--methods', 'lattice,crosswise'];
    expect(runCommandLine(many).error).toMatch(/1200 are compared/);
  });
});

describe('levee compare', () => {
  it('writes a report whose certificate holds on its own', () => {
    const report = json<{ agree: boolean; stops: number[][]; agreement: never }>(
      'compare',
      '406 * 37',
      '--methods',
      'column-multiplication,lattice,grid-multiplication',
      '--school',
      'grid-multiplication:totals=columns',
    );
    expect(report.agree).toBe(true);
    expect(report.stops[0]).toEqual([0, 0, 0]);
    expect(verifyAgreement(report.agreement)).toEqual({ ok: true });
    const validate = validators.get('levee-agreement')!;
    expect(validate(report.agreement)).toBe(true);
  });

  it('writes Markdown and LaTeX', () => {
    const output = (format: string) =>
      runCommandLine(['compare', '46*58', '--methods', 'lattice', '--format', format]).output;
    expect(output('markdown')).toContain('| = | 8 + (40 + 20) + (300 + 300) + 2000 |');
    expect(output('latex')).toContain('\\begin{aligned}');
  });
});

describe('levee verify and levee audit', () => {
  const folder = mkdtempSync(join(tmpdir(), 'levee-cli-'));
  afterAll(() => rmSync(folder, { recursive: true, force: true }));
  const kept = (text: string) => {
    const file = join(folder, `${Math.random()}.json`);
    writeFileSync(file, text);
    return file;
  };
  const certificate = () => {
    const report = runCommandLine([
      'compare',
      '642 - 387',
      '--methods',
      'compensation-subtraction,decomposition',
    ]);
    return JSON.stringify((JSON.parse(report.output) as { agreement: object }).agreement);
  };

  it('confirm what the other commands write, and earlier certificates', () => {
    const verified = runCommandLine(['verify', kept(certificate())]);
    expect(verified).toMatchObject({
      exitCode: 0,
      output: expect.stringMatching(/^confirmed: 2 methods/),
    });
    const early = JSON.parse(certificate()) as { version: number; methods: { moves: object[] }[] };
    early.version = 1;
    for (const { moves } of early.methods)
      for (const move of moves) Object.assign(move, { line: undefined, by: undefined });
    expect(runCommandLine(['verify', kept(JSON.stringify(early))]).exitCode).toBe(0);
    for (const [problem, method] of [
      ['642 - 387', 'decomposition'],
      ['3/4 + 1/6', 'cross-products'],
      ['31.5 ÷ 0.7', 'long-division'],
      ['(x+4)(3x-2)', 'expand-arcs'],
      ['√7396', 'digit-pairs'],
    ]) {
      const trace = runCommandLine(['trace', problem!, '--method', method!]).output;
      expect([problem, runCommandLine(['audit', kept(trace)])]).toMatchObject([
        problem,
        { exitCode: 0 },
      ]);
    }
  });

  it.each<[string, (text: string) => string, RegExp]>([
    [
      'a law renamed',
      (text) => text.replace('"law":"evaluate"', '"law":"sign"'),
      /line \d+: the line does not follow by sign/,
    ],
    [
      'lists of nonsense',
      (text) => text.replace(/"of":\[[^\]]*\]/g, '"of":["nonsense"]'),
      /there is no term nonsense/,
    ],
    [
      'another same change',
      (text) => text.replace('"655"', '"9999"').replace('"-400"', '"-9744"'),
      /the change is not 13/,
    ],
    ['no certificate', () => '{}', /not a certificate/],
    ['a later version', (text) => text.replace('"version":2', '"version":7'), /version 7/],
  ])('refuse %s with the first fault in one line', (_, falsify, fault) => {
    const text = certificate();
    expect(falsify(text)).not.toBe(text);
    const { exitCode, output, error } = runCommandLine(['verify', kept(falsify(text))]);
    expect([exitCode, output]).toEqual([1, '']);
    expect(error).toMatch(/^levee: [^\n]+$/);
    expect(error).toMatch(fault);
  });

  it('name the step at which a trace goes wrong', () => {
    const args = ['trace', '46 * 58', '--method', 'column-multiplication'];
    const audited = (text: string) => runCommandLine(['audit', kept(text)]);
    const slipped = runCommandLine([...args, '--slip', 'omit-placeholder@1']).output;
    expect(audited(slipped)).toMatchObject({
      exitCode: 1,
      error: expect.stringMatching(/step 3: the balance is 2398/),
    });
    const clean = runCommandLine(args).output;
    const renamed = clean.replace('"law":"evaluate"', '"law":"like-terms"');
    expect(audited(renamed).error).toMatch(/step 1: it is no instance of like-terms/);
    const stray = clean.replace(/("id":"m1".*?"terms":\[)[^\]]*/, '$1"7.7"');
    expect(audited(stray).error).toMatch(/m1 names a term 7.7 that is not there/);
    expect(runCommandLine(['audit', join(folder, 'none')])).toMatchObject({ exitCode: 2 });
  });
});

describe('mistakes', () => {
  it.each([
    [['trace', '46 x', '--method', 'lattice'], /number is missing after “x” at character 4/],
    [['trace', '', '--method', 'lattice'], /Type a computation/],
    [['trace', '46**58', '--method', 'lattice'], /follows another sign/],
    [['trace', '--', '--method', 'lattice'], /required option '--method/],
    [['trace', '-3 × 4', '--method', 'lattice'], /negative number/],
    [['trace', '46*58'], /--method/],
    [['trace', '46*58', '--method', 'magic'], /no method "magic"; the methods are: column/],
    [['trace', '2+3+4', '--method', 'compensation-addition'], /two numbers at a time/],
    [['trace', '2 ÷ 0', '--method', 'short-division'], /has no answer/],
    [['trace', '952 ÷ 7', '--method', 'partial-quotients', '--hops', '137'], /only 952 is left/],
    [['trace', '952 ÷ 7', '--method', 'partial-quotients', '--hops', '30.5'], /finer/],
    [['trace', '46*58', '--method', 'lattice', '--school', 'x'], /write it as school=option/],
    [['trace', '46*58', '--method', 'lattice', '--school', 'fill=x'], /no option "x"/],
    [['trace', '46*58', '--method', 'lattice', '--slip', 'swap-cell@x'], /not a slip/],
    [['trace', '46*58', '--method', 'lattice', '--slip', 'magic'], /no slip "magic"/],
    [['trace', '46*58', '--method', 'lattice', '--slip', 'swap-cell@99'], /no number 99/],
    [['trace', '46*58', '--method', 'lattice', '--order', '9.9'], /no term "9.9"/],
    [['trace', '46*58', '--method', 'column-multiplication', '--order', '1.1'], /not free/],
    [['trace', '46*58', '--method', 'lattice', '--format', 'pdf'], /no format "pdf"/],
    [['trace', '46*58', '--method', 'lattice', '--hops', '3'], /takes no hops/],
    [['trace', '642-387', '--method', 'counting-up', '--hops', 'x'], /not a hop/],
    [['trace', '642-387', '--method', 'counting-up', '--hops', '255,3'], /is reached/],
    [['trace', '46+58', '--method', 'compensation-addition', '--hops', '2,2'], /up to 1 of your/],
    [['trace', '387-642', '--method', 'decomposition'], /larger one is taken away/],
    [['compare', '46*58', '--methods', 'lattice,magic'], /no method "magic"/],
    [['compare', '46*58', '--methods', 'lattice', '--school', 'grid:a=b'], /no compared method/],
    [['methods', '--problem', 'hello there'], /is a word/],
    [['dance'], /dance/],
  ])('%j gives one line and exit code 2', (args, sentence) => {
    const { exitCode, output, error } = runCommandLine(args);
    expect(exitCode).toBe(2);
    expect(output).toBe('');
    expect(error).toMatch(/^levee: [^\n]+$/);
    expect(error).toMatch(sentence);
  });
});

/** The rows of the table of costs: the measure, its sentence, and its values on two problems. */
function costRows(page: string): readonly (readonly string[])[] {
  const table = page.slice(page.indexOf('## Costs'));
  return [...table.slice(0, table.indexOf('\n## ', 5)).matchAll(/^\| `(\w+)` +\|(.*)\|$/gm)].map(
    ([, name, rest]) => [name!, ...rest!.split('|').map((cell) => cell.trim())],
  );
}

describe('docs/formats.md', () => {
  const page = readFileSync(new URL('../../../docs/formats.md', import.meta.url), 'utf8');

  it.each([
    ['46 × 58', 'column-multiplication', 2],
    ['642 − 387', 'decomposition', 3],
  ])('tells every cost of %s by %s', (problem, method, column) => {
    const made = JSON.parse(runCommandLine(['trace', problem, '--method', method]).output) as {
      cost: Record<string, unknown>;
    };
    const told = costRows(page).map((row) => [row[0], row[column]]);
    const counted = Object.entries(made.cost).map(([name, value]) => [
      name,
      Array.isArray(value) ? value.join(', ') : String(value),
    ]);
    expect(new Map(told as [string, string][])).toEqual(new Map(counted as [string, string][]));
    for (const [, sentence] of costRows(page)) expect(sentence!.length).toBeGreaterThan(20);
  });

  it('shows commands that run', () => {
    const lines = [...page.matchAll(/^npm run -s levee -- ([^|>\n]+)$/gm)]
      .map(([, line]) => line!)
      .filter((line) => !line.startsWith('verify'));
    expect(lines.length).toBeGreaterThan(4);
    const folder = mkdtempSync(join(tmpdir(), 'levee-'));
    const files = { 'answers.txt': '255\n345\n', 'sheet.csv': 'T07,642 − 387,345\n' };
    for (const [name, text] of Object.entries(files)) writeFileSync(join(folder, name), text);
    for (const shown of lines) {
      const line = shown.replace(/answers\.txt|sheet\.csv/, (name) => join(folder, name));
      const args = [...line.matchAll(/"([^"]*)"|(\S+)/g)].map(
        ([, quoted, bare]) => quoted ?? bare!,
      );
      expect([line, runCommandLine(args).error]).toEqual([line, '']);
    }
  });

  it('shows problem texts that can be read', () => {
    const costs = costRows(page).map(([name]) => name);
    const examples = [...page.matchAll(/^\| `([^`]+)` \|/gm)]
      .map(([, text]) => text!)
      .filter((text) => !text.startsWith('levee-') && !costs.includes(text));
    expect(examples.length).toBeGreaterThan(10);
    for (const text of examples) expect([text, readExpression(text).ok]).toEqual([text, true]);
  });

  it('has every law with its moves', () => {
    for (const { law, statement, moves } of LAW_TABLE.values()) {
      expect(page).toContain(`| ${law}`);
      expect(page).toContain(statement);
      for (const { id } of moves) expect(page).toContain(id);
    }
  });

  it('has the schema of every document as its one description gives it', () => {
    expect(DOCUMENTS.map((document) => schemaFile(document).name).sort()).toEqual(
      [...validators.keys()].map((format) => `${format}.schema.json`).sort(),
    );
    for (const document of DOCUMENTS) {
      const { name, text } = schemaFile(document);
      const kept: unknown = JSON.parse(readFileSync(`${SCHEMAS}${name}`, 'utf8'));
      expect(kept).toEqual(JSON.parse(text));
    }
  });

  it('names every schema', () => {
    for (const format of validators.keys()) expect(page).toContain(`schemas/${format}.schema.json`);
  });
});

describe('what is typed before and behind', () => {
  it('tells the version of the packages', () => {
    const { version } = JSON.parse(readFileSync(`${ROOT}package.json`, 'utf8')) as {
      version: string;
    };
    expect(runCommandLine(['--version'])).toEqual({
      exitCode: 0,
      output: `${version}\n`,
      error: '',
    });
  });

  it.each([
    [['lines', '-5 + 3', '--line', '= -2']],
    [['lines', '--line', '= -2', '--', '-5 + 3']],
    [['lines', '--line=-5 + 1 + 2', '−5 + 3']],
  ])('reads a problem that begins with a minus: %j', (args) => {
    const made = JSON.parse(runCommandLine(args).output) as { problem: { text: string } };
    expect(made.problem.text).toBe('−5 + 3');
  });

  it('gives what it puts out piece by piece', () => {
    const pieces: string[] = [];
    const file = join(mkdtempSync(join(tmpdir(), 'levee-cli-')), 'answers.txt');
    writeFileSync(file, '\uFEFF2668\r\n2378\r\n');
    const made = runCommandLine(['diagnose', '46 * 58', '--answers', file], (piece) =>
      pieces.push(piece),
    );
    expect([made, pieces.length]).toEqual([{ exitCode: 0, output: '', error: '' }, 2]);
    expect(JSON.parse(pieces[0]!)).toMatchObject({ answer: '2668', right: true });
  });

  it('bounds lists of answers, and reads all before it looks for anything', () => {
    const folder = mkdtempSync(join(tmpdir(), 'levee-cli-'));
    const file = join(folder, 'answers.txt');
    writeFileSync(file, '1\n'.repeat(1001));
    const many = runCommandLine(['diagnose', '46 * 58', '--answers', file]);
    expect(many).toMatchObject({ exitCode: 2, output: '' });
    expect(many.error).toMatch(/1001 answers; up to 1000/);
    writeFileSync(file, '2668\nabc\n');
    const bad = runCommandLine(['diagnose', '46 * 58', '--answers', file]);
    expect(bad).toMatchObject({ exitCode: 2, output: '' });
    expect(bad.error).toMatch(/^levee: Line 2: /);
  });
});
