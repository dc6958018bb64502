import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { RequestHandler, Response } from 'express';
import expressStaticGzip from 'express-static-gzip';
import { StartFailure } from '../start-failure.ts';
import { nonceOf } from './security.ts';

/** What the build writes where the nonce of a response goes. */
const NONCE_MARK = /__LEVEE_NONCE__/g;

/**
 * Serves the built web application: its files, as the build compressed them, and its page for every other address that is not the
 * interface, so that deep links work. StartFailure when it has not been built.
 */
export function webPages(folder: string): readonly RequestHandler[] {
  const page = join(folder, 'index.html');
  if (!existsSync(page)) {
    throw new StartFailure(`The web application is not built (${page}); run npm run build first.`);
  }
  const html = readFileSync(page, 'utf8');
  const files = expressStaticGzip(folder, {
    enableBrotli: true,
    orderPreference: ['br', 'gz'],
    index: false,
    serveStatic: {
      index: false,
      setHeaders: (response, path) => {
        const hashed = path.includes(`${folder}/assets/`);
        response.setHeader(
          'Cache-Control',
          hashed ? 'public, max-age=31536000, immutable' : 'no-cache',
        );
      },
    },
  });
  const pages: RequestHandler = (request, response, next) => {
    const wanted = request.method === 'GET' || request.method === 'HEAD';
    if (!wanted || isInterface(request.path) || /\.[a-z0-9]+$/i.test(request.path)) return next();
    response
      .type('html')
      .setHeader('Cache-Control', 'no-store')
      .send(
        html
          .replace('</head>', `${ahead(request.path)}</head>`)
          .replace(NONCE_MARK, nonceOf(response)),
      );
  };
  return [
    (request, response, next) =>
      isInterface(request.path) ? next() : files(request, response, next),
    pages,
    (request, response, next) => (isInterface(request.path) ? next() : nothingThere(response)),
  ];
}

/** A plain page for a person who went to an address where nothing is. */
function nothingThere(response: Response): void {
  const text =
    '<!doctype html><html lang="en"><meta charset="utf-8"><title>Levee</title><p>There is nothing at this address. <a href="/">Go to Levee</a></p></html>';
  response.status(404).type('html').setHeader('Cache-Control', 'no-store').send(text);
}

/** Has the browser ask for the comparison of an address while it still reads the scripts. */
function ahead(path: string): string {
  const [, id] = /^\/c\/([0-9a-f-]{36})(?:\/|$)/.exec(path) ?? [];
  return id ? `<link rel="preload" as="fetch" crossorigin href="/api/comparisons/${id}">` : '';
}

function isInterface(path: string): boolean {
  return /^\/api(\/|$)/i.test(path);
}
