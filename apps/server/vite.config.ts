import path from 'node:path';
import { defineConfig } from 'vite';

const at = (place: string) => path.resolve(import.meta.dirname, place);

/**
 * What the server starts from: the house's own code and most packages in a few files, so that it is up in a second. What
 * brings files or machine code of its own stays where it is installed. The maker of pictures, the one of files and
 * the backup by command are programs of their own.
 */
export default defineConfig({
  root: import.meta.dirname,
  logLevel: 'warn',
  ssr: {
    noExternal: true,
    external: ['better-sqlite3', 'knex', 'pdfkit', 'pino', 'sharp'],
    target: 'node',
  },
  resolve: {
    alias: {
      '@lattice/contract': at('../../packages/contract/src/index.ts'),
      '@lattice/core': at('../../packages/core/src/index.ts'),
      '@lattice/export/formats': at('../../packages/export/src/formats.ts'),
      '@lattice/export/node': at('../../packages/export/src/node.ts'),
      '@lattice/export': at('../../packages/export/src/index.ts'),
    },
  },
  build: {
    ssr: true,
    target: 'node20',
    outDir: at('../../node_modules/.lattice/server'),
    emptyOutDir: true,
    // Read by whoever looks into an error that the log tells of.
    minify: false,
    rolldownOptions: {
      input: {
        server: at('src/main.ts'),
        backup: at('src/backup/main.ts'),
        maker: at('src/pictures/maker.ts'),
        binder: at('src/parcels/binder.ts'),
      },
      output: { entryFileNames: '[name].mjs', chunkFileNames: '[name].mjs' },
    },
  },
});
