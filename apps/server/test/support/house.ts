import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';

const folders: string[] = [];

/** A folder of its own, thrown away after the test (see `throwAway`). */
export function folder(): string {
  folders.push(mkdtempSync(path.join(tmpdir(), 'lattice-test-')));
  return folders.at(-1)!;
}

export function throwAway(): void {
  for (const one of folders.splice(0)) rmSync(one, { recursive: true, force: true });
}

/** What the server needs from outside, with a clock that ticks a second at each look. */
export function outsideAt(start: string) {
  let tick = 0;
  let ids = 0;
  return {
    now: () => new Date(Date.parse(start) + 1000 * tick++),
    newId: () => `made-here-${ids++}`,
    random: () => 0.5,
    /** Lets time pass. */
    pass: (days: number) => (tick += days * 24 * 3600),
  };
}
