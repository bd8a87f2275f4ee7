import { createHash, createHmac, randomBytes, randomInt, scrypt, timingSafeEqual } from 'node:crypto';
import { promisify } from 'node:util';

const derive = promisify<string, Buffer, number, { N: number; r: number; p: number; maxmem: number }, Buffer>(
  scrypt,
);
/** What trying one passphrase costs: some 60 ms and 32 MB (parameters as recommended for interactive logins). */
const COST = { N: 2 ** 15, r: 8, p: 1, maxmem: 64 * 1024 * 1024 };
const BYTES = 32;

/** A passphrase as it is kept: nobody can read it back. */
export interface Kept {
  readonly salt: Buffer;
  readonly hash: Buffer;
}

/** Keeps a passphrase. */
export async function keepPassphrase(passphrase: string): Promise<Kept> {
  const salt = randomBytes(16);
  return { salt, hash: await derive(tidy(passphrase), salt, BYTES, COST) };
}

/** Whether this is the passphrase that was kept; takes as long either way. */
export async function isPassphrase(tried: string, { salt, hash }: Kept): Promise<boolean> {
  return timingSafeEqual(await derive(tidy(tried), salt, BYTES, COST), hash);
}

/** As it is typed on a telephone: capitals, and more than one space, make no difference. */
const tidy = (passphrase: string): string =>
  passphrase.normalize('NFKC').trim().toLowerCase().replace(/\s+/g, ' ');

/** A secret for a link: too long to be guessed. */
export const newSecret = (): string => randomBytes(18).toString('base64url');
/** How a link's secret is kept. */
export const hashOfSecret = (secret: string): string => createHash('sha256').update(secret).digest('hex');
/** Whether a secret is the one that was kept so; takes as long either way. */
export const isSecret = (secret: string, kept: string): boolean =>
  timingSafeEqual(Buffer.from(hashOfSecret(secret)), Buffer.from(kept));

/** A sign of a passphrase that a session carries, so that it ends when the passphrase is another. */
export const signOf = (passphrase: string, key: string): string =>
  createHmac('sha256', key).update(tidy(passphrase)).digest('base64url').slice(0, 16);

/** Words for a passphrase that somebody reads out across a room. */
const WORDS =
  'acorn anchor apple apron autumn barn basket beacon berry bobbin bonnet brass bridge brook button calico candle canvas cedar chalk cherry chimney clover copper cotton cradle crane cricket damson dapple daisy dimity drum elder ember fable falcon feather fern fiddle flannel forest garden garnet ginger glade goose grove hazel heather hedge heron hollow honey indigo island ivory ivy jasper juniper kettle kite ladder lantern larch lattice laurel lavender linen locket loom maple marble meadow mill mint mitten moss mulberry muslin needle nettle nutmeg oak olive orchard otter paddle pansy parsley patch pebble pepper pewter pine plum pocket poppy quill quince rabbit ribbon river robin rowan saddle saffron sage satin scallop shepherd silver sparrow spindle spruce starling stitch straw sundial tansy teasel thicket thimble thistle timber trellis tulip turnip velvet violet walnut weaver wheat whistle willow window winter wool wren yarrow';

/** A passphrase of five of them: some 35 bits, and trying is slow. */
export function newPassphrase(): string {
  const words = WORDS.split(' ');
  return Array.from({ length: 5 }, () => words[randomInt(words.length)]).join(' ');
}
