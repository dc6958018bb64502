import { jest } from '@jest/globals';

/** A browser and a server need longer than a unit test. */
jest.setTimeout(90_000);
