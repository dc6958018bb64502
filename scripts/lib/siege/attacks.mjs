import { document, FIELDS, firstOf, fullDocument } from './document.mjs';
import { hostileText } from './random.mjs';

/** A request that keeps a comparison. */
export const json = (body) => ({
  method: 'POST',
  path: '/api/comparisons',
  headers: { 'Content-Type': 'application/json' },
  body: typeof body === 'string' ? body : JSON.stringify(body),
});

/** A value of any kind, now and then large or deep. */
function anyValue(random, depth = 0) {
  const size = Math.floor(random() * (depth === 0 && random() < 0.2 ? 3000 : 4));
  switch (Math.floor(random() * (depth > 4 ? 6 : 8))) {
    case 0:
      return null;
    case 1:
      return random() < 0.5;
    case 2:
      return (random() - 0.5) * 10 ** Math.floor(random() * 308);
    case 3:
      return hostileText(random, 5).slice(0, 3000);
    case 4:
      return 'x^' + '9'.repeat(1 + Math.floor(random() * 30));
    case 5:
      return '../../' + '%00'.repeat(3);
    case 6:
      return Array.from({ length: size }, () => anyValue(random, depth + 1));
    default:
      return Object.fromEntries(
        Array.from({ length: size }, (_, k) => [`__proto__${k}`, anyValue(random, depth + 1)]),
      );
  }
}

/** A copy with another value in every place of a field such as `papers[].own.code`; in a table, under one more name. */
function withField(value, field, make) {
  const [name, rest] = firstOf(field);
  const put = (own) => (rest === '' ? make() : withField(own, rest, make));
  // What is empty here has the field in another place of its list.
  if (value === null) return null;
  if (name === '[]') return value.map(put);
  if (name === '*') return { ...value, p9: make() };
  return { ...value, [name]: put(value[name]) };
}

/** One kind of attack: what it is called, and a request made from random numbers. */
export const ATTACKS = [
  ['problem texts', (random) => json({ document: document(hostileText(random)) })],
  [
    'fields of any kind',
    (random) => {
      const field = FIELDS[Math.floor(random() * FIELDS.length)];
      return json({ document: withField(fullDocument(), field, () => anyValue(random)) });
    },
  ],
  ['bodies of any kind', (random) => json(JSON.stringify(anyValue(random)) ?? 'nothing')],
  [
    'many empty objects',
    (random) => {
      const count = Math.floor(random() * 120000);
      return json({ document: document('12 + 34', { checks: Array(count).fill({}) }) });
    },
  ],
  [
    'deep nesting',
    (random) => {
      const depth = Math.floor(random() * 100000);
      return json(`{"document":${'['.repeat(depth)}${']'.repeat(depth)}}`);
    },
  ],
  [
    'broken JSON',
    (random) => {
      const text = JSON.stringify({ document: document('12 + 34') });
      return json(text.slice(0, Math.floor(random() * text.length)));
    },
  ],
  ['large bodies', (random) => json(`{"document":"${'x'.repeat(random() * 2e6)}"}`)],
  [
    'kinds of content',
    (random) => {
      const types = [
        'text/plain',
        'multipart/form-data',
        'application/xml',
        'a/b;c',
        'application/json; charset=x',
      ];
      const type = types[Math.floor(random() * types.length)];
      const encoding = random() < 0.5 ? { 'Content-Encoding': 'gzip' } : {};
      return { ...json('{}'), headers: { 'Content-Type': type, ...encoding } };
    },
  ],
  [
    'lists and searches',
    (random) => {
      const values = [
        '1e308',
        '-1',
        '0',
        'NaN',
        '',
        '[]',
        '%',
        '_',
        "' OR 1=1 --",
        'x'.repeat(5000),
        '1e9',
      ];
      const value = () => encodeURIComponent(values[Math.floor(random() * values.length)]);
      const path = `/api/comparisons?page=${value()}&pageSize=${value()}&search=${value()}`;
      return { method: 'GET', path, headers: {} };
    },
  ],
  [
    'addresses',
    (random) => {
      const paths = [
        '/api/comparisons/%ZZ',
        '/%C0%80',
        '/api/comparisons/' + 'a'.repeat(6000),
        '/api/../../etc/passwd',
        '//x',
        '/api/docs/..%2f..%2fmain.js',
        '/assets/%2e%2e/%2e%2e/package.json',
      ];
      const methods = ['GET', 'PUT', 'DELETE', 'PATCH', 'OPTIONS', 'HEAD', 'TRACE'];
      return {
        method: methods[Math.floor(random() * methods.length)],
        path: paths[Math.floor(random() * paths.length)],
        headers: {},
      };
    },
  ],
  [
    'foreign names and origins',
    (random) => ({
      method: 'GET',
      path: '/api/comparisons',
      headers:
        random() < 0.5
          ? { Host: 'elsewhere.example' }
          : { Origin: ['null', 'http://elsewhere.example'][Math.floor(random() * 2)] },
    }),
  ],
  [
    'writes to what is not there',
    (random) => ({
      ...json({ version: Math.floor(random() * 9), document: document('12 + 34') }),
      method: 'PUT',
      path: `/api/comparisons/${Math.floor(random() * 1e9)}`,
    }),
  ],
];
