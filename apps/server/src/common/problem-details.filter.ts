import {
  Catch,
  HttpException,
  Logger,
  type ArgumentsHost,
  type ExceptionFilter,
} from '@nestjs/common';
import type { Request, Response } from 'express';
import { Failure, FAILURES } from './failure.ts';

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
  if (status === 404) return new Failure('not-found', 'Check the address of the request.');
  if (status === 413) return new Failure('body-too-large', 'A request may have 1 MB at most.');
  if (status === 400) return new Failure('body-unreadable', 'The body must be valid JSON.');
  if (isStoreFailure(thrown)) {
    return new Failure(
      'store-unwritable',
      'Check that the disk has room and the file may be written; nothing that was kept before is lost.',
    );
  }
  return new Failure('internal', 'The request was not carried out; nothing was changed.');
}

function statusOf(thrown: unknown): number | undefined {
  if (thrown instanceof HttpException) return thrown.getStatus();
  const status = (thrown as { status?: unknown } | null)?.status;
  return typeof status === 'number' ? status : undefined;
}

/** SQLite says that the file cannot be written: read-only, full, locked by another program. */
function isStoreFailure(thrown: unknown): boolean {
  const inner = (thrown as { driverError?: { code?: unknown } } | null)?.driverError?.code;
  return typeof inner === 'string' && /^SQLITE_(READONLY|FULL|IOERR|BUSY|CANTOPEN)/.test(inner);
}
