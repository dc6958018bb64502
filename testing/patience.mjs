import { jest } from '@jest/globals';

/** Long enough for property tests and browsers on a busy machine; a test that hangs still fails. */
jest.setTimeout(90_000);
