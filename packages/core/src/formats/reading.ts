import { Exact } from '../exact/exact.ts';

/** What is wrong with a document that is read, and where. */
export class ReadingFault extends Error {
  constructor(
    readonly where: string,
    readonly fault: string,
  ) {
    super(`${where}: ${fault}`);
  }
}

export type Read<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly where: string; readonly fault: string };

/** Runs a reader; a fault is data, anything else that is thrown is a bug and goes on. */
export function attempt<T>(read: () => T): Read<T> {
  try {
    return { ok: true, value: read() };
  } catch (error) {
    if (error instanceof ReadingFault) return { ok: false, where: error.where, fault: error.fault };
    throw error;
  }
}

export type Fields = Readonly<Record<string, unknown>>;

export function fieldsOf(input: unknown, where: string): Fields {
  if (typeof input !== 'object' || input === null || Array.isArray(input)) {
    throw new ReadingFault(where, 'this must be an object');
  }
  return input as Fields;
}

/** Most entries of any list. */
const MOST_ENTRIES = 200_000;

export function listIn<T>(
  input: unknown,
  where: string,
  each: (entry: unknown, where: string) => T,
): readonly T[] {
  if (!Array.isArray(input)) throw new ReadingFault(where, 'this must be a list');
  if (input.length > MOST_ENTRIES) throw new ReadingFault(where, 'this list is too long');
  return input.map((entry, k) => each(entry, `${where}[${k}]`));
}

export function textIn(input: unknown, where: string): string {
  if (typeof input !== 'string') throw new ReadingFault(where, 'this must be a text');
  return input;
}

export function oneOfIn<T extends string>(input: unknown, where: string, known: readonly T[]): T {
  const found = known.find((candidate) => candidate === input);
  if (found === undefined) {
    throw new ReadingFault(where, `this must be one of ${known.join(', ')}`);
  }
  return found;
}

export function countIn(input: unknown, where: string): number {
  if (typeof input !== 'number' || !Number.isSafeInteger(input) || input < 0) {
    throw new ReadingFault(where, 'this must be a count, 0 or more');
  }
  return input;
}

/** An exact amount, written in the one way in which it is told. */
export function amountIn(input: unknown, where: string): string {
  const text = textIn(input, where);
  try {
    if (Exact.parse(text).toString() === text) return text;
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
  }
  throw new ReadingFault(where, `"${text.slice(0, 40)}" is not an exact amount`);
}
