import fc from 'fast-check';
import type { Mark, School, Trace } from '../../account/account.ts';
import { numeral } from '../../exact/numeral.ts';
import { productProblem } from '../../problem/problem.ts';
import { products } from '../../testing/arbitraries.ts';
import { registry } from '../index.ts';

function work(id: string, a: string, b: string, school: School = {}): Trace {
  const method = registry.get(id);
  const problem = productProblem([numeral(a), numeral(b)]);
  return method.trace(problem, { school: { ...method.defaultSchool, ...school } });
}

function marks(trace: Trace): readonly Mark[] {
  return trace.steps.flatMap((step) => step.gives);
}

function groupWorths(trace: Trace, role: string): readonly string[] {
  return trace.groups.filter((group) => group.role === role).map(({ worth }) => worth.toString());
}

describe('column multiplication', () => {
  it('makes a line for each digit of the lower factor, worth that part of the product', () => {
    expect(groupWorths(work('column-multiplication', '346', '205'), 'line')).toEqual([
      '1730',
      '0',
      '69200',
    ]);
  });

  it('is the answer itself where the lower factor has one digit', () => {
    const trace = work('column-multiplication', '346', '7');
    expect(trace.steps).toHaveLength(3);
    expect(groupWorths(trace, 'answer')).toEqual(['2422']);
  });

  it('keeps the carries of two lines apart, above as below', () => {
    for (const carries of ['above', 'below']) {
      const trace = work('column-multiplication', '999', '99', { carries });
      const rows = marks(trace)
        .filter(({ role, spot }) => role === 'carry' && spot.area === `carry-${carries}`)
        .map(({ spot }) => spot.row);
      expect(new Set(rows)).toEqual(new Set([0, 1]));
    }
  });

  it('strikes every written carry in the step that uses it, and none that is held', () => {
    const check = (carries: string) => {
      const trace = work('column-multiplication', '989', '87', { carries });
      for (const carry of marks(trace).filter(({ role }) => role === 'carry')) {
        const used = trace.steps.find((step) => step.takes.includes(carry.id))!;
        expect(used.strikes.includes(carry.id)).toBe(carries !== 'in-the-head');
      }
    };
    ['above', 'below', 'in-the-head'].forEach(check);
  });

  it('writes one zero for a line of tens and two for hundreds, or leaves the gap', () => {
    const zeros = (shift: string) =>
      marks(work('column-multiplication', '46', '123', { shift }))
        .filter(({ role }) => role === 'placeholder')
        .map(({ spot }) => `${spot.row}.${spot.column}`);
    expect(zeros('zeros')).toEqual(['1.0', '2.1', '2.0'].sort());
    expect(zeros('gap')).toEqual([]);
  });

  it('adds a carry after the product, never before', () => {
    const trace = work('column-multiplication', '68', '7');
    const [first, second] = trace.steps;
    const carry = first!.gives.find(({ role }) => role === 'carry')!;
    expect(carry.worth.toString()).toBe('50');
    expect(second!.takes).toEqual(['o1.0', carry.id]);
    expect(second!.gives.map(({ glyph }) => glyph).join('')).toBe('74');
  });
});

describe('the longer factor on top', () => {
  const onTop = { 'on-top': 'longer' };

  it('makes one line of two figures by one, with terms as the question has them', () => {
    const trace = work('column-multiplication', '7', '123', onTop);
    expect(groupWorths(trace, 'line')).toEqual(['861']);
    expect(trace.steps[0]!.takes).toEqual(['o0.0']);
    expect(trace.steps[1]!.takes).toContain('o0.1');
    expect(trace.start.map(({ text }) => text)).toContain('7×20');
    const given = (id: string) => trace.givens.find((one) => one.id === id)!;
    expect([given('g0.0').spot.area, given('g1.2').spot.area]).toEqual(['bottom', 'top']);
    expect(groupWorths(work('column-multiplication', '7', '123'), 'line')).toHaveLength(3);
  });

  it('names cells as the question does, in orders and slips', () => {
    const shapes = {
      school: onTop,
      order: ['0.2'],
      slips: [{ slip: 'skip-product', occurrence: 1 }],
    };
    const problem = productProblem([numeral('7'), numeral('123')]);
    const trace = registry.get('partial-products').trace(problem, shapes);
    expect(trace.steps[0]!.takes).toEqual(['o0.2']);
    expect(trace.choice.order).toEqual(['0.2']);
    expect(trace.answer.toString()).toBe('161');
    const skipped = trace.opportunities.find(({ slip }) => slip === 'skip-product')!;
    expect(skipped.at).toEqual({ what: 'cell', at: [0, 2] });
  });

  it('leaves longer by shorter as it is', () => {
    const given = work('partial-products', '123', '7');
    expect(work('partial-products', '123', '7', onTop).steps).toEqual(given.steps);
  });
});

describe('partial products', () => {
  it('writes every product whole, in either order', () => {
    const worths = groupWorths(work('partial-products', '46', '58'), 'product');
    expect(worths).toEqual(['48', '320', '300', '2000']);
    const largest = work('partial-products', '46', '58', { order: 'largest-first' });
    expect(groupWorths(largest, 'product')).toEqual([...worths].reverse());
  });

  it('leaves zero parts out, or writes them', () => {
    const lines = (zeros: string) =>
      groupWorths(work('partial-products', '406', '50', { zeros }), 'product');
    expect(lines('left-out')).toEqual(['300', '20000']);
    expect(lines('written')).toHaveLength(6);
  });

  it('needs no carry where no place gathers ten', () => {
    const carries = marks(work('partial-products', '12', '13')).filter((m) => m.role === 'carry');
    expect(carries).toEqual([]);
  });
});

describe('grid multiplication', () => {
  it('gathers rows, columns, or one list', () => {
    expect(groupWorths(work('grid-multiplication', '46', '58'), 'row total')).toEqual([
      '368',
      '2300',
    ]);
    const columns = work('grid-multiplication', '46', '58', { totals: 'columns' });
    expect(groupWorths(columns, 'column total')).toEqual(['348', '2320']);
    const list = work('grid-multiplication', '46', '58', { totals: 'one-list' });
    expect(list.steps.map(({ law }) => law)).toContain('reorder');
  });

  it('comes to the same by rows and by columns', () => {
    const grid = registry.get('grid-multiplication');
    fc.assert(
      fc.property(products(4), (problem) => {
        const [rows, columns] = ['rows', 'columns'].map((totals) =>
          grid.trace(problem, { school: { ...grid.defaultSchool, totals } }),
        );
        expect(rows!.answer.equals(columns!.answer)).toBe(true);
      }),
      { numRuns: 40 },
    );
  });

  it('has parts outside the box, as many as the factors have figures that are not zero', () => {
    const parts = work('grid-multiplication', '4060', '57').givens.map(({ glyph }) => glyph);
    expect([...parts].sort()).toEqual(['4000', '50', '60', '7'].sort());
  });
});

describe('the lattice', () => {
  it('splits every product into two figures, a zero tens figure written', () => {
    const trace = work('lattice', '21', '3');
    const cells = trace.steps.slice(0, 2).map((step) => step.gives.map(({ glyph }) => glyph));
    expect(cells).toEqual([
      ['0', '3'],
      ['0', '6'],
    ]);
  });

  it('adds along diagonals from the ones, whichever way the cells were filled', () => {
    for (const fill of ['lower-right', 'upper-left']) {
      const trace = work('lattice', '46', '58', { fill });
      expect(groupWorths(trace, 'diagonal')).toEqual(['8', '60', '600', '2000']);
    }
  });

  it('fills from the other corner when asked to', () => {
    const first = (fill: string) => work('lattice', '46', '58', { fill }).steps[0]!.takes;
    expect(first('lower-right')).toEqual(['o0.0']);
    expect(first('upper-left')).toEqual(['o1.1']);
  });

  it('never adds the figures at its edges', () => {
    const trace = work('lattice', '46', '58');
    const edge = new Set(trace.givens.map(({ id }) => id));
    expect(trace.steps.some((step) => step.takes.some((id) => edge.has(id)))).toBe(false);
  });

  it('drops a zero in front from the answer, but not from the paper', () => {
    const trace = work('lattice', '12', '12');
    const answer = trace.groups.at(-1)!.marks;
    const totals = marks(trace).filter(({ role }) => role === 'answer');
    expect(totals).toHaveLength(4);
    expect(answer).toHaveLength(3);
  });
});
