import path from 'node:path';
import { defineConfig } from 'vite';

/** The command line with everything in it, so that nothing has to be looked up or compiled at its start; what writes files lies beside it. */
export default defineConfig({
  root: import.meta.dirname,
  logLevel: 'warn',
  ssr: { noExternal: true, external: ['sharp', 'pdfkit'], target: 'node' },
  resolve: {
    alias: {
      '@lattice/core': path.resolve(import.meta.dirname, '../../packages/core/src/index.ts'),
      '@lattice/export/node': path.resolve(import.meta.dirname, '../../packages/export/src/node.ts'),
      '@lattice/photo': path.resolve(import.meta.dirname, '../../packages/photo/src/index.ts'),
      '@lattice/export': path.resolve(import.meta.dirname, '../../packages/export/src/index.ts'),
    },
  },
  build: {
    ssr: 'src/main.ts',
    target: 'node20',
    outDir: path.resolve(import.meta.dirname, '../../node_modules/.lattice/cli'),
    emptyOutDir: true,
    minify: true,
    rolldownOptions: { output: { entryFileNames: 'lattice.mjs', chunkFileNames: '[name].mjs' } },
  },
});
