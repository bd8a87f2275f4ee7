import { unreadableInWords } from '../src/rooms/keeping/NumbersSection.tsx';

describe('what cannot be read is said, and what that means', () => {
  test.each([
    [{ entries: 1, quilts: 0 }, /^1 entry of the journal\. It stays as it lies, .* may have it whole\.$/],
    [
      { entries: 3, quilts: 0 },
      /^3 entries of the journal\. They stay as they lie, .* may have them whole\.$/,
    ],
    [{ entries: 0, quilts: 1 }, /^1 quilt\. It stays/],
    [{ entries: 1, quilts: 2 }, /^2 quilts and 1 entry of the journal\. They stay/],
  ])('%j', (what, words) => expect(unreadableInWords(what)).toMatch(words));
});
