import { randomBytes } from 'node:crypto';
import type { NextFunction, Request, Response } from 'express';
import helmet from 'helmet';
import { Failure } from '../common/failure.ts';
import { sendProblem } from '../common/problem-details.filter.ts';

/** The nonce of this response, which its own style sheets carry. */
export function nonceOf(response: Response): string {
  return response.locals['nonce'] as string;
}

/** Only pages of this machine may ask: a foreign name that points here is refused. */
export function ownHostOnly(request: Request, response: Response, next: NextFunction): void {
  const name = (request.headers.host ?? '').replace(/:\d+$/, '');
  if (name === '127.0.0.1' || name === 'localhost' || name === '[::1]') return next();
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
