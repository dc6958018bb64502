import { BadRequestException, NotFoundException, type ArgumentsHost } from '@nestjs/common';
import { jest } from '@jest/globals';
import { Failure, FAILURES } from './failure.ts';
import { ProblemDetailsFilter } from './problem-details.filter.ts';

/** What the filter answers when this is thrown. */
function answerTo(thrown: unknown) {
  const answer = { status: 0, type: '', body: {} as Record<string, unknown> };
  const response = {
    status: (code: number) => ((answer.status = code), response),
    type: (name: string) => ((answer.type = name), response),
    send: (text: string) => (answer.body = JSON.parse(text) as Record<string, unknown>),
  };
  const http = {
    getRequest: () => ({ originalUrl: '/api/here' }),
    getResponse: () => response,
  };
  new ProblemDetailsFilter().catch(thrown, {
    switchToHttp: () => http,
  } as unknown as ArgumentsHost);
  return answer;
}

describe('ProblemDetailsFilter', () => {
  it('answers a refusal with its code, status and details', () => {
    const failure = new Failure('comparison-stale', 'It is now at version 3.', { current: 7 });
    expect(answerTo(failure)).toEqual({
      status: 409,
      type: 'application/problem+json',
      body: {
        type: 'urn:levee:problem:comparison-stale',
        title: FAILURES['comparison-stale'].title,
        status: 409,
        detail: 'It is now at version 3.',
        instance: '/api/here',
        code: 'comparison-stale',
        current: 7,
      },
    });
  });

  it.each<[string, unknown, number, string]>([
    ['an unknown address', new NotFoundException(), 404, 'not-found'],
    ['an unreadable body', new BadRequestException(), 400, 'body-unreadable'],
    ['a large body', Object.assign(new Error(), { status: 413 }), 413, 'body-too-large'],
    ['a full disk', sqlite('SQLITE_FULL'), 503, 'store-unwritable'],
    ['a locked file', sqlite('SQLITE_BUSY'), 503, 'store-unwritable'],
    ['a read-only file', sqlite('SQLITE_READONLY_DBMOVED'), 503, 'store-unwritable'],
  ])('names %s', (_, thrown, status, code) => {
    expect(answerTo(thrown)).toMatchObject({ status, body: { code, status } });
  });

  it('keeps the inside of a bug to itself, and logs it', () => {
    const log = jest.spyOn(process.stderr, 'write').mockReturnValue(true);
    const out = jest.spyOn(process.stdout, 'write').mockReturnValue(true);
    const { status, body } = answerTo(new TypeError('secret detail'));
    expect(log.mock.calls.length + out.mock.calls.length).toBeGreaterThan(0);
    log.mockRestore();
    out.mockRestore();
    expect(status).toBe(500);
    expect(JSON.stringify(body)).not.toContain('secret');
  });

  it.each([sqlite('SQLITE_CONSTRAINT'), 'a text', null, undefined])(
    'calls %p a failure of the server',
    (thrown) => {
      const out = jest.spyOn(process.stderr, 'write').mockReturnValue(true);
      expect(answerTo(thrown).status).toBe(500);
      out.mockRestore();
    },
  );
});

function sqlite(code: string): Error {
  return Object.assign(new Error('query failed'), { driverError: { code } });
}
