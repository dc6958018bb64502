import { randomBytes } from 'node:crypto';
import type { NextFunction, Request, Response } from 'express';
import helmet from 'helmet';
import { Failure } from '../common/failure.ts';
import { sendProblem } from '../common/problem-details.filter.ts';

/** The nonce of this response, which its own style sheets carry. */
export function nonceOf(response: Response): string {
  return response.locals['nonce'] as string;
}

const OWN_HOST = /^(127\.0\.0\.1|localhost|\[::1\])(:\d+)?$/;

/**
 * Only pages of this server may ask: a foreign name that points here is refused, and so is a request
 * that a page of another origin sends.
 */
export function ownHostOnly(request: Request, response: Response, next: NextFunction): void {
  const { host = '', origin } = request.headers;
  const own = origin === undefined || origin === `http://${host}`;
  if (OWN_HOST.test(host) && own) return next();
  sendProblem(
    request,
    response,
    new Failure('host-refused', 'Open Levee at 127.0.0.1 or localhost.'),
  );
}

/**
 * Security headers. Nothing is loaded from outside, no inline script runs, and inline style sheets
 * need the nonce of the response. The page of the interface description alone styles itself inline.
 */
export function securityHeaders(request: Request, response: Response, next: NextFunction): void {
  response.locals['nonce'] = randomBytes(16).toString('base64');
  const describes = request.path.startsWith('/api/docs');
  helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'none'"],
        scriptSrc: ["'self'"],
        styleSrc: ["'self'", describes ? "'unsafe-inline'" : `'nonce-${nonceOf(response)}'`],
        imgSrc: ["'self'", 'data:', 'blob:'],
        fontSrc: ["'self'"],
        connectSrc: ["'self'"],
        workerSrc: ["'self'"],
        manifestSrc: ["'self'"],
        baseUri: ["'none'"],
        formAction: ["'self'"],
        frameAncestors: ["'none'"],
      },
    },
    strictTransportSecurity: false,
    referrerPolicy: { policy: 'no-referrer' },
  })(request, response, next);
}
