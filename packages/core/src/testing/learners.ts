/** Learners who slip, operation by operation, with figures alone. */
export { always, once, type Mind, type State } from './learners/mind.ts';
export * from './learners/addition.ts';
export * from './learners/subtraction.ts';
export * from './learners/multiplication.ts';
