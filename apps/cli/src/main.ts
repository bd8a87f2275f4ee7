import { Command, CommanderError } from 'commander';
import { TOPICS } from '@lattice/core';
import { ask } from './ask.ts';
import { compute } from './compute.ts';
import { cut, type CutFlags } from './cut.ts';
import type { ExportFlags } from './export.ts';
import type { ImportFlags } from './import.ts';
import type { MeasureFlags } from './measure.ts';
import { fit, type FitFlags } from './fit.ts';
import type { Surroundings } from './open-plan.ts';
import { sew, type SewFlags } from './sew.ts';

const around: Surroundings = {
  base: process.env['LATTICE_CALLED_FROM'] ?? '.',
  out: console.log,
  complain: console.error,
};

// Whoever reads may stop early, as `head` does; that is no fault.
process.stdout.on('error', (error: NodeJS.ErrnoException) => process.exit(error.code === 'EPIPE' ? 0 : 1));

/** What is wrong and what would be right, in one line: scripts read the first. */
function complaint({ commands, options, registeredArguments }: Command, text: string): string {
  const known =
    commands.length > 0
      ? commands.map((c) => c.name())
      : [...registeredArguments.map((a) => `<${a.name()}>`), ...options.map((o) => o.long)];
  return `${text
    .trim()
    .replace(/^error: /, 'lattice: ')
    .replace(/\.$/, '')}; known: ${known.join(', ')}.\n`;
}

const program = new Command('lattice')
  .description('Dapper Lattice on the command line: the same sums as the app, with the same working.')
  .exitOverride()
  .showSuggestionAfterError(false);

program
  .command('compute')
  .description('Works out a plan file: sizes, pieces to cut, backing, binding, and what to ask the shop for.')
  .argument('<plan>', 'a plan file, as the app exports it')
  .option('--json', 'the whole result as JSON')
  .action((file: string, options: { json?: boolean }) => {
    process.exitCode = compute(file, { json: options.json ?? false }, around);
  });

program
  .command('cut')
  .description('Plans the cutting of a plan’s cloths, step by step; or solves a file of cutting problems.')
  .argument('[plan]', 'a plan file, as the app exports it')
  .option('--fabric <id>', 'one cloth only')
  .option('--thrifty', 'the least cloth, as usual')
  .option('--simple', 'the fewest settings of the ruler')
  .option('--longer <seconds>', 'look so long for a shorter plan, for each cloth')
  .option('--problems <file>', 'cutting problems instead of a plan')
  .option('--json', 'the placements as data')
  .action((file: string | undefined, options: Omit<CutFlags, 'json'> & { json?: boolean }) => {
    process.exitCode = cut(file, { ...options, json: options.json ?? false }, around);
  });

program
  .command('sew')
  .description(
    'Plans the sewing of a plan’s top: its ways, every seam in its order, and how each is pressed.',
  )
  .argument('<plan>', 'a plan file, as the app exports it')
  .option('--method <id>', 'the way to sew it; the best when left out')
  .option('--json', 'pieces, steps, seams and crossings as data')
  .action((file: string, options: Omit<SewFlags, 'json'> & { json?: boolean }) => {
    process.exitCode = sew(file, { ...options, json: options.json ?? false }, around);
  });

program
  .command('fit')
  .description('Searches for the settings, grids, sashes and borders that bring a plan’s blocks to a size.')
  .argument('<plan>', 'a plan file, as the app exports it')
  .requiredOption(
    '--target <size>',
    'width x height, like 90x100, in the plan’s unit unless a unit is written; or largest',
  )
  .option('--blocks <count>', 'blocks on hand; the plan’s pile when left out')
  .option('--sash <width>', 'a sash that is fixed')
  .option('--borders <count>', 'borders in the stack, 0 to 3')
  .option('--even', 'borders as wide at top and bottom as at the sides')
  .option('--have <cloth...>', 'cloth in hand, like "sash=1 1/4 yd" or "sash=12 fat-quarter"')
  .option('--json', 'the best designs as JSON')
  .action((file: string, options: Omit<FitFlags, 'json'> & { json?: boolean }) => {
    process.exitCode = fit(file, { ...options, json: options.json ?? false }, around);
  });

program
  .command('export')
  .description('Writes a plan as a file other programs, machines and printers read.')
  .argument('<plan>', 'a plan file, as the app exports it')
  .requiredOption('--to <format>', 'pdf, svg, dxf, csv, png, html, zip, json, ics, gpl or schema')
  .option(
    '--what <part>',
    'layout, cuts, templates, steps, booklet, shopping and more, as the format has them',
  )
  .option('--paper <paper>', 'a4 or letter', 'a4')
  .option('--out <file>', 'where to; beside you, under the quilt’s name, when left out')
  .option('--comma', 'decimal comma and semicolon in tables')
  .option('--date <day>', 'the day it is written, like 2026-11-27; today when left out')
  .action(async (file: string, options: ExportFlags) => {
    // What writes files is large; questions at the counter do not wait for it.
    const { exportPlan } = await import('./export.ts');
    process.exitCode = await exportPlan(file, options, around);
  });

program
  .command('import')
  .description(
    'Takes a file in: a plan or whole quilts onto the shelf of the running app; tables and palettes are described, not stored.',
  )
  .argument('<file>', 'a .json, .zip, .csv or .gpl')
  .option('--server <address>', 'where the app runs', 'http://127.0.0.1:4173/')
  .action(async (file: string, options: ImportFlags) => {
    const { importFile } = await import('./import.ts');
    process.exitCode = await importFile(file, options, around);
  });

program
  .command('measure')
  .description('Measures a block by one photo of it beside or inside a reference.')
  .argument('<photo>', 'a JPEG, PNG or WebP')
  .option(
    '--reference <kind>',
    'letter or a4, the printed sheet; or WIDTHxHEIGHT of the rectangle round four cards',
    'letter',
  )
  .option('--reference-corners <corners>', 'its outer corners in pixels, clockwise: "x,y x,y x,y x,y"')
  .option('--block-corners <corners>', 'the block’s corners in pixels, clockwise')
  .option('--unit <unit>', 'in or cm', 'in')
  .option('--json', 'the lengths, the corners and what is unsure as data')
  .action(async (file: string, options: MeasureFlags) => {
    const { measure } = await import('./measure.ts');
    process.exitCode = await measure(file, options, around);
  });

const counter = program
  .command('ask')
  .description('Quick answers at the counter, with no project: lengths in inches unless --unit cm.');
for (const { name, describes, flags } of TOPICS) {
  const command = counter.command(name).description(describes);
  for (const { key, label } of flags) command.option(`--${key} <value>`, label);
  command
    .option('--unit <unit>', 'in or cm', 'in')
    .option('--json', 'the answer as data')
    .action((options: Record<string, string | boolean | undefined>) => {
      // The flags as they were written; the parser has turned their dashes into capitals.
      const written = flags.flatMap(({ key }) => {
        const value = options[key.replace(/-([a-z])/g, (_, letter: string) => letter.toUpperCase())];
        return typeof value === 'string' ? [[key, value] as const] : [];
      });
      process.exitCode = ask(
        name,
        Object.fromEntries(written),
        { unit: String(options['unit']), json: options['json'] === true },
        around,
      );
    });
}

for (const command of [program, ...program.commands, ...counter.commands])
  command.configureOutput({ outputError: (text, write) => write(complaint(command, text)) });

try {
  await program.parseAsync();
} catch (error) {
  if (!(error instanceof CommanderError)) throw error;
  process.exitCode = error.exitCode === 0 ? 0 : 2;
}
