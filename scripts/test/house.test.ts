import { spawn, spawnSync } from 'node:child_process';
import { once } from 'node:events';
import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { SERVER } from '../../apps/server/start.mjs';

const root = path.resolve(__dirname, '../..');

/** Texts that break a wall, each were it a file at its place. */
const BREAKERS = {
  core: [
    'packages/core/src/border/x.ts',
    [
      "import { useState } from 'react';",
      "import fs from 'node:fs';",
      "import knex from 'knex';",
      "import { a } from '../../../../apps/web/src/shell/start.tsx';",
      "import { z } from 'zod';",
      "import { near } from '../length/tolerance.ts';",
      'export const b = [useState, fs, knex, a, z, near, Date.now(), Math.random(), document.title];',
    ].join('\n'),
  ],
  'web to server': [
    'apps/web/src/shelf/x.ts',
    "import { createApp } from '../../../server/src/app.ts';\nexport default createApp;",
  ],
  'web into core': [
    'apps/web/src/shelf/x.ts',
    "import { near } from '../../../../packages/core/src/length/tolerance.ts';\nexport default near;",
  ],
  'server to web': [
    'apps/server/src/x.ts',
    "import { api } from '../../web/src/app/api.ts';\nexport default api;",
  ],
  'contract to page': [
    'packages/contract/src/x.ts',
    "import { useState } from 'react';\nexport default useState;",
  ],
  'shapes to the first screen': [
    'apps/web/src/shelf/x.ts',
    "import { OPERATIONS } from '@lattice/contract';\nexport default OPERATIONS;",
  ],
  'camera to disk': ['packages/photo/src/x.ts', "import fs from 'node:fs';\nexport default fs;"],
} as const;

describe('the walls of the house', () => {
  // One linter for all: to start it takes longer than to ask it.
  const said = new Map<string, string>();
  beforeAll(() => {
    const asked = Object.values(BREAKERS).map(([file, text]) => ({ file: path.join(root, file), text }));
    const { stdout } = spawnSync(process.execPath, [path.join(__dirname, 'support/lint.mjs')], {
      cwd: root,
      input: JSON.stringify(asked),
      encoding: 'utf8',
    });
    const answers = JSON.parse(stdout) as string[];
    Object.keys(BREAKERS).forEach((name, i) => said.set(name, answers[i]!));
  });
  const of = (name: keyof typeof BREAKERS) => said.get(name)!;

  test('core imports nothing from outside it, and nothing impure', () => {
    for (const line of [1, 2, 3, 4])
      expect(of('core')).toMatch(new RegExp(`^ +${line}:.*(core imports nothing outside itself)`, 'm'));
    for (const line of [5, 6]) expect(of('core')).not.toMatch(new RegExp(`^ +${line}:`, 'm'));
    expect(of('core').match(/The core is pure/g)).toHaveLength(3);
  });

  test('web and server never import each other, and use only the core’s public face', () => {
    expect(of('web to server')).toContain('over HTTP only');
    expect(of('web into core')).toContain('public face');
    expect(of('server to web')).toContain('knows no interface');
    expect(of('camera to disk')).toContain('nothing of page or disk');
  });
});

describe('circles', () => {
  // One house of all of them: to read the reader takes longer than to ask it.
  const folder = mkdtempSync(path.join(tmpdir(), 'lattice-circles-'));
  const inCircles = new Map<string, string[]>();
  let status: number | null = null;
  const write = (file: string, text: string) => {
    mkdirSync(path.dirname(path.join(folder, file)), { recursive: true });
    writeFileSync(path.join(folder, file), text);
  };
  const imports = (from: string, what: string, to: string) =>
    write(from, `import ${what} from '${to}';\nexport type T = typeof x;\nexport const y = 1;\n`);

  beforeAll(() => {
    const core = 'packages/core/src';
    write(`${core}/length/leaf.ts`, 'export const x = 1;\nexport type T = number;\n');
    imports(`${core}/plan/a.ts`, '{ x }', '../length/leaf.ts');
    // Two rooms, through files that by themselves lie in no circle.
    imports(`${core}/sash/a.ts`, '{ y as x }', '../border/b.ts');
    imports(`${core}/border/b.ts`, '{ x }', '../length/leaf.ts');
    imports(`${core}/border/c.ts`, 'type { T as x }', '../sash/d.ts');
    imports(`${core}/sash/d.ts`, '{ x }', '../length/leaf.ts');
    // Three.
    imports(`${core}/layers/a.ts`, 'type { T as x }', '../edge/b.ts');
    imports(`${core}/edge/b.ts`, 'type { T as x }', '../wall/c.ts');
    imports(`${core}/wall/c.ts`, 'type { T as x }', '../layers/d.ts');
    imports(`${core}/layers/d.ts`, '{ x }', '../length/leaf.ts');
    // Files of another room: two that need each other when they run, and two that only speak of each other.
    imports('apps/web/src/a.ts', '{ y as x }', './b.tsx');
    imports('apps/web/src/b.tsx', '{ y as x }', './a.ts');
    imports('apps/web/src/c.ts', '{ y as x }', './d.ts');
    imports('apps/web/src/d.ts', 'type { y as x }', './c.ts');
    // The web: a neighbour, down, and up; up by a type alone, and by what is fetched when it is needed.
    const web = 'apps/web/src';
    write(`${web}/state/leaf.ts`, 'export const x = 1;\nexport type T = number;\n');
    imports(`${web}/sync/down.ts`, '{ x }', '../state/leaf.ts');
    imports(`${web}/state/beside.ts`, '{ x }', './leaf.ts');
    imports(`${web}/rooms/stash/low.ts`, '{ x }', '../../state/leaf.ts');
    imports(`${web}/design/up.ts`, '{ x }', '../state/leaf.ts');
    imports(`${web}/state/up.ts`, 'type { T as x }', '../sync/down.ts');
    write(`${web}/rooms/clock/up.ts`, "export const x = () => import('../../stages/cut/a.ts');\n");
    imports(`${web}/stages/cut/a.ts`, '{ x }', '../../rooms/stash/low.ts');
    // Rooms of the web and of the server, by files in no circle.
    imports(`${web}/rooms/shop/a.ts`, '{ x }', '../stash/low.ts');
    imports(`${web}/rooms/stash/b.ts`, '{ x }', '../shop/c.ts');
    imports(`${web}/rooms/shop/c.ts`, '{ x }', '../../state/leaf.ts');
    imports('apps/server/src/log/a.ts', 'type { T as x }', '../gate/b.ts');
    imports('apps/server/src/gate/b.ts', '{ x }', '../../../../packages/core/src/length/leaf.ts');
    imports('apps/server/src/gate/c.ts', 'type { T as x }', '../log/d.ts');
    imports('apps/server/src/log/d.ts', '{ x }', '../../../../packages/core/src/length/leaf.ts');
    const said = spawnSync(
      path.join(root, 'node_modules/.bin/depcruise'),
      ['--config', path.join(root, '.dependency-cruiser.mjs'), 'packages', 'apps', '--output-type', 'err'],
      { cwd: folder, encoding: 'utf8' },
    );
    status = said.status;
    for (const [, rule, from] of said.stdout.matchAll(/error ([a-z-]+): (\S+)/g))
      inCircles.set(rule!, [...(inCircles.get(rule!) ?? []), from!]);
    rmSync(folder, { recursive: true });
  });

  test('two rooms of core, web or server that need each other are noticed, even by types alone; so are three', () => {
    const rooms = [
      ...['gate', 'log'].map((room) => `apps/server/src/${room}`),
      ...['shop', 'stash'].map((room) => `apps/web/src/rooms/${room}`),
      ...['border', 'edge', 'layers', 'sash', 'wall'].map((room) => `packages/core/src/${room}`),
    ];
    expect([...new Set(inCircles.get('rooms-one-way'))].sort()).toEqual(rooms);
    expect(status).toBeGreaterThan(0);
  });
  test('two files that need each other are noticed anywhere, by types alone too', () =>
    // Said once of each circle, from its first file.
    expect(inCircles.get('files-one-way')?.sort()).toEqual(['apps/web/src/a.ts', 'apps/web/src/c.ts']));
  test('a layer of the web that looks up is noticed: by a type, or by what is fetched later', () => {
    const up = [...inCircles].filter(([rule]) => rule.endsWith('looks-down'));
    expect(Object.fromEntries(up)).toEqual({
      'web-design-looks-down': ['apps/web/src/design/up.ts'],
      'web-state-looks-down': ['apps/web/src/state/up.ts'],
      'web-rooms-looks-down': ['apps/web/src/rooms/clock/up.ts'],
    });
  });
});

describe('the rooms of the core', () => {
  const rooms = readdirSync(path.join(root, 'packages/core/src'), { withFileTypes: true })
    .filter((entry) => entry.isDirectory())
    .map(({ name }) => name)
    .sort();

  test('each is named on the map of CONTRIBUTING, and none is invented', () => {
    const map = readFileSync(path.join(root, 'CONTRIBUTING.md'), 'utf8');
    const named = [...map.matchAll(/^\| `([a-z]+)\/` \|/gm)].map(([, name]) => name!);
    expect([...named].sort()).toEqual(rooms);
    // Files named anywhere on it are there.
    const files = [...map.matchAll(/`((?:packages|apps|scripts|docs|e2e|bench)\/[\w./-]+)`/g)].map(
      ([, file]) => file!,
    );
    expect(files.filter((file) => !existsSync(path.join(root, file)))).toEqual([]);
  });

  test('the drawing in docs is of the house as it stands', () => {
    const script =
      "import('./scripts/rooms.mjs').then((m) => console.log(m.withoutShortcuts(m.roomEdges()).join(',')))";
    const said = spawnSync('node', ['--eval', script], { cwd: root, encoding: 'utf8' }).stdout.trim();
    const drawn = [
      ...readFileSync(path.join(root, 'docs/rooms.svg'), 'utf8').matchAll(
        /<title>([a-z]+)&#45;&gt;([a-z]+)<\/title>/g,
      ),
    ];
    expect(drawn.map(([, from, to]) => `${from} -> ${to}`).sort()).toEqual(said.split(',').sort());
  });
});

test('everything the core exports says what it is, but for types that follow from a value', () => {
  const files = spawnSync('git', ['ls-files', '-co', '--exclude-standard', 'packages/core/src'], {
    cwd: root,
    encoding: 'utf8',
  })
    .stdout.split('\n')
    .filter((file) => file.endsWith('.ts') && existsSync(path.join(root, file)));
  const bare = files.flatMap((file) => {
    const lines = readFileSync(path.join(root, file), 'utf8').split('\n');
    return lines.flatMap((line, i) => {
      const exported = /^export (?:async )?(?:const|function\*?|interface|class|type) (\w+)/.exec(line);
      const follows = /^export type \w+ = .*(?:typeof|z\.infer|\[')/.test(line);
      return exported && !follows && !/^ ?\*\/|\*\/$/.test(lines[i - 1] ?? '')
        ? [`${file}: ${exported[1]}`]
        : [];
    });
  });
  expect(files.length).toBeGreaterThan(100);
  expect(bare).toEqual([]);
});

test('every name on the public face of the core is used by somebody', () => {
  const face = readFileSync(path.join(root, 'packages/core/src/index.ts'), 'utf8');
  const names = [...face.matchAll(/export \{([^}]*)\}/g)].flatMap(([, list]) =>
    list!
      .split(',')
      .map((name) =>
        name
          .trim()
          .replace(/^type /, '')
          .split(' as ')
          .at(-1)!,
      )
      .filter(Boolean),
  );
  const users = spawnSync(
    'git',
    [
      'ls-files',
      '-co',
      '--exclude-standard',
      'apps',
      'bench',
      'e2e',
      'packages/core/test',
      'packages/export',
      'packages/contract',
      'packages/photo',
    ],
    {
      cwd: root,
      encoding: 'utf8',
    },
  )
    .stdout.split('\n')
    .filter((file) => /\.tsx?$/.test(file) && existsSync(path.join(root, file)));
  const words = new Set(
    users.flatMap((file) => readFileSync(path.join(root, file), 'utf8').match(/\w+/g) ?? []),
  );
  expect(names.length).toBeGreaterThan(100);
  expect(names.filter((name) => !words.has(name))).toEqual([]);
});

describe('starting the server badly', () => {
  const start = (...args: string[]) =>
    spawnSync(process.execPath, [...SERVER, ...args], {
      cwd: root,
      encoding: 'utf8',
      timeout: 20_000,
    });
  const oneLine = (run: { status: number | null; stderr: string }, words: RegExp) => {
    expect(run.status).toBe(1);
    expect(run.stderr.trim().split('\n')).toEqual([expect.stringMatching(words)]);
  };

  test('a port in use, a port that is none, a folder that cannot be: one clear line each', async () => {
    const folder = mkdtempSync(path.join(tmpdir(), 'lattice-start-'));
    const holder = createServer().listen(0, '127.0.0.1');
    await once(holder, 'listening');
    const { port } = holder.address() as { port: number };
    oneLine(
      start('--port', String(port), '--data', folder),
      new RegExp(`^Port ${port} is in use\\. Choose another with --port N`),
    );
    holder.close();
    oneLine(start('--port', 'seven', '--data', folder), /^--port seven: a port is a whole number/);
    oneLine(
      start('--data', path.join(root, 'package.json', 'inside')),
      /cannot be written to\. Choose another with --data DIR\.$/,
    );
    rmSync(folder, { recursive: true });
  });

  test('asked to stop it stops cleanly', async () => {
    const folder = mkdtempSync(path.join(tmpdir(), 'lattice-stop-'));
    const child = spawn(process.execPath, [...SERVER, '--port', '0', '--data', folder], { cwd: root });
    while (!/at http/.test(String((await once(child.stdout, 'data'))[0])));
    child.kill('SIGTERM');
    expect((await once(child, 'exit'))[0]).toBe(0);
    rmSync(folder, { recursive: true });
  });
});

describe('an old Node, or none', () => {
  test('one clear line each', () => {
    const folder = mkdtempSync(path.join(tmpdir(), 'lattice-node-'));
    const run = () =>
      spawnSync('/bin/sh', [path.join(root, 'lattice'), 'demo'], {
        encoding: 'utf8',
        env: { PATH: `${folder}:/usr/sbin:/sbin` },
      });
    symlinkSync('/usr/bin/dirname', path.join(folder, 'dirname'));
    expect(run()).toMatchObject({
      status: 1,
      stderr:
        'Dapper Lattice needs Node 20.19 or newer, and there is no Node here. Install it, then try again.\n',
    });
    writeFileSync(
      path.join(folder, 'node'),
      '#!/bin/sh\n[ "$1" = --version ] && echo v18.2.0 && exit 0\nexit 1\n',
      { mode: 0o755 },
    );
    expect(run()).toMatchObject({
      status: 1,
      stderr:
        'Dapper Lattice needs Node 20.19 or newer; this is v18.2.0. Install a newer one, then try again.\n',
    });
    rmSync(folder, { recursive: true });
  });
});

describe('the trade’s rules', () => {
  const rules = [
    ...readFileSync(path.join(root, 'docs/trade-rules.md'), 'utf8').matchAll(/^### ([A-Z]{2}-\d+) · .+$/gm),
  ].map(([, id]) => id!);
  const kinds = [...new Set(rules.map((id) => id.slice(0, 2)))];
  const files = spawnSync('git', ['ls-files', '-co', '--exclude-standard', 'packages', 'apps', 'e2e'], {
    cwd: root,
    encoding: 'utf8',
  })
    .stdout.split('\n')
    .filter((f) => /\.tsx?$/.test(f));
  const cited = (of: (file: string) => boolean) => {
    const ids = new Set<string>();
    for (const file of files.filter(of))
      for (const [id] of readFileSync(path.join(root, file), 'utf8').matchAll(
        new RegExp(`\\b(?:${kinds.join('|')})-\\d+\\b`, 'g'),
      ))
        ids.add(id);
    return ids;
  };
  const isTest = (file: string) => /\/test\/|^e2e\//.test(file);
  test('none stands twice; every rule that is cited stands there', () => {
    expect(new Set(rules).size).toBe(rules.length);
    expect([...cited(() => true)].filter((id) => !rules.includes(id))).toEqual([]);
  });
  test('every rule is cited by code and by a check', () => {
    const [code, checks] = [cited((f) => !isTest(f)), cited(isTest)];
    expect(rules.filter((id) => !code.has(id))).toEqual([]);
    expect(rules.filter((id) => !checks.has(id))).toEqual([]);
  });
});

describe('the project’s papers', () => {
  test('every screenshot is linked from the README, every script has its line there', () => {
    const readme = readFileSync(path.join(root, 'README.md'), 'utf8');
    const door = readFileSync(path.join(root, 'scripts/lattice.mjs'), 'utf8');
    const commands = [...door.matchAll(/^ {2}(\w+): \[/gm)].map(([, command]) => command!);
    expect(commands.length).toBeGreaterThan(10);
    for (const command of commands) expect(readme).toContain(`./lattice ${command}`);
    const pictures = readdirSync(path.join(root, 'docs/screenshots'));
    expect(pictures.length).toBeLessThan(20);
    for (const picture of pictures) expect(readme).toContain(`docs/screenshots/${picture}`);
  });
});
