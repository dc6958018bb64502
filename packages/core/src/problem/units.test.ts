import { answerUnit, unitFaultText } from './units.ts';

describe('the unit of an answer', () => {
  it.each([
    ['product', ['m', 'm'], 'm²'],
    ['product', ['m²', 'm'], 'm³'],
    ['product', ['', 'bags'], 'bags'],
    ['product', ['bags per pallet', 'pallets'], 'bags'],
    ['product', ['pallets', 'bags per pallet'], 'bags'],
    ['product', ['km/h', 'h'], 'km'],
    ['product', ['m', 'kg'], 'm·kg'],
    ['product', ['m^2', 'm^3'], 'm⁵'],
    ['quotient', ['m²', 'm'], 'm'],
    ['quotient', ['bags', 'bags'], ''],
    ['quotient', ['bags', ''], 'bags'],
    ['quotient', ['km', 'h'], 'km per h'],
    ['quotient', ['', 's'], '1 per s'],
    ['sum', ['m', 'm', 'm'], 'm'],
    ['difference', ['', ''], ''],
    ['root', ['m²'], 'm'],
    ['root', [''], ''],
  ] as const)('of a %s of %j is "%s"', (kind, units, unit) => {
    expect(answerUnit(kind, units)).toEqual({ ok: true, unit });
  });

  it('is missing where units cannot be put together, with the reason', () => {
    const sum = answerUnit('sum', ['m', 'cm']);
    expect(sum).toEqual({ ok: false, code: 'unlike', units: ['m', 'cm'] });
    expect(sum.ok || unitFaultText(sum)).toBe(
      'M and cm cannot be put together; say both in one unit first.',
    );
    const bare = answerUnit('difference', ['bags', '']);
    expect(bare.ok || unitFaultText(bare)).toMatch(/^Bags and bare numbers cannot/);
    const root = answerUnit('root', ['m']);
    expect(root.ok || unitFaultText(root)).toBe(
      'No side has a square in m; an area such as m² has one.',
    );
  });
});
