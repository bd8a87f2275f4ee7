import { crc32 } from 'node:zlib';
import { type Entry, fromBuffer, type ZipFile } from 'yauzl';
import { Refusal } from '../errors.ts';

/** What a parcel may hold at most: files, bytes of one by what it is, bytes in all, and how tightly it is packed. */
const MOST_FILES = 200_000;
const MOST_BYTES = 2_000_000_000;
const MOST_RATIO = 400;
/** Below this size a tight file is a short one, not a trap. */
const RATIO_FROM = 1_000_000;
/** The files a parcel has, and how large each may be. What else there is, for people to read, is passed over. */
const KINDS = [
  { kind: 'about', name: /^about\.json$/, most: 10_000 },
  { kind: 'plan', name: /^quilt\.plan\.json$/, most: 4_000_000 },
  { kind: 'log', name: /^log\.json$/, most: 60_000_000 },
  { kind: 'picture', name: /^pictures\/([0-9a-z-]{8,40})\.webp$/, most: 5_000_000 },
] as const;

/** One quilt as it lay in a parcel, nothing of it read yet. */
export interface Packed {
  readonly folder: string;
  readonly about: Buffer | null;
  readonly plan: Buffer;
  readonly log: Buffer | null;
  readonly pictures: ReadonlyMap<string, Buffer>;
}

/** The files of one quilt, as the zip lists them. */
interface Listed {
  about: Entry | null;
  plan: Entry | null;
  log: Entry | null;
  readonly pictures: Map<string, Entry>;
}

/** A quilt of a parcel: unpacked when it is asked for, so that none but the one in hand is held. */
export type Unpack = () => Promise<Packed>;

const refuse = (why: string): Refusal => new Refusal('bad-parcel', `${why} Nothing was taken from it.`);

/** Unix says in the upper half of these bits what a file is; a link to another file is no file. */
const isLink = ({ externalFileAttributes }: Entry): boolean =>
  ((externalFileAttributes >>> 16) & 0o170000) === 0o120000;

/**
 * Opens a parcel: a zip of one quilt, or of a folder for each of several. Everything is bounded before it is unpacked:
 * names, counts, sizes, how tightly it is packed; what unpacks to another size than it says is refused then.
 *
 * @throws Refusal `bad-parcel` with what is wrong with it, as each `Unpack` does
 */
export async function openParcel(bytes: Buffer): Promise<Unpack[]> {
  const zip = await opened(bytes);
  if (zip.entryCount > MOST_FILES)
    throw refuse(`This file holds ${zip.entryCount} files; a parcel of quilts has at most ${MOST_FILES}.`);
  const found = await listed(zip, bytes);
  const quilts = [...found].flatMap(([folder, { plan, ...rest }]): Unpack[] =>
    plan ? [() => unpack(zip, folder, { plan, ...rest })] : [],
  );
  if (quilts.length === 0)
    throw refuse(
      'There is no quilt in this file: a parcel has a “quilt.plan.json”, by itself or in a folder.',
    );
  return quilts;
}

/** The files that belong to quilts, by their folders. */
async function listed(zip: ZipFile, bytes: Buffer): Promise<ReadonlyMap<string, Listed>> {
  const found = new Map<string, Listed>();
  let sum = 0;
  let length = 0;
  for (let entry = await next(zip); entry; entry = await next(zip)) {
    const { fileName, uncompressedSize, compressedSize } = entry;
    length += LISTED_BYTES + entry.fileNameLength + entry.extraFieldLength + entry.fileCommentLength;
    if (!(await isNamedAlike(zip, entry))) throw refuse('The list of files in this zip is damaged.');
    if (fileName.endsWith('/')) continue;
    const said = place(fileName);
    if (!said) continue;
    const { folder, kind, id, most } = said;
    if (isLink(entry) || entry.isEncrypted())
      throw refuse(
        `“${short(fileName)}” is ${isLink(entry) ? 'a link to another file' : 'locked with a password'}.`,
      );
    sum += uncompressedSize;
    if (uncompressedSize > most || sum > MOST_BYTES)
      throw refuse(`“${short(fileName)}” is larger than any of a quilt.`);
    if (uncompressedSize > RATIO_FROM && uncompressedSize > MOST_RATIO * compressedSize)
      throw refuse(`“${short(fileName)}” is packed tighter than anything a quilt has.`);
    const quilt = found.get(folder) ?? { about: null, plan: null, log: null, pictures: new Map() };
    found.set(folder, quilt);
    if (kind === 'picture') quilt.pictures.set(id, entry);
    else if (quilt[kind] !== null) throw refuse(`“${short(fileName)}” is in it twice.`);
    else quilt[kind] = entry;
  }
  if (!endsWhereItSays(bytes, zip.comment.length, length))
    throw refuse('The list of files in this zip is damaged: there are more than it says.');
  return found;
}

/** What the list says of one file beside its name and what is added to it (ZIP: central directory header). */
const LISTED_BYTES = 46;
/** The flag that says in which letters a name is written. */
const LETTERS_FLAG = 0x800;

/** Whether a file has the same name where it lies as in the list: a name that was bent in one of them loses it. */
async function isNamedAlike(zip: ZipFile, entry: Entry): Promise<boolean> {
  try {
    const { fileName, generalPurposeBitFlag: flags } = await zip.readLocalFileHeaderPromise(entry);
    const letters = (flags ^ entry.generalPurposeBitFlag) & LETTERS_FLAG;
    return letters === 0 && fileName.equals(entry.fileNameRaw);
  } catch {
    return false;
  }
}

/**
 * Whether a list of so many bytes is all of it: it begins where the end of the zip says, and that end comes right after
 * it. A count that was bent would lose files in silence. (ZIP: end of central directory, of both kinds.)
 */
function endsWhereItSays(bytes: Buffer, comment: number, length: number): boolean {
  const end = bytes.length - comment - 22;
  const locator = end - 20;
  if (locator < 0 || bytes.readUInt32LE(locator) !== 0x07064b50)
    return bytes.readUInt32LE(end + 16) + length === end;
  const large = Number(bytes.readBigUInt64LE(locator + 8));
  return Number(bytes.readBigUInt64LE(large + 48)) + length === large;
}

async function unpack(
  zip: ZipFile,
  folder: string,
  { about, plan, log, pictures }: Listed & { readonly plan: Entry },
): Promise<Packed> {
  const content = (entry: Entry) => contentOf(zip, entry);
  const unpacked = new Map<string, Buffer>();
  for (const [id, entry] of pictures) unpacked.set(id, await content(entry));
  return {
    folder,
    about: about && (await content(about)),
    plan: await content(plan),
    log: log && (await content(log)),
    pictures: unpacked,
  };
}

/** Where a file belongs: at the top or one folder down, under a name a parcel has; null for what is passed over. */
function place(fileName: string) {
  const parts = fileName.split('/');
  // Pictures lie in a folder of their own, of a quilt that may lie in one too.
  for (const depth of [0, 1]) {
    const folder = parts.slice(0, depth).join('/');
    const rest = parts.slice(depth).join('/');
    for (const { kind, name, most } of KINDS) {
      const read = name.exec(rest);
      if (read) return { folder, kind, most, id: read[1] ?? '' };
    }
  }
  return null;
}

const short = (name: string): string => (name.length > 60 ? `${name.slice(0, 59)}…` : name);

/** Names that lead out of the folder, and what else is no zip, is refused by the library; its words are for programmers. */
const opened = (bytes: Buffer): Promise<ZipFile> =>
  new Promise((resolve, reject) =>
    fromBuffer(
      bytes,
      // Open as long as it is unpacked: what it is read from is in memory.
      { autoClose: false, lazyEntries: true, validateEntrySizes: true, strictFileNames: true },
      (error, zip) => (error ? reject(refuse('This file is not a zip, or it was cut short.')) : resolve(zip)),
    ),
  );

const next = (zip: ZipFile): Promise<Entry | null> =>
  new Promise((resolve, reject) => {
    const settle = (act: () => void) => {
      zip.removeAllListeners();
      act();
    };
    zip.once('entry', (entry: Entry) => settle(() => resolve(entry)));
    zip.once('end', () => settle(() => resolve(null)));
    zip.once('error', ({ message }: Error) =>
      settle(() =>
        reject(
          refuse(
            /absolute|relative path|invalid characters/.test(message)
              ? 'A file in it has a name that leads out of its folder.'
              : 'The list of files in this zip is damaged.',
          ),
        ),
      ),
    );
    zip.readEntry();
  });

/** What is in a file; no more is unpacked than it says, which was held against what it may. */
const contentOf = (zip: ZipFile, entry: Entry): Promise<Buffer> =>
  new Promise((resolve, reject) =>
    zip.openReadStream(entry, (error, stream) => {
      const damaged = () =>
        reject(refuse(`“${short(entry.fileName)}” is damaged: it does not unpack to what it says.`));
      if (error) return damaged();
      const chunks: Buffer[] = [];
      let length = 0;
      stream.on('error', damaged);
      stream.on('data', (chunk: Buffer) => {
        length += chunk.length;
        if (length > entry.uncompressedSize) stream.destroy(new Error('more than it says'));
        else chunks.push(chunk);
      });
      stream.on('end', () => {
        const content = Buffer.concat(chunks);
        // The library holds sizes against what is said; what is said of the content itself is held here.
        if (crc32(content) === entry.crc32) resolve(content);
        else damaged();
      });
    }),
  );
