/** A mistake in what was typed: one sentence for standard error, exit code 2. */
export class UsageError extends Error {}

/** What was to be checked does not hold; the command line ends with exit code 1. */
export class RefutedError extends Error {}
