import type { Dice } from './rewritings.ts';

/** A document with one of its values changed. */
export interface Changed {
  /** Its field, such as `steps[].balance`. */
  readonly field: string;
  /** Where it stands. */
  readonly path: Path;
  readonly from: unknown;
  readonly to: unknown;
  readonly document: unknown;
}

type Path = readonly (string | number)[];

/**
 * Every single field of a document changed once, by what stands there and in the same field elsewhere; lists whose entries
 * are no values lose their first, a middle and their last entry. Fields are found by walking, so that a new one is among them.
 */
export function everyFieldChanged(document: unknown, dice: Dice): readonly Changed[] {
  const leaves = leavesOf(document, []);
  const byField = new Map<string, Path[]>();
  for (const path of leaves) {
    const field = fieldOf(path);
    byField.set(field, [...(byField.get(field) ?? []), path]);
  }
  return [...byField].flatMap(([field, paths]) => {
    const path = dice.one(paths);
    const from = at(document, path);
    const others = paths.map((other) => at(document, other)).filter((value) => value !== from);
    return changes(from, others, dice).map((to) => ({
      field,
      path,
      from,
      to,
      document: put(document, path, to),
    }));
  });
}

/** What another value of a field may be: a number one off, a text of another place or with a figure more, the other flag. */
function changes(from: unknown, others: readonly unknown[], dice: Dice): readonly unknown[] {
  const other = others.length > 0 ? [dice.one(others)] : [];
  if (Array.isArray(from)) {
    const ends = [...new Set([0, Math.floor(from.length / 2), from.length - 1])];
    return from.length === 0 ? [] : ends.map((k) => from.filter((_, index) => index !== k));
  }
  if (typeof from === 'boolean') return [!from];
  if (typeof from === 'number') return [from + 1, ...(from > 0 ? [from - 1] : []), ...other];
  if (typeof from === 'string') return [...other, ...texts(from)];
  return [];
}

function texts(from: string): readonly string[] {
  const figure = /[0-9]/.exec(from);
  const turned = figure
    ? [
        from.slice(0, figure.index) +
          String((Number(figure[0]) + 1) % 10) +
          from.slice(figure.index + 1),
      ]
    : [];
  return [...turned, /^[0-9]+$/.test(from) && from !== '0' ? `${from}0` : `${from}1`, `-${from}`];
}

function leavesOf(value: unknown, path: Path): readonly Path[] {
  if (Array.isArray(value)) {
    return [path, ...value.flatMap((one: unknown, k) => leavesOf(one, [...path, k]))];
  }
  if (typeof value !== 'object' || value === null) return [path];
  return Object.entries(value).flatMap(([name, one]) => leavesOf(one, [...path, name]));
}

export function fieldOf(path: Path): string {
  return path
    .map((step) => (typeof step === 'number' ? '[]' : `.${step}`))
    .join('')
    .replace(/^\./, '');
}

function at(document: unknown, path: Path): unknown {
  return path.reduce<unknown>(
    (value, step) => (value as Record<string | number, unknown>)[step],
    document,
  );
}

function put(document: unknown, path: Path, to: unknown): unknown {
  const [step, ...rest] = path;
  if (step === undefined) return to;
  const inner = (document as Record<string | number, unknown>)[step];
  const made = put(inner, rest, to);
  return Array.isArray(document)
    ? document.map((one: unknown, k) => (k === step ? made : one))
    : { ...(document as object), [step]: made };
}
