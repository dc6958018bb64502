import { TextDecoder, TextEncoder } from 'node:util';

/** What browsers have and the simulated one of the unit tests lacks. */
Object.assign(globalThis, {
  TextEncoder: globalThis.TextEncoder ?? TextEncoder,
  TextDecoder: globalThis.TextDecoder ?? TextDecoder,
});
