import { multiplication } from './multiplication/index.ts';
import { createRegistry } from './registry.ts';

/** Every method Levee knows. */
export const registry = createRegistry([multiplication]);
