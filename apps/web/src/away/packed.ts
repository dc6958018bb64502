import { Exact, PieceSpace, ProductSpace, SumSpace, Surd, TermSet } from '@levee/core';

/** Data that keeps its form on its way between threads: what has a class of its own goes as a record that names it. */
export interface Packed<T> {
  readonly packed: unknown;
  /** Never there; says what comes out. */
  readonly of?: T;
}

/** How one class goes: its fields as plain data, and what they are made into again. */
interface Carried {
  readonly name: string;
  readonly is: (value: object) => boolean;
  readonly make: (fields: Readonly<Record<string, unknown>>) => object;
}

type AnyClass = abstract new (...given: never[]) => object;

/** A class without hidden parts: its fields are all of it. */
function byFields(name: string, type: { readonly prototype: object }): Carried {
  return {
    name,
    is: (value) => Object.getPrototypeOf(value) === type.prototype,
    make: (fields) => Object.assign(Object.create(type.prototype) as object, fields),
  };
}

/** A class that remembers what it has worked out, and is made again from what it is made of. */
function byMaking<F>(name: string, type: AnyClass, make: (fields: F) => object): Carried {
  return {
    name,
    is: (value) => Object.getPrototypeOf(value) === type.prototype,
    make: (fields) => make(fields as F),
  };
}

const CARRIED: readonly Carried[] = [
  byFields('Exact', Exact),
  byFields('Surd', Surd),
  byFields('TermSet', TermSet),
  byMaking('ProductSpace', ProductSpace, ({ cuts }: ProductSpace) => new ProductSpace(cuts)),
  byMaking('SumSpace', SumSpace, ({ cuts, signs }: SumSpace) => new SumSpace(cuts, signs)),
  byMaking('PieceSpace', PieceSpace, ({ cuts }: PieceSpace) => new PieceSpace(cuts)),
];
const BY_NAME = new Map(CARRIED.map((one) => [one.name, one]));

/** The field that names the class of a record; no data of Levee has a field of this name. */
const CLASS = '#class';

/**
 * Packs data that is to go to another thread: plain records, lists, maps, sets and the classes that are carried. What stands in
 * several places stands once. Throws `RangeError` for anything else, such as a function, which cannot go.
 */
export function pack<T>(value: T): Packed<T> {
  const done = new Map<object, unknown>();
  const walk = (one: unknown): unknown => {
    if (typeof one === 'function') throw new RangeError('pack: a function cannot go');
    if (typeof one !== 'object' || one === null) return one;
    return done.get(one) ?? walkInto(one, done, walk, packedClass);
  };
  return { packed: walk(value) };
}

/** What was packed. */
export function unpack<T>({ packed }: Packed<T>): T {
  const done = new Map<object, unknown>();
  const walk = (one: unknown): unknown => {
    if (typeof one !== 'object' || one === null) return one;
    return done.get(one) ?? walkInto(one, done, walk, madeOfClass);
  };
  return walk(packed) as T;
}

type Walk = (one: unknown) => unknown;
type WithClass = (one: object, fields: Record<string, unknown>) => object;

function walkInto(one: object, done: Map<object, unknown>, walk: Walk, made: WithClass): unknown {
  const keep = <V>(value: V): V => {
    done.set(one, value);
    return value;
  };
  if (Array.isArray(one)) return keep(one.map(walk));
  if (isMap(one)) return keep(new Map([...one].map(([k, v]) => [walk(k), walk(v)])));
  if (isSet(one)) return keep(new Set([...one].map(walk)));
  const fields: Record<string, unknown> = {};
  for (const [key, value] of Object.entries(one)) fields[key] = walk(value);
  return keep(made(one, fields));
}

// By their tags: what comes from another thread may be of another realm.
const isMap = (one: object): one is ReadonlyMap<unknown, unknown> => tagOf(one) === 'Map';
const isSet = (one: object): one is ReadonlySet<unknown> => tagOf(one) === 'Set';
const tagOf = (one: object) => Object.prototype.toString.call(one).slice(8, -1);

const packedClass: WithClass = (one, fields) => {
  const type = Object.getPrototypeOf(one) as unknown;
  if (type === Object.prototype || type === null) return fields;
  const carried = CARRIED.find(({ is }) => is(one));
  if (!carried) throw new RangeError(`pack: a ${one.constructor.name} cannot go`);
  return { ...fields, [CLASS]: carried.name };
};

const madeOfClass: WithClass = (_, { [CLASS]: name, ...fields }) => {
  if (name === undefined) return fields;
  const carried = BY_NAME.get(String(name));
  if (!carried) throw new RangeError(`unpack: nothing is known of a ${String(name)}`);
  return carried.make(fields);
};
