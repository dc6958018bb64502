import { describe, expect, it } from '@jest/globals';
import { emptyFields, FIELDS, fullDocument } from './document.mjs';
import { ATTACKS } from './attacks.mjs';
import { randomFrom } from './random.mjs';

describe('what the siege sends', () => {
  it('holds something in every field that the description of a comparison has', () => {
    expect(emptyFields(fullDocument())).toEqual([]);
    expect(FIELDS).toEqual(
      expect.arrayContaining(['papers[].own.lines[].struck', 'answers[].code', 'steps.*']),
    );
  });

  it('would be noticed to be of an older document', () => {
    expect(emptyFields(fullDocument({ units: [] }))).toEqual(['units']);
    expect(emptyFields({ ...fullDocument(), counted: undefined })).toEqual(['counted']);
  });

  it('changes one field at a time, of any depth', () => {
    const [, make] = ATTACKS.find(([name]) => name === 'fields of any kind');
    const random = randomFrom(3);
    const before = fullDocument();
    const changed = new Set();
    for (let k = 0; k < 200; k++) {
      const { document } = JSON.parse(make(random).body);
      for (const field of ['title', 'papers', 'checks', 'answers', 'estimate', 'steps']) {
        if (JSON.stringify(document[field]) !== JSON.stringify(before[field])) changed.add(field);
      }
    }
    expect([...changed].sort()).toEqual([
      'answers',
      'checks',
      'estimate',
      'papers',
      'steps',
      'title',
    ]);
  });
});
