import * as z from 'zod/mini';
import { Exact } from '../exact/exact.ts';

// Pages forbid code made from text; without this the library would try it once.
z.config({ jitless: true });

/**
 * The words in which every stored or exported document is described, once: its type ({@link Described}), the check of
 * what comes from outside ({@link readAs}) and its JSON Schema ({@link jsonSchemaOf}) are read off the one description.
 */
export type Description<T = unknown> = z.ZodMiniType<T>;

/** The type of what a description describes. */
export type Described<D extends Description> = z.infer<D>;

/** Most entries of a list that says no less. */
const MOST_ENTRIES = 200_000;

/** An object of just these fields. */
export function record<S extends z.core.$ZodShape>(fields: S) {
  return z.readonly(z.strictObject(fields));
}

/** An object of these fields and any others. */
export function openRecord<S extends z.core.$ZodShape>(fields: S) {
  return z.readonly(z.looseObject(fields));
}

/** A list of up to so many entries. */
export function listOf<D extends Description>(
  entry: D,
  { least = 0, most = MOST_ENTRIES }: { readonly least?: number; readonly most?: number } = {},
) {
  return z.readonly(z.array(entry).check(z.minLength(least), z.maxLength(most)));
}

/** A text of up to so many characters. */
export function text(most: number = Number.MAX_SAFE_INTEGER) {
  return most === Number.MAX_SAFE_INTEGER ? z.string() : z.string().check(z.maxLength(most));
}

/** A text that is written in one way; `pattern` must hold for all of them, `fits` for them alone. */
export function textLike(
  is: string,
  { most, pattern, fits }: { most: number; pattern: RegExp; fits?: (value: string) => boolean },
) {
  const error = ({ input }: { readonly input?: unknown }) =>
    `"${String(input).slice(0, 40)}" is not ${is}`;
  return z.string().check(
    z.maxLength(most),
    z.refine((value) => value.length > most || (pattern.test(value) && (fits?.(value) ?? true)), {
      error,
    }),
    z.meta({ pattern: pattern.source }),
  );
}

export const flag = () => z.boolean();

/** A whole number from 0 on, or from another on. */
export const count = (least = 0, most?: number) =>
  z.int().check(z.gte(least), ...(most === undefined ? [] : [z.lte(most)]));

/** A whole number, negative ones too. */
export const integer = () => z.int();

/** A share of a whole, from 0 to 1. */
export const share = () => z.number().check(z.gte(0), z.lte(1));

/** One of a few words. */
export const oneOf = <const T extends readonly string[]>(words: T) => z.enum(words);

/** This value and no other. */
export const only = <const T extends string | number>(value: T) => z.literal(value);

/** One of a few values. */
export const anyOf = <const T extends readonly (string | number)[]>(values: T) => z.literal(values);

/** What may be null. */
export const orNull = <D extends Description>(description: D) => z.nullable(description);

/** A field that may be absent. */
export const optional = <D extends Description>(description: D) => z.exactOptional(description);

/** A field that may be absent in a document from outside, and is then this. */
export const fallback = <D extends Description>(description: D, value: Described<D>) =>
  z._default(description, value as never);

/** An object of any fields, alike in what they hold. */
export function tableOf<D extends Description>(entry: D, key: z.ZodMiniString = z.string()) {
  return z.readonly(z.record(key, entry));
}

/** Records of several kinds, told apart by one field. */
export function kindsOf<
  const T extends readonly [
    z.core.$ZodTypeDiscriminable,
    ...(readonly z.core.$ZodTypeDiscriminable[]),
  ],
>(by: string, kinds: T) {
  return z.discriminatedUnion(by, kinds);
}

/** A description that is made when it is first used, for those that hold themselves. */
export const later = <T>(description: () => Description<T>) => z.lazy(description);

/** A description with a sentence for who reads the schema. */
export function said<D extends Description>(sentence: string, description: D): D {
  return description.check(z.describe(sentence));
}

/** An exact amount, written in the one way in which it is told: `40`, `-18`, `3/4`, `2x^2+6x`. */
export const amount = () =>
  textLike('an exact amount', {
    most: 4000,
    pattern: /^-?[0-9a-z^/+-]+$/,
    fits: (value) => {
      try {
        return Exact.parse(value).toString() === value;
      } catch {
        return false;
      }
    },
  });

/** What is wrong with a document that is read, and where. */
export interface ReadFault {
  readonly where: string;
  readonly fault: string;
}

/** A fault is the first one, and with it all that were found. */
export type Read<T> =
  | { readonly ok: true; readonly value: T }
  | ({ readonly ok: false; readonly faults?: readonly ReadFault[] } & ReadFault);

/** Brackets of a document may stand so deep inside each other; more than anything that is written. */
const MOST_DEEP = 140;

/** Reads anything as what is described and trusts nothing; the first fault, else the value. */
export function readAs<D extends Description>(
  description: D,
  input: unknown,
  name: string,
): Read<Described<D>> {
  if (isDeeper(input, MOST_DEEP)) {
    return { ok: false, where: name, fault: 'brackets are nested too deep' };
  }
  const read = z.safeParse(description, input, { reportInput: true });
  if (read.success) return { ok: true, value: read.data };
  const faults = read.error.issues.map((issue) => faultOf(issue, name));
  return { ok: false, ...faults[0]!, faults };
}

function isDeeper(input: unknown, most: number): boolean {
  if (typeof input !== 'object' || input === null) return false;
  return most === 0 || Object.values(input).some((part) => isDeeper(part, most - 1));
}

type Issue = z.core.$ZodIssue;

function faultOf(issue: Issue, name: string): ReadFault {
  const where = issue.path.reduce<string>((path, key) => {
    if (typeof key === 'number') return `${path}[${key}]`;
    return path === '' ? String(key) : `${path}.${String(key)}`;
  }, '');
  return { where: where === '' ? name : where, fault: faultText(issue) };
}

const TYPES: Readonly<Record<string, string>> = {
  object: 'an object',
  record: 'an object',
  array: 'a list',
  string: 'a text',
  boolean: 'true or false',
  number: 'a count',
  int: 'a count',
};

function faultText(issue: Issue): string {
  switch (issue.code) {
    case 'invalid_type':
      return `this must be ${TYPES[issue.expected] ?? issue.expected}`;
    case 'unrecognized_keys':
      return `there is no field "${issue.keys[0]}"`;
    case 'invalid_value':
      return issue.values.length === 1
        ? `this must be ${JSON.stringify(issue.values[0])}`
        : `this must be one of: ${issue.values.map((one) => JSON.stringify(one)).join(', ')}`;
    case 'invalid_union':
      return 'this is none of the kinds that are known';
    case 'too_big':
      return tooMany(issue);
    case 'too_small':
      return issue.origin === 'array'
        ? `this must have ${String(issue.minimum)} entries or more`
        : `this must be a count, ${String(issue.minimum)} or more`;
    default:
      return issue.message;
  }
}

function tooMany({ origin, maximum, input }: Extract<Issue, { code: 'too_big' }>): string {
  if (origin === 'string') {
    return `this has ${(input as string).length} characters; ${String(maximum)} are allowed`;
  }
  if (origin === 'array') {
    return `this has ${(input as readonly unknown[]).length} entries; ${String(maximum)} are allowed`;
  }
  return `this must be ${String(maximum)} or less`;
}

/** The JSON Schema (draft 2020-12) of a description, under its name and version. */
export function jsonSchemaOf(
  description: Description,
  { id, title }: { readonly id: string; readonly title: string },
): Readonly<Record<string, unknown>> {
  const { $schema, ...schema } = z.toJSONSchema(description, {
    io: 'output',
    override: ({ jsonSchema }) => {
      delete jsonSchema.readOnly;
      if (jsonSchema.maximum === Number.MAX_SAFE_INTEGER) delete jsonSchema.maximum;
      if (jsonSchema.maxItems === MOST_ENTRIES) delete jsonSchema.maxItems;
      if (jsonSchema.minItems === 0) delete jsonSchema.minItems;
    },
  });
  return { $schema, $id: `urn:levee:schema:${id}`, title, ...schema };
}
