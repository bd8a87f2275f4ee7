import { floor } from './floor.ts';

// Prints how photos of whole layouts are read, as JSON: `PLAN:SEED …`.
process.stdout.write(
  JSON.stringify(
    process.argv.slice(2).map((asked) => {
      const [name, seed] = asked.split(':');
      return floor(name!, Number(seed), 1000);
    }),
  ),
);
