import { readProblem, registry, traceDocument } from '@levee/core';
import { documentWith } from '../testing/scene.ts';
import { readImport } from './read-import.ts';

const document = documentWith('46 × 58', ['column-multiplication', 'lattice']);

function traceText(change: (trace: Record<string, unknown>) => void = () => undefined): string {
  const method = registry.get('decomposition');
  const read = readProblem('642 − 387');
  if (!read.ok) throw new Error('unreadable');
  const made = traceDocument(method, method.trace(read.problem));
  const trace = JSON.parse(JSON.stringify(made)) as Record<string, unknown>;
  change(trace);
  return JSON.stringify(trace);
}

describe('an import', () => {
  it('reads what was exported, and replays its papers', () => {
    expect(readImport(JSON.stringify(document))).toEqual({
      ok: true,
      document,
      checked: 'Every amount and law of 2 papers holds.',
    });
  });

  it('takes papers with slips made on purpose, and says that they were not replayed', () => {
    const [column, lattice] = document.papers;
    const slipped = { ...column!, slips: ['forget-carry@line-0.1'] };
    expect(readImport(JSON.stringify({ ...document, papers: [slipped, lattice] }))).toMatchObject({
      ok: true,
      checked:
        'Every amount and law of 1 paper holds. 1 paper with a slip made on purpose: not replayed.',
    });
  });

  it('says what is wrong, and where', () => {
    expect(readImport('nonsense')).toEqual({ ok: false, fault: 'it is not JSON.' });
    const bad = JSON.stringify({ ...document, problem: '46 ×' });
    expect(readImport(bad)).toMatchObject({
      ok: false,
      fault: expect.stringMatching(/^problem: /),
    });
    expect(readImport('null')).toMatchObject({ ok: false });
  });

  it('takes a trace as a comparison of its method, once it is replayed', () => {
    const read = readImport(traceText());
    if (!read.ok) throw new Error(read.fault);
    expect(read.document).toMatchObject({
      problem: '642 − 387',
      papers: [{ method: 'decomposition', school: { regroup: 'as-needed' } }],
    });
    expect(read.checked).toBe('Every amount and law of its trace holds, as it stands in the file.');
  });

  it.each<[string, (trace: Record<string, unknown>) => void, RegExp]>([
    [
      'another law',
      (trace) => ((trace['steps'] as { law: string }[])[0]!.law = 'sign'),
      /^in step 1 it is no instance of sign/,
    ],
    [
      'another balance',
      (trace) => ((trace['steps'] as { balance: string }[])[1]!.balance = '256'),
      /^in step 2 the balance is 255, not 256\.$/,
    ],
    ['no problem', (trace) => delete trace['problem'], /problem/],
    ['an unknown method', (trace) => (trace['method'] = 'none'), /^papers\[0\]/],
  ])('refuses a trace with %s', (_, change, fault) => {
    expect(readImport(traceText(change))).toEqual({
      ok: false,
      fault: expect.stringMatching(fault),
    });
  });
});
