import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliCompressSync, gzipSync } from 'node:zlib';
import express from 'express';
import request from 'supertest';
import { webPages } from './web-pages.ts';

const SCRIPT = 'export const long = "levee ".repeat(3);'.repeat(50);
let folder = '';

beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'levee-site-'));
  mkdirSync(join(folder, 'assets'));
  writeFileSync(join(folder, 'index.html'), '<head></head><p nonce="__LEVEE_NONCE__">page</p>');
  writeFileSync(join(folder, 'icon.svg'), '<svg xmlns="http://www.w3.org/2000/svg"/>');
  const script = join(folder, 'assets/index-1a2b.js');
  writeFileSync(script, SCRIPT);
  writeFileSync(`${script}.gz`, gzipSync(SCRIPT));
  writeFileSync(`${script}.br`, brotliCompressSync(SCRIPT));
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

function ask() {
  const app = express();
  app.use((_, response, next) => {
    response.locals['nonce'] = 'abc';
    next();
  });
  app.use(...webPages(folder));
  return request(app);
}

describe('the built pages', () => {
  it.each([
    ['br, gzip', 'br'],
    ['gzip', 'gzip'],
    ['identity', undefined],
  ])('send scripts for %s, kept for long by the browser', async (accepts, sent) => {
    const { headers, text } = await ask()
      .get('/assets/index-1a2b.js')
      .set('Accept-Encoding', accepts)
      .buffer(sent !== 'br')
      .expect(200);
    expect(headers['content-encoding']).toBe(sent);
    expect(headers['cache-control']).toBe('public, max-age=31536000, immutable');
    expect(headers['content-type']).toMatch(/^text\/javascript/);
    expect(headers['vary']).toBe('Accept-Encoding');
    if (sent !== 'br') expect(text).toBe(SCRIPT);
  });

  it('have no long life where their name does not change', async () => {
    const { headers } = await ask().get('/icon.svg').expect(200);
    expect(headers['cache-control']).toBe('no-cache');
  });

  it('ask for the comparison of their address while the scripts are read', async () => {
    const id = '0b6f6f0e-6d0c-4b5e-9f43-0a4a5d1c2b3e';
    const { text } = await ask().get(`/c/${id}/why`).expect(200);
    expect(text).toContain(
      `<link rel="preload" as="fetch" crossorigin href="/api/comparisons/${id}"></head>`,
    );
  });

  it('are the page itself for addresses of the application, with the nonce of the answer', async () => {
    const { text, headers } = await ask().get('/c/1/why').expect(200);
    expect(text).toBe('<head></head><p nonce="abc">page</p>');
    expect(headers['cache-control']).toBe('no-store');
    await ask().get('/api/none').expect(404);
  });

  it.each([
    ['get', '/assets/none.js'],
    ['get', '/none.txt'],
    ['post', '/c/1'],
    ['delete', '/'],
  ] as const)('are a plain page where nothing is: %s %s', async (method, path) => {
    const { text, headers } = await ask()[method](path).expect(404);
    expect(headers['content-type']).toMatch(/^text\/html/);
    expect(text).toContain('There is nothing at this address');
    expect(text).not.toContain('<script');
  });
});
