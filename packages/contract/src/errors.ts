/** One way in which something is refused. */
interface ErrorKind {
  readonly status: number;
  /** Any call may meet it, whatever it asks for; others are met where their operation says so. */
  readonly anywhere?: true;
}

/** Everything that is ever refused, by the code it leaves with. */
export const ERRORS = {
  'bad-request': { status: 400, anywhere: true },
  'not-json': { status: 400, anywhere: true },
  'cut-short': { status: 400, anywhere: true },
  'bad-length': { status: 400 },
  'no-parcel': { status: 400 },
  'no-picture': { status: 400 },
  stopped: { status: 400 },
  'not-let-in': { status: 401, anywhere: true },
  foreign: { status: 403, anywhere: true },
  'owner-only': { status: 403 },
  'view-only': { status: 403, anywhere: true },
  'no-such-address': { status: 404, anywhere: true },
  'no-such-backup': { status: 404 },
  'no-such-block': { status: 404 },
  'no-such-bolt': { status: 404 },
  'no-such-booking': { status: 404 },
  'no-such-file': { status: 404 },
  'no-such-link': { status: 404 },
  'no-such-order': { status: 404 },
  'no-such-picture': { status: 404 },
  'no-such-quilt': { status: 404 },
  'no-such-snapshot': { status: 404 },
  'bad-method': { status: 405, anywhere: true },
  'id-taken': { status: 409 },
  'not-enough': { status: 409 },
  stale: { status: 409 },
  'taken-off': { status: 409 },
  'tape-out-of-reach': { status: 409 },
  'changed-meanwhile': { status: 412, anywhere: true },
  'picture-too-large': { status: 413 },
  'too-large': { status: 413, anywhere: true },
  'too-much': { status: 413, anywhere: true },
  'bad-encoding': { status: 415, anywhere: true },
  'bad-type': { status: 415, anywhere: true },
  drawing: { status: 415 },
  'not-a-picture': { status: 415 },
  'no-such-part': { status: 416, anywhere: true },
  'wrong-host': { status: 421, anywhere: true },
  'bad-parcel': { status: 422 },
  'not-sound': { status: 422 },
  unreadable: { status: 422 },
  'unsound-plan': { status: 422 },
  'too-many-tries': { status: 429 },
  unexpected: { status: 500, anywhere: true },
  busy: { status: 503, anywhere: true },
  'disk-full': { status: 507, anywhere: true },
  'disk-error': { status: 507, anywhere: true },
  'read-only': { status: 507, anywhere: true },
  'folder-gone': { status: 507, anywhere: true },
  damaged: { status: 507, anywhere: true },
} as const satisfies Readonly<Record<string, ErrorKind>>;

export type ErrorCode = keyof typeof ERRORS;
const KINDS: Readonly<Record<string, ErrorKind>> = ERRORS;

/** Codes that any call may meet. */
export const ANYWHERE = (Object.keys(ERRORS) as ErrorCode[]).filter((code) => KINDS[code]?.anywhere);
