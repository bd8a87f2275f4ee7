import { settingsFrom } from './flags.ts';
import { Running } from './running.ts';

// A terminal that was closed cannot be written to any more; that is no reason to stop.
for (const stream of [process.stdout, process.stderr]) stream.on('error', () => undefined);
// What is written here is for its owner.
process.umask(0o077);

const running = await Running.open(settingsFrom(process.argv.slice(2), process.env));
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, () => running.stop());
await running.start();
