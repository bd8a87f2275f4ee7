import { z } from 'zod';
import type { Operation } from '../operation.ts';
import { list, moment, shape } from '../shapes/plain.ts';

/** What somebody may do who came in from the local network. */
const permission = z.enum(['view', 'edit']);
export type Permission = z.infer<typeof permission>;
/** Who asks: whoever sits at the machine, or somebody from the local network and what they may. */
const who = z.enum(['owner', ...permission.options]);
export type Who = z.infer<typeof who>;

/** Whether it can write; and why not. */
const readiness = shape({ writes: z.boolean(), why: z.string().nullable() });

/** Who asks, and how the house stands. */
const house = shape({
  who,
  /** Why nothing can be saved, in words that end a sentence; null where it can. */
  readOnly: z.string().nullable(),
  /** The app is seen from the local network. */
  shared: z.boolean(),
});
export type House = z.infer<typeof house>;

/** How the server has been doing since it started. */
const numbers = shape({
  since: moment,
  requests: z.int().nonnegative(),
  /** What was asked was not right. */
  refused: z.int().nonnegative(),
  /** A fault of the server, or of its disk. */
  failed: z.int().nonnegative(),
  /** Milliseconds: half of them took no longer, and ninety-nine of a hundred. */
  half: z.number().nonnegative(),
  most: z.number().nonnegative(),
  databaseBytes: z.int().nonnegative(),
  lastBackup: moment.nullable(),
  /** What lies there and cannot be read any more. */
  unreadable: shape({ entries: z.int().nonnegative(), quilts: z.int().nonnegative() }),
});
export type Numbers = z.infer<typeof numbers>;

/** A backup beside the database. */
const backupFields = {
  file: z.string(),
  /** Why it was made: by the clock, or asked for. */
  kind: z.enum(['daily', 'weekly', 'by-hand', 'before-restore']),
  madeAt: moment,
  bytes: z.int().nonnegative(),
};
const backup = shape(backupFields);
export type Backup = z.infer<typeof backup>;
/** The same with what it holds, as it is told when it was made. */
const madeBackup = shape({
  ...backupFields,
  quilts: z.int().nonnegative(),
  pictures: z.int().nonnegative(),
  entries: z.int().nonnegative(),
});

/** A link as it is listed: whom it was made for, and what it lets them do. */
const linkFields = { id: z.string(), name: z.string(), may: permission, madeAt: moment };
const link = shape(linkFields);
export type Link = z.infer<typeof link>;
/** A link as it is told once: its address, and that as a picture. */
const newLink = shape({ ...linkFields, url: z.string(), qr: z.string() });
export type NewLink = z.infer<typeof newLink>;

/** The server itself, who may come in, and what is kept beside the shelf. */
export const houseOperations = {
  health: {
    says: 'Whether the server lives.',
    answers: { 200: { says: 'It does.', schema: shape({ ok: z.literal(true) }) } },
  },
  ready: {
    says: 'Whether it can write.',
    answers: {
      200: { says: 'It can.', schema: readiness },
      503: { says: 'It cannot, and why.', schema: readiness },
    },
  },
  house: {
    says: 'Who asks, and what they may.',
    answers: { 200: { says: 'Who.', schema: house } },
  },
  enter: {
    says: 'Lets one in from the local network: by the passphrase, or by the secret of a link. There only.',
    body: z.union([
      z.strictObject({ passphrase: z.string().min(1).max(200) }),
      z.strictObject({ link: z.string().min(1).max(200) }),
    ]),
    wrong: 'Enter the passphrase, or use a link.',
    answers: { 200: { says: 'Who one is now.', schema: shape({ who: permission.nullable() }) } },
    refuses: ['too-many-tries'],
  },
  leave: {
    says: 'Goes out again.',
    answers: { 204: { says: 'Done.' } },
  },
  numbers: {
    says: 'Numbers of the server, for whoever sits at it.',
    ownersOnly: true,
    answers: { 200: { says: 'Numbers.', schema: numbers } },
    refuses: ['owner-only'],
  },
  listBackups: {
    says: 'Backups there are.',
    ownersOnly: true,
    answers: { 200: { says: 'Backups, the latest first.', schema: list(backup) } },
    refuses: ['owner-only'],
  },
  makeBackup: {
    says: 'Makes a backup now.',
    ownersOnly: true,
    answers: { 201: { says: 'The backup, and what it holds.', schema: madeBackup } },
    refuses: ['owner-only'],
  },
  backup: {
    says: 'A backup, to take away.',
    ownersOnly: true,
    answers: { 200: { says: 'The file.', type: 'application/octet-stream' } },
    refuses: ['owner-only', 'no-such-backup'],
  },
  listLinks: {
    says: 'Links that were given out.',
    ownersOnly: true,
    answers: {
      200: {
        says: 'Links, and the app’s address on the local network; null while it is not shared.',
        schema: shape({ address: z.string().nullable(), links: list(link) }),
      },
    },
    refuses: ['owner-only'],
  },
  makeLink: {
    says: 'A link for somebody, to look or to change.',
    ownersOnly: true,
    body: z.strictObject({ name: z.string().trim().min(1).max(60), may: permission }),
    wrong: 'Say whom the link is for, and what it lets them do.',
    answers: { 201: { says: 'The link; its secret is told this once.', schema: newLink } },
    refuses: ['owner-only'],
  },
  takeLinkBack: {
    says: 'Takes a link back.',
    ownersOnly: true,
    answers: { 204: { says: 'Done.' } },
    refuses: ['owner-only', 'no-such-link'],
  },
} as const satisfies Record<string, Operation>;
