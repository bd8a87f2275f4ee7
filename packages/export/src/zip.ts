import { type Zippable, zipSync } from 'fflate';

/** A file of a zip: its path, with / between folders, and what is in it. */
export interface ZipFile {
  readonly path: string;
  readonly bytes: Uint8Array;
}

const utf8 = new TextEncoder();
export const textBytes = (text: string): Uint8Array => utf8.encode(text);

/** A name that is a file's on every system: no path, nothing that cannot be seen, not too long. */
export function fileName(title: string, fallback = 'quilt'): string {
  const plain = title
    .normalize('NFC')
    .replace(/[\p{Cc}\p{Cf}\p{Zl}\p{Zp}<>:"/\\|?*]+/gu, ' ')
    .replace(/\s+/g, ' ')
    .replace(/^[. ]+|[. ]+$/g, '');
  const short = [...plain].slice(0, 80).join('').trim();
  // Names that some systems keep for themselves.
  return short === '' || /^(con|prn|aux|nul|com\d|lpt\d)$/i.test(short) ? fallback : short;
}

/** What has its own compression already. */
const PACKED = /\.(png|jpe?g|webp|pdf)$/i;

/**
 * Files as one zip, in the order they are given.
 *
 * @param made when it is written, 2026-11-27T10:00:00Z: the same files of the same moment are the same zip
 */
export function zipOf(files: readonly ZipFile[], made: string): Uint8Array {
  const tree: Zippable = {};
  // The format keeps the time of day without its zone: what is meant is written as it stands in `made`.
  const mtime = new Date(made.slice(0, 19));
  for (const { path, bytes } of files) tree[path] = [bytes, { mtime, level: PACKED.test(path) ? 0 : 6 }];
  return zipSync(tree);
}
