import { registry } from '../methods/index.ts';
import { choicesOf, decodeComparison, type ComparisonDocument } from './comparison-document.ts';

const document: ComparisonDocument = {
  format: 'levee-comparison',
  version: 1,
  title: 'Sandbags',
  story: 'sandbags on 46 pallets of 58',
  unit: 'bags',
  problem: '46 × 58',
  estimate: { operands: ['50', '60'], value: '3000', judgement: 'close', beforeWorking: true },
  papers: [
    { method: 'column-multiplication', school: { carries: 'below', shift: 'gap' }, order: [] },
    { method: 'lattice', school: registry.get('lattice').defaultSchool, order: ['1.1'] },
  ],
  steps: [0, 3],
  pace: 'amount',
};

function decoded(change: Record<string, unknown>) {
  return decodeComparison({ ...document, ...change }, registry);
}

describe('decodeComparison', () => {
  it('gives back what was written', () => {
    const read = decodeComparison(JSON.parse(JSON.stringify(document)), registry);
    expect(read.ok && read.document).toEqual(document);
    expect(choicesOf(document.papers, registry).map(({ method }) => method.id)).toEqual([
      'column-multiplication',
      'lattice',
    ]);
  });

  it('fills in schools that are not named', () => {
    const read = decoded({
      papers: [{ method: 'lattice', school: {}, order: [] }],
      steps: [0],
    });
    expect(read.ok && read.document.papers[0]!.school).toEqual(
      registry.get('lattice').defaultSchool,
    );
  });

  const paper = document.papers[0]!;
  it.each<[Record<string, unknown>, string, RegExp]>([
    [{ format: 'other' }, 'format', /not a Levee comparison/],
    [{ version: 2 }, 'version', /version 2 is not known/],
    [{ extra: 1 }, 'document', /no field "extra"/],
    [{ title: 5 }, 'title', /must be a text/],
    [{ title: 'x'.repeat(121) }, 'title', /121 characters; 120/],
    [{ problem: '46 ×' }, 'problem', /missing after/],
    [{ problem: '4.6 × 5' }, 'problem', /product with decimals/],
    [{ estimate: { ...document.estimate, value: '30.0' } }, 'estimate.value', /exact amount/],
    [{ estimate: { ...document.estimate, judgement: 'so-so' } }, 'estimate.judgement', /one of/],
    [{ estimate: { ...document.estimate, beforeWorking: 1 } }, 'estimate.beforeWorking', /true or/],
    [{ papers: [], steps: [] }, 'papers', /one to 4 papers, not 0/],
    [{ papers: Array(5).fill(paper), steps: [0, 0, 0, 0, 0] }, 'papers', /not 5/],
    [{ papers: [{ ...paper, method: 'magic' }, paper] }, 'papers[0].method', /no method "magic"/],
    [{ papers: [{ ...paper, school: { carries: 'x' } }, paper] }, 'papers[0].school', /no option/],
    [{ papers: [{ ...paper, order: [1] }, paper] }, 'papers[0].order[0]', /must be a text/],
    [{ problem: '2 × 3 × 4' }, 'papers[0].method', /two factors at a time/],
    [{ steps: [0] }, 'steps', /one count a paper/],
    [{ steps: [0, -1] }, 'steps[1]', /count, 0 or more/],
    [{ pace: 'fast' }, 'pace', /"amount", "step", "alone"/],
  ])('refuses %j at %s', (change, where, fault) => {
    const read = decoded(change);
    expect(read).toMatchObject({ ok: false, where });
    expect(!read.ok && read.fault).toMatch(fault);
  });

  it.each([null, [], 'text', 5])('refuses %j', (input) => {
    expect(decodeComparison(input, registry)).toMatchObject({ ok: false, where: 'document' });
  });
});
