/** Why the server cannot start: one sentence for the person at the terminal. */
export class StartFailure extends Error {}
