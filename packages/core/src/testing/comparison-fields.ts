import type { ComparisonDocument } from '../formats/comparison-shape.ts';

/** The fields of a full comparison that stand beside its papers: for tests that read and write documents. */
export const COMPARISON_FIELDS: Omit<
  ComparisonDocument,
  'format' | 'version' | 'papers' | 'steps' | 'room' | 'checks'
> = {
  title: 'Sandbags',
  story: 'sandbags on 46 pallets of 58',
  unit: 'bags',
  units: ['bags per pallet', 'pallets'],
  tags: ['north bank'],
  counted: true,
  problem: '46 × 58',
  estimate: { operands: ['50', '60'], value: '3000', judgement: 'close', beforeWorking: true },
  earlier: [
    {
      problem: '58 × 46',
      estimate: { operands: ['60', '50'], value: '3000', judgement: '', beforeWorking: false },
    },
  ],
  pace: 'amount',
  answers: [
    { code: 'T07', problem: '', answer: '598' },
    { code: '', problem: '642 − 387', answer: '255' },
  ],
};
