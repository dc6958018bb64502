/** Every way the server refuses a request, with its HTTP status and title. Codes are stable. */
export const FAILURES = {
  'request-invalid': { status: 400, title: 'The request is not valid' },
  'comparison-invalid': { status: 422, title: 'The comparison cannot be kept as it is' },
  'comparison-unknown': { status: 404, title: 'There is no such comparison' },
  'comparison-stale': { status: 409, title: 'The comparison was changed elsewhere' },
  'comparison-unreadable': { status: 422, title: 'This version cannot read the comparison' },
  'not-found': { status: 404, title: 'There is nothing at this address' },
  'host-refused': { status: 403, title: 'This name is not served' },
  'body-too-large': { status: 413, title: 'The request is too large' },
  'body-unreadable': { status: 400, title: 'The request body cannot be read' },
  'address-unreadable': { status: 400, title: 'The address cannot be read' },
  'media-type-refused': { status: 415, title: 'This kind of content is not taken' },
  'request-refused': { status: 400, title: 'The request was refused' },
  'store-unwritable': { status: 503, title: 'The data file cannot be written' },
  internal: { status: 500, title: 'Something went wrong in the server' },
} as const;

export type FailureCode = keyof typeof FAILURES;

/** A refusal that reaches the client as problem details; `details` become members beside `detail`. */
export class Failure extends Error {
  constructor(
    readonly code: FailureCode,
    readonly detail: string,
    readonly details: Readonly<Record<string, unknown>> = {},
  ) {
    super(`${code}: ${detail}`);
  }
}
