import react from '@vitejs/plugin-react';
import { build, type Rolldown } from 'vite';
import { sortParts } from './sort-parts.ts';

/**
 * Which file of its own a module lies in, read off a first, unwritten build. Left to itself the bundler makes a file for
 * every set of pages that share something: eighty small ones took longer to fetch than to run.
 */
export async function sharedParts(root: string): Promise<(id: string) => string | null> {
  const built = (await build({
    configFile: false,
    root,
    logLevel: 'silent',
    plugins: [react()],
    build: { write: false, minify: false, target: 'es2022', assetsInlineLimit: 0 },
  })) as Rolldown.RolldownOutput;
  return sortParts(built.output.filter((part) => part.type === 'chunk'));
}
