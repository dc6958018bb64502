import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { DOCUMENTS, FALSE_RULES, schemaFile, type OwnLinesDocument } from '@levee/core';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { runCommandLine } from './program.ts';

const EXAMPLES = fileURLToPath(new URL('../../../docs/examples/', import.meta.url));

const folder = mkdtempSync(join(tmpdir(), 'levee-lines-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

function file(name: string, text: string): string {
  const path = join(folder, name);
  writeFileSync(path, text);
  return path;
}

const schema = DOCUMENTS.find(({ format }) => format === 'levee-lines')!;
const validate = new Ajv2020({ allErrors: true, allowUnionTypes: true }).compile(
  JSON.parse(schemaFile(schema).text) as object,
);

function documents(...args: readonly string[]): readonly OwnLinesDocument[] {
  const { exitCode, output, error } = runCommandLine(['lines', ...args]);
  expect([exitCode, error]).toEqual([0, '']);
  return output
    .trim()
    .split('\n')
    .map((line) => {
      const document = JSON.parse(line) as OwnLinesDocument;
      validate(document);
      expect(validate.errors ?? []).toEqual([]);
      return document;
    });
}

interface Example {
  readonly problem: string;
  readonly lines: readonly string[];
  readonly complete: boolean;
  readonly right: boolean;
  readonly expect: readonly {
    readonly verdict: string;
    readonly law: string | null;
    readonly off: string | null;
    readonly falseRule?: string;
  }[];
}

function examples<T>(name: string): readonly T[] {
  return readFileSync(`${EXAMPLES}${name}`, 'utf8')
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line) as T);
}

describe('the worked examples', () => {
  const all = examples<Example>('lines.jsonl');

  it('are two hundred lines of every verdict', () => {
    const verdicts = new Set(all.flatMap((one) => one.expect.map(({ verdict }) => verdict)));
    expect([...verdicts].sort()).toEqual(
      ['equal', 'lawful', 'leap', 'note', 'run-on', 'side', 'unequal', 'unread'].sort(),
    );
    expect(all.flatMap(({ lines }) => lines).length).toBeGreaterThanOrEqual(200);
  });

  it('are judged as they say, in one batch', () => {
    const batch = all.map(({ problem, lines }) => JSON.stringify({ problem, lines })).join('\n');
    const made = documents('--batch', file('batch.jsonl', batch));
    const told = made.map(({ problem, complete, right, lines }) => ({
      problem: problem.text,
      complete,
      right,
      lines: lines.map(({ verdict, law, off, falseRule }) => [verdict, law, off, falseRule]),
    }));
    const due = all.map((one, k) => ({
      problem: made[k]!.problem.text,
      complete: one.complete,
      right: one.right,
      lines: one.expect.map(({ verdict, law, off, falseRule }) => [
        verdict,
        law,
        off,
        falseRule ?? null,
      ]),
    }));
    expect(told).toEqual(due);
  });

  it('are answers, too, whose first explanation is as they say', () => {
    interface Given {
      readonly problem: string;
      readonly answer: string;
      readonly right: boolean;
      readonly off: string;
      readonly first: readonly string[] | null;
    }
    for (const { problem, answer, right, off, first } of examples<Given>('answers.jsonl')) {
      const { output } = runCommandLine(['diagnose', problem, '--answer', answer]);
      const made = JSON.parse(output) as {
        right: boolean;
        off: string;
        explanations: readonly { slips: readonly { at: string }[] }[];
      };
      const told = made.explanations[0]?.slips.map(({ at }) => at) ?? null;
      expect([problem, answer, made.right, made.off, told]).toEqual([
        problem,
        answer,
        right,
        off,
        first,
      ]);
    }
  });
});

describe('levee ways', () => {
  const ways = new Ajv2020({ allErrors: true, allowUnionTypes: true }).compile(
    JSON.parse(schemaFile(DOCUMENTS.find(({ format }) => format === 'levee-ways')!).text) as object,
  );

  interface Told {
    readonly ways: readonly {
      readonly kind: string;
      readonly cost: number;
      readonly lines: readonly { readonly text: string }[];
    }[];
  }

  it.each([
    '46 × 58',
    '642 − 387',
    '38 + 27',
    '952 ÷ 7',
    '5 1/6 − 2 5/6',
    '(x+4)(3x−2)',
    '4.98 + 3.45',
  ])('of %s are lawful, complete and right, different in kind, cheapest first', (problem) => {
    const { exitCode, output } = runCommandLine(['ways', problem]);
    expect(exitCode).toBe(0);
    const made = JSON.parse(output) as Told;
    ways(made);
    expect(ways.errors ?? []).toEqual([]);
    expect(made.ways.length).toBeGreaterThanOrEqual(2);
    expect(new Set(made.ways.map(({ kind }) => kind)).size).toBe(made.ways.length);
    const costs = made.ways.map(({ cost }) => cost);
    expect(costs).toEqual([...costs].sort((a, b) => a - b));
    for (const { lines } of made.ways) {
      const [judged] = documents(problem, ...lines.map(({ text }) => `--line=${text}`));
      expect(judged).toMatchObject({ complete: true, right: true });
      expect(judged!.lines.map(({ verdict }) => verdict)).toEqual(lines.map(() => 'lawful'));
    }
  });

  it('are none where the numbers invite none, and refused where nothing is to be worked', () => {
    expect((JSON.parse(runCommandLine(['ways', '√7396']).output) as Told).ways).toEqual([]);
    expect(runCommandLine(['ways', '46']).exitCode).toBe(2);
  });
});

describe('levee way', () => {
  const validWay = new Ajv2020({ allErrors: true, allowUnionTypes: true }).compile(
    JSON.parse(schemaFile(DOCUMENTS.find(({ format }) => format === 'levee-way')!).text) as object,
  );
  const LINES = ['= 46 × 60 − 46 × 2', '= 2760 − 92', '= 2668'].map((text) => `--line=${text}`);

  it('gives letters to numbers, and lays the lines on others', () => {
    const { output, exitCode } = runCommandLine(['way', '46 × 58', ...LINES, '--name', 'round']);
    expect(exitCode).toBe(0);
    const way = JSON.parse(output) as object;
    validWay(way);
    expect(validWay.errors ?? []).toEqual([]);
    expect(way).toMatchObject({
      name: 'round',
      asked: 'a × b',
      lines: ['= a × c − a × d', '= e − f', '= g'],
      holds: ['c > b'],
    });
    const path = file('way.json', output);
    const laid = runCommandLine(['way', '--way', path, '--on', '34 * 27', '--on', '17 * 48']);
    const documents = laid.output.trim().split('\n');
    const told = documents.map((line) => JSON.parse(line) as OwnLinesDocument);
    expect(told.map(({ right, complete }) => [right, complete])).toEqual([
      [true, true],
      [true, true],
    ]);
    expect(told[1]!.lines.map(({ text }) => text)).toEqual([
      '= 17 × 50 − 17 × 2',
      '= 850 − 34',
      '= 816',
    ]);
  });

  it('says which condition fails, and exits with 1', () => {
    const { exitCode, error, output } = runCommandLine([
      'way',
      '46 × 58',
      ...LINES,
      '--on=34 × 30',
    ]);
    expect([exitCode, output]).toEqual([1, '']);
    expect(error).toContain('c is more than b, which is 30; here c is 30');
  });

  it.each([
    [{ rules: { c: 'd + 1', d: 'c − 1' } }, 'rules.c: this comes from letters'],
    [{ rules: { a: '60' } }, 'rules.a: this letter is given'],
    [{ rules: { c: 'up-to-dozen(b)' } }, 'is not a rule'],
    [{ holds: ['c is nice'] }, 'is not a condition'],
    [{ version: 2 }, 'version'],
    [{ lines: [] }, 'lines'],
  ])('refuses a file that is none: %j', (change, fault) => {
    const way = JSON.parse(runCommandLine(['way', '46 × 58', ...LINES]).output) as object;
    const path = file('changed.json', JSON.stringify({ ...way, ...change }));
    const { exitCode, error } = runCommandLine(['way', '--way', path, '--on', '34 * 27']);
    expect(exitCode).toBe(2);
    expect(error).toContain(fault);
  });

  it('needs a problem and lines, or a file', () => {
    expect(runCommandLine(['way']).exitCode).toBe(2);
    expect(runCommandLine(['way', '46 × 58']).error).toContain('There is no line');
    expect(runCommandLine(['way', '--way', 'nowhere.json']).error).toContain('cannot be read');
  });
});

describe('levee lines', () => {
  it('judges lines given one by one, also one that begins with a minus', () => {
    const [made] = documents('46 * 58', '--line', '= 46 * 60 - 46 * 2', '--line=-92 + 2760');
    expect(made!.lines.map(({ n, verdict, against }) => [n, verdict, against])).toEqual([
      [1, 'lawful', 0],
      [2, 'lawful', 1],
    ]);
    expect(made).toMatchObject({ complete: false, right: true, form: 'as-asked', unused: [] });
  });

  it('reads lines from a file, and gives the same bytes each time', () => {
    const path = file('lines.txt', '= 655 - 400\n\n= 255 bags\n');
    const [made] = documents('642 - 387', '--lines', path);
    expect(made).toMatchObject({ complete: true, right: true, form: 'unit' });
    const bytes = () => runCommandLine(['lines', '642 - 387', '--lines', path]).output;
    expect(bytes()).toBe(bytes());
  });

  it('takes a computation that no method works', () => {
    const [made] = documents('7 - 3 + 2 × 4', '--line', '= 4 + 8');
    expect(made!.problem).toMatchObject({ kind: null, value: '12' });
    expect(made!.lines[0]!.verdict).toBe('lawful');
  });

  it('says where a line cannot be read', () => {
    const [made] = documents('46 * 58', '--line', '= 46 × × 58', '--line', '= 2668');
    expect(made!.lines[0]).toMatchObject({ verdict: 'unread', unreadAt: 7, value: null });
    expect(made!.lines[1]!.verdict).toBe('lawful');
  });

  it('lists the false rules', () => {
    const { output } = runCommandLine(['lines', '--rules']);
    expect(output.trim().split('\n')).toEqual(FALSE_RULES.map(({ id }) => id));
  });

  it.each([
    [['46 *'], 'number'],
    [['46 * 58'], 'no line'],
    [[], 'which problem'],
    [['46'], 'one number'],
    [['46 * 58', '--lines', '/no/such/file'], 'cannot be read'],
    [['46 * 58', ...Array.from({ length: 61 }, () => '--line=1')], '61 lines'],
    [['--batch', file('bad.jsonl', '{"problem": 3}')], 'Line 1'],
    [['--batch', file('worse.jsonl', 'no json')], 'not JSON'],
    [['46 * 58', '--line', '= 2668', '--format', 'svg'], 'format'],
  ])('refuses %j in one line', (args, words) => {
    const { exitCode, output, error } = runCommandLine(['lines', ...args]);
    expect([exitCode, output]).toEqual([2, '']);
    expect(error).toMatch(words);
    expect(error.trim()).not.toContain('\n');
  });
});
