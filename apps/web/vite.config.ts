import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  root: import.meta.dirname,
  plugins: [react()],
  server: { host: '127.0.0.1', port: 5173, proxy: { '/api': 'http://127.0.0.1:4173' } },
  build: { target: 'es2022', chunkSizeWarningLimit: 600, assetsInlineLimit: 0 },
});
