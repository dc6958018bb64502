import { canBeTaken, type Fact } from '../account/chance.ts';

/** A number for which a fact is taken, and the idea in the catalogue that explains it. */
export interface FactError {
  readonly idea: string;
  readonly value: number;
}

/** The numbers for which a fact is commonly taken, each with the first idea that explains it. */
export function factErrors(fact: Fact, base: number): readonly FactError[] {
  const all = fact.sign === '×' ? productErrors(fact, base) : oneOff(fact);
  const seen = new Set<number>();
  return all.filter(({ value }) => {
    if (value < 0 || !canBeTaken(fact, value) || seen.has(value)) return false;
    seen.add(value);
    return true;
  });
}

/** What explains a fact that is taken for a number: a known idea, or none in particular. */
export function factIdea(fact: Fact, value: number, base: number): string {
  return factErrors(fact, base).find((error) => error.value === value)?.idea ?? 'wrong-fact';
}

/** The figure of the second factor first, as facts are said in a column; a row is of the first factor. */
function productErrors({ of, due }: Fact, base: number): readonly FactError[] {
  const [column = 0, row = 0] = of;
  const turned = turnedFigures(due, base);
  return [
    ...(due === 0 ? [{ idea: 'times-zero-is-it', value: Math.max(row, column) }] : []),
    ...(row === 1 || column === 1 ? [{ idea: 'times-one-as-one', value: 1 }] : []),
    ...(due === 0 ? [] : nearby(row, column)),
    ...(due === 0 ? [] : [{ idea: 'fact-added', value: row + column }]),
    ...(turned === null ? [] : [{ idea: 'fact-figures-turned', value: turned }]),
  ];
}

function nearby(row: number, column: number): readonly FactError[] {
  return [
    { idea: 'fact-one-row-off', value: (row + 1) * column },
    { idea: 'fact-one-row-off', value: (row - 1) * column },
    { idea: 'fact-one-column-off', value: row * (column + 1) },
    { idea: 'fact-one-column-off', value: row * (column - 1) },
  ];
}

function turnedFigures(value: number, base: number): number | null {
  const [ones, tens] = [value % base, Math.floor(value / base)];
  return tens === 0 || tens >= base || ones === 0 ? null : ones * base + tens;
}

function oneOff({ sign, due }: Fact): readonly FactError[] {
  const idea = sign === '+' ? 'sum-one-off' : 'difference-one-off';
  return [
    { idea, value: due + 1 },
    { idea, value: due - 1 },
  ];
}
