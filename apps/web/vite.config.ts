import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';
import { sharedParts } from './build/shared-parts.ts';

/** Kept so long, and so many, for opening without the network. */
const MONTH_S = 30 * 24 * 3600;

/** Files that need each other come up half made, and what they hold is missing now and then: such a build is refused. */
const noCircles: Plugin = {
  name: 'no-circles',
  generateBundle(_, bundle) {
    const needs = (file: string): readonly string[] => {
      const part = bundle[file];
      return part?.type === 'chunk' ? part.imports : [];
    };
    for (const file of Object.keys(bundle)) {
      const seen = new Set<string>();
      const ahead = [...needs(file)];
      for (let next = ahead.pop(); next !== undefined; next = ahead.pop()) {
        if (next === file) this.error(`${file} needs itself, by way of ${[...seen].join(', ')}`);
        if (!seen.has(next)) ahead.push(...needs(next));
        seen.add(next);
      }
    }
  },
};

/** Read off only when the app is built: tools that look at what is set here do not wait for it. */
const partsShared: Plugin = {
  name: 'parts-shared',
  apply: 'build',
  config: async () => ({
    build: {
      rolldownOptions: {
        output: {
          codeSplitting: {
            groups: [{ name: await sharedParts(import.meta.dirname) }],
            includeDependenciesRecursively: false,
          },
        },
      },
    },
  }),
};

/** The app itself is asked for by the page, beside the small file that asks for it. */
const startAhead: Plugin = {
  name: 'start-ahead',
  transformIndexHtml: {
    order: 'post',
    handler(_, { bundle }) {
      const start = Object.values(bundle ?? {}).find(
        (part) => part.type === 'chunk' && part.facadeModuleId?.endsWith('/shell/start.tsx'),
      );
      if (start?.type !== 'chunk') return [];
      return [start.fileName, ...start.imports].map((file) => ({
        tag: 'link',
        attrs: { rel: 'modulepreload', crossorigin: true, href: `/${file}` },
        injectTo: 'head' as const,
      }));
    },
  },
};

export default defineConfig({
  root: import.meta.dirname,
  plugins: [
    react(),
    noCircles,
    startAhead,
    partsShared,
    VitePWA({
      // A newer app is offered, and taken when the quilter says so.
      registerType: 'prompt',
      injectRegister: null,
      manifest: {
        name: 'Dapper Lattice',
        short_name: 'Lattice',
        description: 'From finished blocks to a finished quilt.',
        display: 'standalone',
        start_url: '/',
        theme_color: '#1f2b42',
        background_color: '#f3f0e8',
        icons: [{ src: '/icon.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' }],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,woff,woff2}'],
        // Letters of alphabets this app is not written in stay where they are until they are asked for.
        globIgnores: ['**/*-{vietnamese,cyrillic,greek,latin-ext}*'],
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api/],
        // From the first visit on, not from the second.
        clientsClaim: true,
        cleanupOutdatedCaches: true,
        runtimeCaching: [
          {
            urlPattern: ({ url, sameOrigin }) => sameOrigin && /^\/api\/pictures\//.test(url.pathname),
            handler: 'CacheFirst',
            options: { cacheName: 'pictures', expiration: { maxEntries: 600, maxAgeSeconds: MONTH_S } },
          },
          {
            // The shelf and its quilts as they were last seen, when the server cannot be reached.
            urlPattern: ({ url, sameOrigin }) =>
              sameOrigin && /^\/api\/(quilts(\/[^/]+)?|house)$/.test(url.pathname),
            handler: 'NetworkFirst',
            options: { cacheName: 'quilts', expiration: { maxEntries: 300, maxAgeSeconds: MONTH_S } },
          },
        ],
      },
    }),
  ],
  server: { host: '127.0.0.1', port: 5173, proxy: { '/api': 'http://127.0.0.1:4173' } },
  build: {
    target: 'es2022',
    chunkSizeWarningLimit: 600,
    assetsInlineLimit: 0,
  },
});
