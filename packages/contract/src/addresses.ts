/**
 * Everything the server can be asked: what it is called in the house, and how it is asked for. In braces stands what
 * changes from call to call. Of this file alone the web needs something while it runs; of all else here only types.
 */
export const ADDRESSES = {
  listQuilts: 'GET /api/quilts',
  quilt: 'GET /api/quilts/{id}',
  addQuilt: 'POST /api/quilts',
  saveQuilt: 'PUT /api/quilts/{id}',
  readBlock: 'POST /api/quilts/{id}/readings',
  removeQuilt: 'DELETE /api/quilts/{id}',
  restoreQuilt: 'POST /api/quilts/{id}/restore',
  takenOff: 'GET /api/quilts/taken-off',
  listVersions: 'GET /api/quilts/{id}/snapshots',
  keepVersion: 'POST /api/quilts/{id}/snapshots',
  version: 'GET /api/quilts/{id}/snapshots/{snapshot}',
  dropVersion: 'DELETE /api/quilts/{id}/snapshots/{snapshot}',
  take: 'GET /api/quilts/{id}/take',
  planFile: 'GET /api/quilts/{id}/file',
  shelfFile: 'GET /api/shelf.zip',
  arriving: 'GET /api/parcels',
  arrive: 'POST /api/parcels',
  planSchema: 'GET /api/schema/plan.json',
  logSince: 'GET /api/log',
  addEntries: 'POST /api/log',
  addPicture: 'POST /api/pictures',
  picture: 'GET /api/pictures/{id}',
  health: 'GET /api/health',
  ready: 'GET /api/ready',
  house: 'GET /api/house',
  enter: 'POST /api/session',
  leave: 'DELETE /api/session',
  numbers: 'GET /api/numbers',
  listBackups: 'GET /api/backups',
  makeBackup: 'POST /api/backups',
  backup: 'GET /api/backups/{file}',
  listLinks: 'GET /api/links',
  makeLink: 'POST /api/links',
  takeLinkBack: 'DELETE /api/links/{id}',
  askLongArm: 'POST /api/long-arm/quotes',
  bookLongArm: 'POST /api/long-arm/bookings',
  cancelLongArm: 'POST /api/long-arm/bookings/{number}/cancel',
  askShop: 'POST /api/shop/ask',
  holdOrder: 'POST /api/shop/holds',
  letOrderGo: 'POST /api/shop/holds/{number}/let-go',
  tapeReadings: 'GET /api/tape/readings',
  squeezeTape: 'POST /api/tape/squeeze',
  carryTape: 'POST /api/tape/carry',
} as const;

/** What an operation is called in the house. */
export type Name = keyof typeof ADDRESSES;

type Places<Path extends string> = Path extends `${string}{${infer Place}}${infer Rest}`
  ? Place | Places<Rest>
  : never;
/** What changes in an operation's address. */
export type Params<N extends Name> = Readonly<Record<Places<(typeof ADDRESSES)[N]>, string>>;

/** How an operation is asked for, and where. */
export function placeOf(name: Name): { readonly method: string; readonly path: string } {
  const at = ADDRESSES[name];
  const space = at.indexOf(' ');
  return { method: at.slice(0, space), path: at.slice(space + 1) };
}

/**
 * The address of one call: its path with what changes in it, written so that nothing of it is taken for more path, and
 * what is asked behind it. What is undefined is left out.
 */
export function addressOf<N extends Name>(
  name: N,
  params: Params<N>,
  query: Readonly<Record<string, string | number | undefined>> = {},
): string {
  const path = placeOf(name).path.replace(/\{(\w+)\}/g, (_, place: string) =>
    encodeURIComponent((params as Readonly<Record<string, string>>)[place] ?? ''),
  );
  const asked = Object.entries(query).flatMap(([key, value]) =>
    value === undefined ? [] : [[key, String(value)] as [string, string]],
  );
  return asked.length === 0 ? path : `${path}?${new URLSearchParams(asked).toString()}`;
}
