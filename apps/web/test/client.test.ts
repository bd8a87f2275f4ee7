import { ADDRESSES, type Name, placeOf } from '@lattice/contract';
import { callOf } from '../src/sync/client.ts';

/*
 * A call as it goes out. What a file is sent as is by RFC 9110, 8.3: a picture says which it is, anything else that it is
 * bytes.
 */
test('a call that only asks carries nothing; places and questions are written into its address', () => {
  expect(callOf('version', { params: { id: 'a b', snapshot: 'v/1' } })).toEqual({
    url: '/api/quilts/a%20b/snapshots/v%2F1',
    method: 'GET',
  });
  expect(callOf('listQuilts', { query: { words: 'a&b', sort: 'name', stage: '' } })).toEqual({
    url: '/api/quilts?words=a%26b&sort=name&stage=',
    method: 'GET',
  });
  expect(callOf('removeQuilt', { params: { id: 'q' } })).toEqual({ url: '/api/quilts/q', method: 'DELETE' });
});
test('a body goes as it is said', () => {
  const body = { name: 'Before the border' };
  expect(callOf('keepVersion', { params: { id: 'q' }, body })).toEqual({
    ...{ url: '/api/quilts/q/snapshots', method: 'POST', body },
  });
});
test.each([
  ['image/jpeg', 'image/jpeg'],
  ['application/zip', 'application/octet-stream'],
  ['', 'application/octet-stream'],
])('a file of the type “%s” is sent as %s', (type, sent) => {
  const file = new Blob(['x'], { type });
  expect(callOf('addPicture', { query: { id: 'picture-0001' }, file })).toEqual({
    ...{ url: '/api/pictures?id=picture-0001', method: 'POST', body: file },
    headers: { 'Content-Type': sent },
  });
});
test('every operation can be called, and no place is left open', () => {
  for (const name of Object.keys(ADDRESSES) as Name[]) {
    const params = Object.fromEntries(
      [...placeOf(name).path.matchAll(/\{(\w+)\}/g)].map(([, place]) => [place!, 'x']),
    );
    const { url, method } = callOf(name, { params } as never);
    expect([name, url]).toEqual([name, expect.not.stringMatching(/[{}]/)]);
    expect(`${method} ${url}`).toBe(ADDRESSES[name].replace(/\{\w+\}/g, 'x'));
  }
});
