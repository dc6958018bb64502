import {
  Catch,
  HttpException,
  Logger,
  type ArgumentsHost,
  type ExceptionFilter,
} from '@nestjs/common';
import type { Request, Response } from 'express';
import { isBusy } from '../database/patience.ts';
import { Failure, FAILURES } from './failure.ts';
import { MOST_BYTES } from './body.ts';

/** Turns everything thrown while answering into one shape: RFC 9457 problem details. */
@Catch()
export class ProblemDetailsFilter implements ExceptionFilter {
  private readonly logger = new Logger('Request');

  catch(thrown: unknown, host: ArgumentsHost): void {
    const http = host.switchToHttp();
    const failure = failureOf(thrown);
    if (failure.code === 'internal') this.logger.error(thrown);
    sendProblem(http.getRequest<Request>(), http.getResponse<Response>(), failure);
  }
}

/** Answers with problem details. */
export function sendProblem(request: Request, response: Response, failure: Failure): void {
  const { status, title } = FAILURES[failure.code];
  response
    .status(status)
    .type('application/problem+json')
    .send(
      JSON.stringify({
        type: `urn:levee:problem:${failure.code}`,
        title,
        status,
        detail: failure.detail,
        instance: request.originalUrl,
        code: failure.code,
        ...failure.details,
      }),
    );
}

function failureOf(thrown: unknown): Failure {
  if (thrown instanceof Failure) return thrown;
  const status = statusOf(thrown);
  if (status !== undefined && status >= 400 && status < 500) return refusalOf(status);
  if (isBusy(thrown)) {
    return new Failure(
      'store-unwritable',
      'Another program holds the data file; nothing that was kept before is lost. Try again in a moment.',
    );
  }
  if (isStoreFailure(thrown)) {
    return new Failure(
      'store-unwritable',
      'Check that the disk has room and the file may be written; nothing that was kept before is lost.',
    );
  }
  return new Failure('internal', 'The request was not carried out; nothing was changed.');
}

/** What the framework itself refuses: addresses, bodies and kinds of content. */
function refusalOf(status: number): Failure {
  switch (status) {
    case 404:
      return new Failure('not-found', 'Check the address of the request.');
    case 413:
      return new Failure('body-too-large', `A request may have ${MOST_BYTES / 1024} kB at most.`);
    case 415:
      return new Failure('media-type-refused', 'Send JSON in UTF-8, not compressed.');
    case 400:
      return new Failure('body-unreadable', 'The body must be valid JSON.');
    default:
      return new Failure('request-refused', 'Check the method and the headers of the request.');
  }
}

function statusOf(thrown: unknown): number | undefined {
  if (thrown instanceof HttpException) return thrown.getStatus();
  const status = (thrown as { status?: unknown } | null)?.status;
  return typeof status === 'number' ? status : undefined;
}

/** SQLite says that the file cannot be written: read-only or full. */
function isStoreFailure(thrown: unknown): boolean {
  const inner = (thrown as { driverError?: { code?: unknown } } | null)?.driverError?.code;
  return typeof inner === 'string' && /^SQLITE_(READONLY|FULL|IOERR|CANTOPEN)/.test(inner);
}
