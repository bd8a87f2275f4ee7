/** The commands behind ./lattice. Each is its own file; this names them. */
const COMMANDS = {
  demo: [
    'install, build, seed and serve the demo  [--port N] [--data DIR] [--share] [--log FILE]',
    () => import('./commands/demo.mjs'),
  ],
  backup: [
    'copy all that is kept to one checked file, while the server runs  [FILE] [--data DIR]',
    () => import('./commands/backup.mjs'),
  ],
  restore: [
    'put a backup in the place of what is kept  FILE [--data DIR]',
    () => import('./commands/backup.mjs'),
  ],
  test: [
    'install what is needed, then lint, types, unit and browser tests; how long each took  [--times]',
    () => import('./commands/test.mjs'),
  ],
  dev: ['serve with live reload for developers', () => import('./commands/dev.mjs')],
  shots: ['draw docs/screenshots from the demo', () => import('./commands/shots.mjs')],
  mutate: [
    'put the tests against small faults in the core  [ROOM …] [--sample N] [--all] [--survivors], or against those planted by hand  --planted [FAULT …]',
    () => import('./commands/mutate.mjs'),
  ],
  attack: [
    'go at the server: kills, full disks, bent requests, …  [NAME …] [--rounds N] [--seed N]',
    () => import('./commands/attack.mjs'),
  ],
  agree: [
    'whether every surface gives the same figures, over evenings by chance  [--evenings N] [--seed N]',
    () => import('./commands/agree.mjs'),
  ],
  graph: [
    'draw which room of the core needs which into docs/rooms.svg',
    () => import('./commands/graph.mjs'),
  ],
  bench: [
    'time the core and the server; JSON lines, ratios within the run  [CASE …]',
    () => import('./commands/bench.mjs'),
  ],
  hand: [
    'measure in a browser how quick the app is under the hand; JSON lines, ratios within the run',
    () => import('./commands/hand.mjs'),
  ],
  compute: ['work out a plan file  PLAN.json [--json]', () => import('./commands/core.mjs')],
  cut: [
    'plan the cutting, cloth by cloth  PLAN.json [--fabric ID] [--simple] [--longer SECONDS] [--json]',
    () => import('./commands/core.mjs'),
  ],
  sew: [
    'plan the sewing, seam by seam  PLAN.json [--method ID] [--json]',
    () => import('./commands/core.mjs'),
  ],
  ask: [
    'quick answers at the counter  TOPIC [--flags] [--unit cm] [--json]',
    () => import('./commands/core.mjs'),
  ],
  export: [
    'write a plan as pdf, svg, dxf, csv, png, html, zip, …  PLAN.json --to FORMAT [--what PART] [--paper letter] [--out FILE]',
    () => import('./commands/core.mjs'),
  ],
  import: [
    'take a plan, whole quilts, a table or a palette in  FILE [--server ADDRESS]',
    () => import('./commands/core.mjs'),
  ],
  measure: [
    'measure a block by one photo of it  PHOTO [--reference letter|a4|WIDTHxHEIGHT] [--unit cm] [--json]',
    () => import('./commands/core.mjs'),
  ],
  fit: [
    'find designs of a size  PLAN.json --target 90x100 [--blocks 30] [--json]',
    () => import('./commands/core.mjs'),
  ],
};

const [name, ...args] = process.argv.slice(2);
const command = COMMANDS[name];
if (!command) {
  const asked = name && !['help', '--help', '-h'].includes(name);
  if (asked) console.error(`./lattice ${name}: there is no such command.`);
  console.log('Usage: ./lattice COMMAND\n');
  for (const [key, [says]] of Object.entries(COMMANDS)) console.log(`  ${key.padEnd(9)}${says}`);
  process.exit(asked ? 2 : 0);
}
const { run } = await command[1]();
process.exitCode = await run(args, name);
