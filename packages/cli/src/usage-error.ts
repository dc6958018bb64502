/** A mistake in what was typed: one sentence for standard error, exit code 2. */
export class UsageError extends Error {}
