import type { Method } from './method.ts';

/** The methods that exist, in the order they are offered. */
export interface Registry {
  readonly methods: readonly Method[];
  /** The method with this id, or undefined. */
  readonly find: (id: string) => Method | undefined;
  /** The method with this id. RangeError when there is none. */
  readonly get: (id: string) => Method;
}

/** Makes a registry from lists of methods. RangeError when two share an id. */
export function createRegistry(families: readonly (readonly Method[])[]): Registry {
  const methods = families.flat();
  const byId = new Map(methods.map((method) => [method.id, method]));
  if (byId.size !== methods.length) {
    const ids = methods.map((method) => method.id);
    const twice = ids.find((id, index) => ids.indexOf(id) !== index);
    throw new RangeError(`createRegistry: two methods are called "${twice}"`);
  }
  const find = (id: string) => byId.get(id);
  const get = (id: string) => {
    const method = byId.get(id);
    if (!method) throw new RangeError(`registry: no method "${id}"`);
    return method;
  };
  return { methods, find, get };
}
