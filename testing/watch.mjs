import { watchTraces } from '@levee/core';

/** Every trace that a test makes is replayed, laws and terms included. */
watchTraces();
