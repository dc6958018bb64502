import { said, worked } from './work.ts';

/** A whole work as it is read aloud, in figures and in amounts. */
export interface Reading {
  readonly method: string;
  readonly text: string;
  /** What differs from the default school. */
  readonly school: Readonly<Record<string, string>>;
  readonly digit: readonly string[];
  readonly value: readonly string[];
}

/** Holds every sentence of these works, in both voices, against what is to be said. */
export function readAloud(readings: readonly Reading[]): void {
  describe('read aloud', () => {
    it.each(readings.map((reading) => [reading.method, reading.text, reading] as const))(
      '%s on %s says what it does in both voices',
      (_, __, { method, text, school, digit, value }) => {
        const trace = worked(method, text, { school });
        expect(said(trace, 'digit')).toEqual(digit);
        expect(said(trace, 'value')).toEqual(value);
      },
    );
  });
}
