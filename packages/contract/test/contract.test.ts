import { startPlan } from '@lattice/core';
import {
  ADDRESSES,
  addressOf,
  ANYWHERE,
  ERRORS,
  faultOfAnswer,
  faultOfRefusal,
  GROUPS,
  type Name,
  operationOf,
  OPERATIONS,
  passesAt,
  placeOf,
} from '@lattice/contract';

const NAMES = Object.keys(ADDRESSES) as Name[];

describe('addresses', () => {
  // Percent signs by RFC 3986, section 2.1; a question behind it by the URL standard’s form encoding.
  test('what changes is written so that it stays one place, and cannot lead elsewhere', () => {
    expect(addressOf('version', { id: 'a/../b', snapshot: 'x?y#z' })).toBe(
      '/api/quilts/a%2F..%2Fb/snapshots/x%3Fy%23z',
    );
    expect(addressOf('listQuilts', {}, { words: 'a & b', count: 3, tag: undefined })).toBe(
      '/api/quilts?words=a+%26+b&count=3',
    );
    expect(addressOf('listQuilts', {}, { words: undefined })).toBe('/api/quilts');
  });
  test('no two operations are asked for in the same way, however their places are called', () => {
    const ways = NAMES.map((name) => ADDRESSES[name].replace(/\{\w+\}/g, '{}'));
    expect(new Set(ways).size).toBe(ways.length);
    for (const name of NAMES)
      expect(placeOf(name)).toEqual({
        method: expect.stringMatching(/^(GET|POST|PUT|DELETE)$/),
        path: expect.stringMatching(/^\/api\//),
      });
  });
});

describe('operations', () => {
  test('each stands in one group, and says what it does and what comes of it', () => {
    const grouped = Object.values(GROUPS).flatMap((group) => Object.keys(group));
    expect([...grouped].sort()).toEqual([...NAMES].sort());
    for (const name of NAMES) {
      const { says, answers, body, query, wrong, sends } = operationOf(name);
      expect([name, says]).toEqual([name, expect.stringMatching(/^[A-Z].*\.$/)]);
      for (const answer of Object.values(answers))
        expect([name, answer.says]).toEqual([name, expect.stringMatching(/\.$/)]);
      // What reads nothing answers nothing in words of its own; what reads something does.
      expect([name, wrong !== undefined]).toEqual([name, body !== undefined || query !== undefined]);
      expect([name, body !== undefined && sends !== undefined]).toEqual([name, false]);
    }
  });
  // RFC 9110: 204 has no content; a call that only reads carries none.
  test('nothing comes under 204, and nothing is carried by a call that reads', () => {
    for (const name of NAMES) {
      const { answers, body, sends } = operationOf(name);
      const { schema, type } = answers[204] ?? {};
      expect([name, schema, type]).toEqual([name, undefined, undefined]);
      if (placeOf(name).method === 'GET') expect([name, body, sends]).toEqual([name, undefined, undefined]);
    }
  });
  test('what an operation refuses is not said again of all', () => {
    for (const name of NAMES)
      for (const code of operationOf(name).refuses ?? [])
        expect([name, ANYWHERE]).not.toEqual([name, expect.arrayContaining([code])]);
    expect(Object.values(ERRORS).every(({ status }) => status >= 400 && status < 600)).toBe(true);
  });
});

describe('answers are held against what is said', () => {
  const stored = {
    ...{ id: 'quilt-0001', revision: 1, updatedAt: '2026-12-02T09:00:00.000Z', savedBy: '', problems: [] },
    plan: startPlan('sashed-sampler'),
  };
  const cases: readonly (readonly [
    why: string,
    name: Name,
    status: number,
    body: unknown,
    fault: RegExp | null,
  ])[] = [
    ['as it is said', 'quilt', 200, stored, null],
    ['another status', 'quilt', 201, stored, /no such answer is said/],
    ['a field too few', 'quilt', 200, { ...stored, savedBy: undefined }, /savedBy/],
    ['a field too many', 'quilt', 200, { ...stored, owner: 'x' }, /owner/],
    ['a plan that is none', 'quilt', 200, { ...stored, plan: { title: 'x' } }, /plan/],
    ['a moment that is none', 'quilt', 200, { ...stored, updatedAt: 'today' }, /updatedAt/],
    ['a list for more than a list', 'listLinks', 200, [], /expected object/],
    ['something under 204', 'removeQuilt', 204, {}, /nothing was to come/],
    ['nothing under 204', 'removeQuilt', 204, undefined, null],
  ];
  test.each(cases)('%s', (_, name, status, body, fault) => {
    const found = faultOfAnswer(name, status, body);
    if (fault === null) expect(found).toBeNull();
    else expect(found).toMatch(fault);
  });
  const refusal = { code: 'stale', message: 'Changed.', details: stored };
  test.each([
    ['as it is said', 'saveQuilt', 409, refusal, null],
    ['by an operation that does not say it', 'removeQuilt', 409, refusal, /“stale” is not said/],
    ['under another status', 'saveQuilt', 412, refusal, /another status/],
    [
      'without what it promises to tell',
      'saveQuilt',
      409,
      { ...refusal, details: null },
      /details of “stale”/,
    ],
    ['with details nobody promised', 'saveQuilt', 404, { ...refusal, code: 'no-such-quilt' }, /details/],
    ['by a code nobody knows', 'saveQuilt', 409, { ...refusal, code: 'odd' }, /“odd” is not said/],
    ['that any call may meet', null, 503, { code: 'busy', message: 'Later.', details: null }, null],
  ] as const)('a refusal %s', (_, name, status, body, fault) => {
    const found = faultOfRefusal(name, status, body);
    if (fault === null) expect(found).toBeNull();
    else expect(found).toMatch(fault);
  });
});

test('what passes by itself is waited for; what somebody has to settle is not', () => {
  const waited = Object.entries(ERRORS).flatMap(([code, { status }]) => (passesAt(status) ? [code] : []));
  expect(waited.sort()).toEqual([
    ...['busy', 'damaged', 'disk-error', 'disk-full', 'folder-gone', 'not-let-in', 'read-only', 'unexpected'],
  ]);
  expect(Object.keys(OPERATIONS).sort()).toEqual([...NAMES].sort());
});
