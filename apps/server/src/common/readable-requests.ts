import type { NextFunction, Request, Response } from 'express';
import { Failure } from './failure.ts';
import { sendProblem } from './problem-details.filter.ts';

/** An address whose signs after % make no text is refused as that. */
export function readableAddress(request: Request, response: Response, next: NextFunction): void {
  try {
    decodeURIComponent(request.path);
  } catch {
    return sendProblem(
      request,
      response,
      new Failure('address-unreadable', 'Check the signs after % in the address.'),
    );
  }
  next();
}

/** Bodies are JSON; anything else that has content is refused before it is read. */
export function jsonOnly(request: Request, response: Response, next: NextFunction): void {
  const { 'content-length': length, 'transfer-encoding': chunked } = request.headers;
  const hasContent = chunked !== undefined || (length !== undefined && length !== '0');
  if (!hasContent || request.is('application/json')) return next();
  sendProblem(
    request,
    response,
    new Failure('media-type-refused', 'Send the body as application/json.'),
  );
}
