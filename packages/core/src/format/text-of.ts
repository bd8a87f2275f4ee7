/** Below this share of empty bytes in every other place a text is not written two bytes a letter. */
const EVERY_OTHER = 0.3;

/**
 * What Windows' western letters have from 80 to 9F, where Latin-1 has none (code page 1252). Written out: not every runtime's
 * decoder of that name knows them.
 */
const WINDOWS = [...'€\u0081‚ƒ„…†‡ˆ‰Š‹Œ\u008dŽ\u008f\u0090‘’“”•–—˜™š›œ\u009džŸ'];

/**
 * The text in a file as spreadsheets of both worlds save it: UTF-8 or UTF-16 in either order, by the mark at its beginning
 * or, without one, by its empty bytes; what is no UTF-8 is read as Windows' western letters. The mark itself is left out.
 */
export function textOf(bytes: Uint8Array): string {
  const [a, b, c] = bytes;
  if (a === 0xef && b === 0xbb && c === 0xbf) return new TextDecoder('utf-8').decode(bytes);
  if (a === 0xff && b === 0xfe) return new TextDecoder('utf-16le').decode(bytes);
  if (a === 0xfe && b === 0xff) return new TextDecoder('utf-16be').decode(bytes);
  const some = bytes.subarray(0, 2000);
  const empty = (from: number) =>
    some.reduce((sum, byte, i) => (byte === 0 && i % 2 === from ? sum + 1 : sum), 0) / (some.length / 2);
  if (some.length >= 2 && empty(1) > EVERY_OTHER) return new TextDecoder('utf-16le').decode(bytes);
  if (some.length >= 2 && empty(0) > EVERY_OTHER) return new TextDecoder('utf-16be').decode(bytes);
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return [...bytes].map((byte) => WINDOWS[byte - 0x80] ?? String.fromCharCode(byte)).join('');
  }
}
