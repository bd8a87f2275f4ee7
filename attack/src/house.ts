import { type ChildProcess, spawn } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { Agent, request } from 'node:http';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { SERVER } from '../../apps/server/start.mjs';

const root = path.resolve(import.meta.dirname, '../..');

/** Servers that run; none outlives the program that started it. */
const running = new Set<ChildProcess>();
process.on('exit', () => running.forEach((child) => child.kill('SIGKILL')));

/** How a request was answered. */
export interface Answer {
  readonly status: number;
  readonly text: string;
  /** The same as it came. */
  readonly bytes: Buffer;
  readonly headers: Readonly<Record<string, string | string[] | undefined>>;
  readonly ms: number;
}

/** The real server, as it is started by a person, on a folder that is thrown away. */
export class House {
  private child: ChildProcess | null = null;
  private readonly agent = new Agent({ keepAlive: true, maxSockets: 64 });
  private port = 0;
  /** Everything it said since its last start. */
  said = '';

  constructor(
    readonly folder = mkdtempSync(path.join(tmpdir(), 'lattice-attack-')),
    private readonly flags: readonly string[] = [],
    /** What its process gets beside that: Node's own flags, and words of its surroundings. */
    private readonly process: {
      readonly node: readonly string[];
      readonly env: Readonly<Record<string, string>>;
    } = { node: [], env: {} },
  ) {}

  /** Starts the process, and answers at once. */
  launch(): ChildProcess {
    this.said = '';
    const { node, env } = this.process;
    const child = spawn(
      process.execPath,
      [...node, ...SERVER, '--port', '0', '--data', this.folder, ...this.flags],
      { cwd: root, stdio: ['ignore', 'pipe', 'pipe'], env: { ...process.env, ...env } },
    );
    const hear = (chunk: Buffer) => (this.said += chunk.toString());
    child.stdout.on('data', hear);
    child.stderr.on('data', hear);
    running.add(child);
    child.once('exit', () => running.delete(child));
    this.child = child;
    return child;
  }

  /** Starts it; ready once it says where it is. @throws with its own words where it does not start */
  async start(): Promise<this> {
    const child = this.launch();
    this.port = await new Promise<number>((resolve, reject) => {
      const hear = () => {
        const [, port] = /http:\/\/127\.0\.0\.1:(\d+)\//.exec(this.said) ?? [];
        if (port) resolve(Number(port));
      };
      child.stdout!.on('data', hear);
      child.once('exit', () => reject(new Error(this.said.trim())));
    });
    return this;
  }

  /** Starts it expecting that it does not: answers its exit code, and what it said. */
  async refuses(): Promise<{ code: number | null; said: string }> {
    const child = this.launch();
    const timer = setTimeout(() => child.kill('SIGKILL'), 30_000);
    const [code] = (await once(child, 'close')) as [number | null];
    clearTimeout(timer);
    this.child = null;
    return { code, said: this.said.trim() };
  }

  get isRunning(): boolean {
    return this.child !== null && this.child.exitCode === null && this.child.signalCode === null;
  }

  get address(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  get listensAt(): number {
    return this.port;
  }

  /** Ends it by a signal, and waits until it is gone; answers its exit code. */
  async end(signal: NodeJS.Signals = 'SIGTERM'): Promise<number | null> {
    const child = this.child;
    this.child = null;
    this.agent.destroy();
    if (!child || child.exitCode !== null || child.signalCode !== null) return child?.exitCode ?? null;
    // Once everything it said is here.
    const gone = once(child, 'close');
    child.kill(signal);
    return ((await gone) as [number | null])[0];
  }

  /** Sends a signal and does not wait. */
  signal(signal: NodeJS.Signals): void {
    this.child?.kill(signal);
  }

  /** Ends it and throws its folder away. */
  async clear(): Promise<void> {
    await this.end('SIGKILL');
    rmSync(this.folder, { recursive: true, force: true });
  }

  /** The most memory the process had, in MB; 0 where the system does not say. */
  peakMB(): number {
    try {
      const status = readFileSync(`/proc/${this.child?.pid}/status`, 'utf8');
      return Math.round(Number(/VmHWM:\s+(\d+)/.exec(status)?.[1] ?? 0) / 1024);
    } catch {
      return 0;
    }
  }

  /** Asks for something; headers and body exactly as given. @throws where there is no answer */
  ask(
    method: string,
    where: string,
    body?: string | Buffer,
    headers: Readonly<Record<string, string>> = {},
  ): Promise<Answer> {
    const began = performance.now();
    return new Promise((resolve, reject) => {
      const asked = request(
        { host: '127.0.0.1', port: this.port, path: where, method, headers, agent: this.agent },
        (response) => {
          const chunks: Buffer[] = [];
          response.on('data', (chunk: Buffer) => chunks.push(chunk));
          response.on('error', reject);
          response.on('end', () => {
            const bytes = Buffer.concat(chunks);
            resolve({
              status: response.statusCode ?? 0,
              ...{ bytes, text: bytes.toString() },
              headers: response.headers,
              ms: performance.now() - began,
            });
          });
        },
      );
      asked.on('error', (error: NodeJS.ErrnoException) => {
        // A kept connection that the server let go in the same moment says nothing about the server: asked anew.
        if (asked.reusedSocket && error.code === 'ECONNRESET' && this.isRunning)
          resolve(this.ask(method, where, body, headers));
        else reject(error);
      });
      asked.end(body);
    });
  }

  /** Sends JSON. */
  send(method: string, where: string, body: unknown): Promise<Answer> {
    return this.ask(method, where, JSON.stringify(body), { 'content-type': 'application/json' });
  }
}
