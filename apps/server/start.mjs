/**
 * How the server is started: Node's own flags, then its entry, as built, seen from the house's root. Most of what a request
 * needs is thrown away right after it; with room for that (64 MB, Node's usual is 16) nobody waits while it is cleared
 * away: it halves the slowest one in a hundred.
 */
export const SERVER = ['--max-semi-space-size=64', 'node_modules/.lattice/server/server.mjs'];
/** The entry of `backup` and `restore`, as built. */
export const BACKUP = 'node_modules/.lattice/server/backup.mjs';
