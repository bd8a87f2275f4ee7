import { startPlan } from '@lattice/core';
import { type Attack, Found } from './attack.ts';
import { House } from './house.ts';

const JSON_TYPE = { 'content-type': 'application/json' };
const plan = JSON.stringify({ plan: startPlan('sashed-sampler') });

/** What a page elsewhere can make a browser send, and what it is answered. */
const TRIES: readonly (readonly [
  what: string,
  method: string,
  path: string,
  headers: Readonly<Record<string, string>>,
  answer: number,
])[] = [
  ['a write by another page', 'POST', '/api/quilts', { ...JSON_TYPE, origin: 'http://example.invalid' }, 403],
  ['a write by a page without a name', 'POST', '/api/quilts', { ...JSON_TYPE, origin: 'null' }, 403],
  [
    'a write by another port here',
    'POST',
    '/api/quilts',
    { ...JSON_TYPE, origin: 'http://127.0.0.1:1' },
    403,
  ],
  ['a write marked cross-site', 'POST', '/api/quilts', { ...JSON_TYPE, 'sec-fetch-site': 'cross-site' }, 403],
  ['a write marked same-site', 'POST', '/api/quilts', { ...JSON_TYPE, 'sec-fetch-site': 'same-site' }, 403],
  ['a form', 'POST', '/api/quilts', { 'content-type': 'text/plain' }, 415],
  ['a form with a file', 'POST', '/api/pictures', { 'content-type': 'multipart/form-data; boundary=x' }, 415],
  ['a form’s fields', 'POST', '/api/log', { 'content-type': 'application/x-www-form-urlencoded' }, 415],
  [
    'reading by another page',
    'GET',
    '/api/quilts',
    { 'sec-fetch-site': 'cross-site', 'sec-fetch-mode': 'cors' },
    403,
  ],
  [
    'reading in a frame',
    'GET',
    '/api/quilts',
    { 'sec-fetch-site': 'cross-site', 'sec-fetch-mode': 'navigate' },
    403,
  ],
  ['a name that leads here', 'GET', '/api/quilts', { host: 'rebind.example.invalid' }, 421],
  [
    'a name that leads here, to write',
    'POST',
    '/api/quilts',
    { ...JSON_TYPE, host: 'localhost.example.invalid' },
    421,
  ],
  ['a name that leads here, for the page', 'GET', '/', { host: '192.0.2.7' }, 421],
  [
    'asking what may be sent',
    'OPTIONS',
    '/api/quilts',
    { origin: 'http://example.invalid', 'access-control-request-method': 'PUT' },
    405,
  ],
];

export const foreign: Attack = {
  name: 'foreign',
  says: 'what other pages and other names can make a browser send: nothing is read, nothing written',
  usual: 1,
  async run() {
    const found = new Found();
    const house = await new House().start();
    for (const [what, method, path, headers, expected] of TRIES) {
      const { status, headers: answered } = await house.ask(
        method,
        path,
        method === 'POST' ? plan : undefined,
        headers,
      );
      found.unless(status === expected, `${what}: ${status} instead of ${expected}`);
      found.unless(answered['access-control-allow-origin'] === undefined, `${what}: other pages are let in`);
    }
    const own = { ...JSON_TYPE, origin: house.address, 'sec-fetch-site': 'same-origin' };
    found.unless(
      (await house.ask('POST', '/api/quilts', plan, own)).status === 201,
      'our own page is kept out',
    );
    const { text, headers } = await house.ask('GET', '/api/quilts', undefined, { 'sec-fetch-site': 'none' });
    const { total } = JSON.parse(text) as { total: number };
    found.unless(total === 1, `something was written: ${total} quilts`);
    const policy = String(headers['content-security-policy']);
    found.unless(!/https?:/.test(policy), 'the policy lets things in from elsewhere');
    found.unless(/default-src 'none'/.test(policy), 'the policy begins with everything');
    await house.clear();
    return { figures: { tries: TRIES.length }, found: found.lines() };
  },
};
