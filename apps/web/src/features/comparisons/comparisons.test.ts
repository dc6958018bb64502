/** @jest-environment jsdom */
import { fileName } from '../../ui/download.ts';
import { listCsv } from './list-csv.ts';

describe('the list as CSV', () => {
  it('quotes what needs it and disarms formulas', () => {
    const stored = {
      id: '1',
      version: 1,
      createdAt: '2026-01-01T00:00:00Z',
      updatedAt: '2026-01-02T00:00:00Z',
      title: 'a, "b"',
      problem: '46 × 58',
      listed: {
        story: '=1+1',
        unit: '',
        estimate: '3000',
        tags: ['a;=2', 'b'],
        papers: [
          { method: 'lattice', name: '' },
          { method: 'own-lines', name: 'T07' },
        ],
        holds: { lines: 3, slips: 0, checks: 1, answers: 12 },
      },
      unreadable: null,
    };
    const [head, row, rest] = listCsv([stored]).split('\r\n');
    expect(head).toMatch(/^id,title,story,problem/);
    expect(row).toBe(
      `1,"a, ""b""",'=1+1,46 × 58,,"a;'=2, b",lattice own-lines,3000,3,0,1,12,2026-01-01T00:00:00Z,2026-01-02T00:00:00Z`,
    );
    expect(rest).toBe('');
  });
});

describe('a comparison that cannot be read', () => {
  it('has a line with what is known of it', () => {
    const csv = listCsv([
      {
        id: '9',
        version: 5,
        createdAt: 'then',
        updatedAt: 'now',
        title: 'Later',
        problem: '7 + 8',
        listed: null,
        unreadable: { code: 'later-version', detail: 'version' },
      },
    ]);
    expect(csv.split('\r\n')[1]).toBe('9,Later,,7 + 8,,,,,,,,,then,now');
  });
});

describe('file names', () => {
  it('are plain', () => {
    expect(fileName('Worst case: 99 × 89!', 'md')).toBe('worst-case-99-x-89.md');
    expect(fileName('///', 'md')).toBe('comparison.md');
  });
});
