import { spawn } from 'node:child_process';
import path from 'node:path';

/** The bare server (`bare.ts`) in a process of its own, with so many quilts once it got the first one. */
export async function startBare(quilts = 1): Promise<{ readonly address: string; stop(): void }> {
  const child = spawn(
    process.execPath,
    ['--import', 'tsx', path.join(import.meta.dirname, 'bare.ts'), String(quilts)],
    { stdio: ['ignore', 'pipe', 'inherit'] },
  );
  const address = await new Promise<string>((resolve) => {
    child.stdout.on('data', (chunk: Buffer) => {
      const [, found] = /(http:\S+)\//.exec(chunk.toString()) ?? [];
      if (found) resolve(found);
    });
  });
  return { address, stop: () => void child.kill('SIGTERM') };
}
