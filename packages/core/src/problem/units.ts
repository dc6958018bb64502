import type { Problem } from './problem.ts';

const RAISED = '⁰¹²³⁴⁵⁶⁷⁸⁹';

/** A unit as powers of its parts: m² is 2 of m; nothing is the unit of a bare number. */
type Powers = ReadonlyMap<string, number>;

/** Reads `m²`, `m^2`, `bags per pallet`, `km/h`, `m·kg`; any other words are one part. */
function powersOf(unit: string): Powers {
  const powers = new Map<string, number>();
  const [above = '', ...below] = unit.trim().split(/\s+per\s+|\//);
  count(above, 1);
  below.forEach((part) => count(part, -1));
  return powers;

  function count(part: string, sign: 1 | -1): void {
    for (const one of part.split('·')) {
      const [, name = '', raised, figure] =
        /^(.*?)(?:([⁰¹²³⁴⁵⁶⁷⁸⁹]+)|\^([1-9]))?$/.exec(one.trim()) ?? [];
      const power = raised
        ? Number([...raised].map((sign) => RAISED.indexOf(sign)).join(''))
        : Number(figure ?? 1);
      if (name !== '') powers.set(name, (powers.get(name) ?? 0) + sign * power);
    }
  }
}

/** The name of one of a unit beside that of several: `bags per pallet` goes with `pallets`. */
function sameName(one: string, other: string): boolean {
  return one === other || `${one}s` === other || one === `${other}s`;
}

function times(one: Powers, other: Powers, power: 1 | -1): Powers {
  const powers = new Map(one);
  for (const [name, by] of other) {
    const own = [...powers.keys()].find((known) => sameName(known, name)) ?? name;
    const sum = (powers.get(own) ?? 0) + power * by;
    if (sum === 0) powers.delete(own);
    else powers.set(own, sum);
  }
  return powers;
}

function written(powers: Powers): string {
  const part = ([name, power]: readonly [string, number]) =>
    Math.abs(power) === 1
      ? name
      : name + [...String(Math.abs(power))].map((n) => RAISED[Number(n)]).join('');
  const above = [...powers].filter(([, power]) => power > 0).map(part);
  const below = [...powers].filter(([, power]) => power < 0).map(part);
  const top = above.join('·');
  return below.length === 0 ? top : `${top === '' ? '1' : top} per ${below.join('·')}`;
}

/** What the units of the numbers make of the answer's. */
export type AnswerUnit =
  | { readonly ok: true; readonly unit: string }
  /** These two units cannot be added, or one taken from the other. */
  | { readonly ok: false; readonly code: 'unlike'; readonly units: readonly [string, string] }
  /** A side cannot have this unit. */
  | { readonly ok: false; readonly code: 'no-root'; readonly units: readonly [string] };

/**
 * The unit of the answer: of a product the product of the units (m × m is m²; bags per pallet × pallets are bags), of a
 * quotient their quotient, of a sum or difference the one that all have, of a root the unit of a side.
 */
export function answerUnit(kind: Problem['kind'], units: readonly string[]): AnswerUnit {
  const [first = '', ...others] = units.map((unit) => unit.trim());
  if (kind === 'sum' || kind === 'difference') {
    const unlike = others.find((unit) => unit !== first);
    return unlike === undefined
      ? { ok: true, unit: first }
      : { ok: false, code: 'unlike', units: [first, unlike] };
  }
  if (kind === 'root') return rootUnit(first);
  const sign = kind === 'product' ? 1 : -1;
  const powers = others.reduce((made, unit) => times(made, powersOf(unit), sign), powersOf(first));
  return {
    ok: true,
    unit: written(powers) ?? [first, ...others].join(kind === 'product' ? '·' : ' per '),
  };
}

function rootUnit(unit: string): AnswerUnit {
  const powers = powersOf(unit);
  const halves = [...powers].map(([name, power]) => [name, power / 2] as const);
  const text = halves.every(([, power]) => Number.isInteger(power))
    ? written(new Map(halves))
    : null;
  return text === null ? { ok: false, code: 'no-root', units: [unit] } : { ok: true, unit: text };
}

/** One sentence why the units of the numbers give none for the answer. */
export function unitFaultText(fault: Exclude<AnswerUnit, { ok: true }>): string {
  if (fault.code === 'no-root')
    return `No side has a square in ${fault.units[0]}; an area such as m² has one.`;
  const [one, other] = fault.units.map((unit) => unit || 'bare numbers');
  return `${capital(one!)} and ${other} cannot be put together; say both in one unit first.`;
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
