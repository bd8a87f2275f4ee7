import { spawnSync } from 'node:child_process';
import path from 'node:path';
import { performance } from 'node:perf_hooks';

const root = path.resolve(import.meta.dirname, '../..');
const RUNS = 15;

/** Median time of whole processes, one of each kind by turns, in milliseconds. */
function processes(kinds: readonly (readonly [command: string, ...args: string[]])[]): number[] {
  const times = kinds.map((): number[] => []);
  for (let run = -1; run < RUNS; run++) {
    kinds.forEach(([command, ...args], i) => {
      const began = performance.now();
      const { status } = spawnSync(command, args, { cwd: root, stdio: 'ignore' });
      if (status !== 0) throw new Error(`${command} ${args.join(' ')} ended with ${status}`);
      if (run >= 0) times[i]!.push(performance.now() - began);
    });
  }
  return times.map((list) => list.sort((a, b) => a - b)[Math.floor(RUNS / 2)]!);
}

/** An answer on the command line, from the door to its end, as a ratio to a Node that does nothing. */
export function* quick() {
  const [bare, ask, compute] = processes([
    ['node', '-e', '0'],
    [path.join(root, 'lattice'), 'ask', 'binding', '--width', '60', '--height', '72'],
    [path.join(root, 'lattice'), 'compute', 'demo/potting-shed.plan.json'],
  ]);
  for (const [name, time] of [
    ['ask', ask!],
    ['compute', compute!],
  ] as const) {
    yield {
      case: 'quick',
      name,
      ms: Math.round(time),
      nodeMs: Math.round(bare!),
      ratioToNode: Math.round(100 * (time / bare!)) / 100,
      aim: 4,
    };
  }
}
