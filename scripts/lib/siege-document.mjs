/** A comparison that holds something in every field of today's documents. */
export const document = (problem, more = {}) => ({
  format: 'levee-comparison',
  version: 8,
  title: 'siege',
  story: 'gauge readings',
  unit: 'm',
  units: [],
  tags: ['siege'],
  counted: false,
  problem,
  estimate: null,
  earlier: [],
  papers: [
    { id: 'p1', method: 'column-addition', school: {}, order: [], hops: [], slips: [], own: null },
    {
      id: 'p2',
      method: 'own-lines',
      school: {},
      order: [],
      hops: [],
      slips: [],
      own: {
        lines: [
          { text: '= 30', struck: false },
          { text: 'a note', struck: true },
        ],
        code: 'T07',
        name: 'a way',
      },
    },
  ],
  steps: { p1: 0, p2: 0 },
  pace: 'amount',
  checks: [
    {
      check: 'calculator',
      problem,
      method: 'column-addition',
      against: '20',
      outcome: 'agrees',
      at: '2026-01-31T09:00:00.000Z',
    },
  ],
  answers: [{ code: 'T12', problem: '', answer: '21' }],
  ...more,
});
