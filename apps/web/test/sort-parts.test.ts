import fc from 'fast-check';
import { type Part, sortParts } from '../build/sort-parts.ts';

/** The parts an app of this kind begins with; the first asks for all others. */
const ENTRIES = [
  '/index.html',
  '/src/shell/start.tsx',
  '/src/sync/readLog.ts',
  '/src/rooms/shelf/Shelf.tsx',
  ...['Setting', 'Wall', 'Borders', 'Edge'].map((stage) => `/src/stages/${stage}Stage.tsx`),
];
const modules = Array.from({ length: 14 }, (_, i) =>
  i % 3 === 0 ? `/node_modules/p${i}/index.js` : `/src/m${i}.ts`,
);

/** Modules need only later ones; each entry needs some. */
const anyApp = fc.record({
  among: fc.array(fc.array(fc.nat(modules.length - 1), { maxLength: 3 }), {
    minLength: modules.length,
    maxLength: modules.length,
  }),
  from: fc.array(fc.array(fc.nat(modules.length - 1), { minLength: 1, maxLength: 5 }), {
    minLength: ENTRIES.length,
    maxLength: ENTRIES.length,
  }),
});

/** What a module needs at once, by its name. */
function needsOf({ among, from }: { among: number[][]; from: number[][] }): Map<string, string[]> {
  const needs = new Map(
    modules.map((id, i) => [id, among[i]!.filter((next) => next > i).map((next) => modules[next]!)]),
  );
  ENTRIES.forEach((id, i) =>
    needs.set(
      id,
      from[i]!.map((next) => modules[next]!),
    ),
  );
  return needs;
}

function reached(from: string, needs: Map<string, string[]>): Set<string> {
  const all = new Set([from]);
  for (const id of all) for (const next of needs.get(id)!) all.add(next);
  return all;
}

/** As a bundler does it by itself: a file for each set of entries that have something in common. */
function bundled(needs: Map<string, string[]>): Part[] {
  const files = new Map<string, string[]>();
  for (const id of needs.keys()) {
    const by = ENTRIES.filter((entry) => reached(entry, needs).has(id)).join('+');
    if (by !== '') files.set(by, [...(files.get(by) ?? []), id]);
  }
  const fileOf = new Map([...files].flatMap(([file, ids]) => ids.map((id) => [id, file] as const)));
  return [...files].map(([fileName, moduleIds]) => ({
    fileName,
    moduleIds,
    facadeModuleId: moduleIds.find((id) => ENTRIES.includes(id)) ?? null,
    imports: [...new Set(moduleIds.flatMap((id) => needs.get(id)!.map((next) => fileOf.get(next)!)))].filter(
      (file) => file !== fileName,
    ),
  }));
}

const RANK: Record<string, number> = { app: 0, drawing: 1, quilt: 2 };
const rankOf = (file: string | null): number => (file === null ? 3 : RANK[file.replace('-packages', '')]!);

describe('what lies in which file', () => {
  it('no file of an earlier kind needs one of a later, whatever needs what; packages lie apart', () => {
    fc.assert(
      fc.property(anyApp, (any) => {
        const needs = needsOf(any);
        const fileOf = sortParts(bundled(needs));
        const first = reached('/index.html', needs);
        for (const id of modules) {
          const file = fileOf(id);
          if (file) expect(file.endsWith('-packages')).toBe(id.startsWith('/node_modules/'));
          // What the very first file has is its own, for whoever needs it.
          for (const next of needs.get(id)!)
            if (!first.has(next)) expect(rankOf(fileOf(next))).toBeLessThanOrEqual(rankOf(file));
        }
      }),
      { numRuns: 200 },
    );
  });

  const needs = needsOf({
    among: modules.map(() => []),
    // The first needs 0, the app 1, the log 2, the shelf 3 and 4, three stages 4 and 5, one of them 6 and 7 besides.
    from: [[0], [1], [2], [3, 4], [4, 5], [4, 5], [5, 6, 7], [1, 7]],
  });
  const fileOf = sortParts(bundled(needs));
  it.each<[number, string | null, string]>([
    [0, null, 'of the very first file'],
    [1, 'app', 'the app begins with it'],
    [2, null, 'the log’s alone'],
    [3, null, 'the shelf’s alone'],
    [4, 'drawing', 'the shelf has it, and pages of a quilt'],
    [5, 'quilt', 'three pages of a quilt'],
    [6, null, 'one page'],
    [7, null, 'two pages'],
  ])('module %i lies in %s: %s', (at, file) => {
    expect(fileOf(modules[at]!)?.replace('-packages', '') ?? null).toBe(file);
  });

  it('what begins a part is its own file, and what the bundler makes up is left to it', () => {
    for (const entry of ENTRIES) expect(fileOf(entry)).toBeNull();
    expect(fileOf('\0virtual')).toBeNull();
  });

  it('says so where the app does not begin a part any more', () => {
    const parts = bundled(needs).filter(({ facadeModuleId }) => facadeModuleId !== '/src/shell/start.tsx');
    expect(() => sortParts(parts)).toThrow('There is not one part that begins with');
  });
});
