import { type ChildProcess, spawn } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { SERVER } from '../../apps/server/start.mjs';

const root = path.resolve(import.meta.dirname, '../..');

/** The real server with the demo on its shelf, in a folder of its own, at a port the system chose. */
export class DemoServer {
  readonly folder = mkdtempSync(path.join(tmpdir(), 'lattice-e2e-'));
  private child: ChildProcess | null = null;
  address = '';
  /** Where it is on the local network, when it is shared. */
  shared = '';

  /** @param flags more of them than a demo needs */
  constructor(private readonly flags: readonly string[] = []) {}

  /** Starts it; a second start after `stop` finds the same data at the same port. */
  async start(): Promise<void> {
    const port = this.address ? new URL(this.address).port : '0';
    const child = spawn(
      process.execPath,
      [...SERVER, '--demo', '--data', this.folder, '--port', port, ...this.flags],
      // Whatever the pages ask, each answer is held against what its operation says of itself.
      { cwd: root, env: { ...process.env, LATTICE_CHECK_ANSWERS: 'yes' } },
    );
    this.child = child;
    let said = '';
    this.address = await new Promise<string>((resolve, reject) => {
      const hear = (chunk: Buffer) => {
        said += chunk.toString();
        const found = /http:\/\/127\.0\.0\.1:\d+\//.exec(said);
        const shared = /https:\/\/[^:\s]+(:\d+\/)/.exec(said);
        if (shared) this.shared = `https://127.0.0.1${shared[1]}`;
        if (found && (shared || !this.flags.includes('--share'))) resolve(found[0]);
      };
      child.stdout.on('data', hear);
      child.stderr.on('data', hear);
      child.on('exit', () => reject(new Error(`The server did not start:\n${said}`)));
    });
  }

  /** Stops it as a person would, and waits until it is gone. */
  async stop(): Promise<void> {
    const child = this.child;
    if (!child || child.exitCode !== null) return;
    const gone = once(child, 'exit');
    child.kill('SIGTERM');
    await gone;
    this.child = null;
  }

  async end(): Promise<void> {
    await this.stop();
    rmSync(this.folder, { recursive: true, force: true });
  }
}
