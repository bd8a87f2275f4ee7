import { Command, CommanderError } from 'commander';
import { compute } from './compute.ts';

const program = new Command('lattice')
  .description('Dapper Lattice on the command line: the same sums as the app, with the same working.')
  .exitOverride()
  .configureOutput({ outputError: (text, write) => write(text.replace(/^error: /, 'lattice: ')) });

program
  .command('compute')
  .description('Works out a plan file: sizes, pieces to cut, backing, binding, and what to ask the shop for.')
  .argument('<plan>', 'a plan file, as the app exports it')
  .option('--json', 'the whole result as JSON')
  .action((file: string, options: { json?: boolean }) => {
    process.exitCode = compute(file, { json: options.json ?? false, base: process.env['LATTICE_CALLED_FROM'] ?? '.', out: console.log, complain: console.error });
  });

try {
  program.parse();
} catch (error) {
  if (!(error instanceof CommanderError)) throw error;
  process.exitCode = error.exitCode === 0 ? 0 : 2;
}
