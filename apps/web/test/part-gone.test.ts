import { isPartGone } from '../src/browser/part-gone.ts';

describe('a part of the app that could not be fetched', () => {
  // As the three families of browsers and the builder's own fetcher word it (from memory).
  test.each([
    'Failed to fetch dynamically imported module: http://127.0.0.1:4173/assets/Finder-BxcUUCUN.js',
    'error loading dynamically imported module: http://127.0.0.1:4173/assets/Finder-BxcUUCUN.js',
    'Importing a module script failed.',
    'Unable to preload CSS for /assets/Finder-BxcUUCUN.css',
  ])('%s', (message) => expect(isPartGone(new TypeError(message))).toBe(true));
  test.each([
    new TypeError("Cannot read properties of undefined (reading 'module')"),
    new Error('The block is not there.'),
    { status: 404, data: 'Failed to fetch dynamically imported module' },
    undefined,
  ])('another failure is not taken for it: %s', (error) => expect(isPartGone(error)).toBe(false));
});
