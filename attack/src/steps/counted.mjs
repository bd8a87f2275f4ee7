// Loaded into a program of the house before its own first line (`--import`): counts what it does to the disk, statement by
// statement and file by file, and ends it right before one of them, as if the power had gone.
//
// STEPS_FROM=signal counts from SIGUSR2 on instead of from the start; STEPS_KILL=N ends it before its step N. What was
// counted is said when it ends by itself: `steps N`.
import { createRequire, syncBuiltinESMExports } from 'node:module';

const require = createRequire(import.meta.url);
const fs = require('node:fs');
const Driver = require('better-sqlite3');

const killAt = Number(process.env['STEPS_KILL'] ?? 0);
let counting = process.env['STEPS_FROM'] !== 'signal';
let steps = 0;

function step() {
  if (!counting) return;
  steps += 1;
  if (steps === killAt) process.kill(process.pid, 'SIGKILL');
}

/** Has each call of a function counted before it is made. */
function count(owner, name, counts = () => true) {
  const before = owner[name];
  owner[name] = function (...args) {
    if (counts(this)) step();
    return before.apply(this, args);
  };
}

const memory = new Driver(':memory:');
const statement = Object.getPrototypeOf(memory.prepare('select 1'));
memory.close();
// Reading leaves the disk as it is.
const writes = ({ source }) => !/^\s*(select|with)\b/i.test(source);
for (const name of ['run', 'get', 'all']) count(statement, name, writes);
for (const name of ['exec', 'close']) count(Driver.prototype, name);
const { backup } = Driver.prototype;
Driver.prototype.backup = function (file, options) {
  const progress = (info) => {
    step();
    return options.progress(info);
  };
  return backup.call(this, file, { ...options, progress });
};
for (const name of [
  'renameSync',
  'rmSync',
  'copyFileSync',
  'fsyncSync',
  'mkdirSync',
  'chmodSync',
  'writeFileSync',
])
  count(fs, name);
syncBuiltinESMExports();

process.on('SIGUSR2', () => {
  counting = true;
  fs.writeSync(2, 'counting\n');
});
process.on('exit', () => fs.writeSync(2, `steps ${steps}\n`));
