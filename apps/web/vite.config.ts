import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

/** Kept so long, and so many, for opening without the network. */
const MONTH_S = 30 * 24 * 3600;

/**
 * What the stages of a quilt share lies in two files: as eighty small ones it took longer to fetch than to run. The first
 * screen takes none of it; a browser test holds what that may weigh.
 */
const SHARED_BY_STAGES = [
  {
    name: 'controls',
    test: new RegExp(
      [
        'react-(aria|stately)/dist/private/(?!(button|collections|flags|focus|i18n|interactions|label|live-announcer|progress|ssr|utils)/)[a-z-]+/',
        'react-aria/dist/private/button/useToggle',
        'react-aria-components/dist/private/(?!Button|FileTrigger|Input|Label|ProgressBar|utils)',
      ].join('|'),
    ),
    minShareCount: 2,
    includeDependenciesRecursively: false,
  },
  {
    name: 'quilt',
    test: new RegExp(
      [
        'core/src/(beginning|block|cutting|finder|layer|pile|placing|progress|quilt|refusal|shopping|soundness|table|target)/',
        'core/src/(border/spacer|colour/(colour|main))',
        'core/src/format/(blocks-csv|plan-json|stash-csv|table-csv)',
        'core/src/edge/(cuts|edge-advice|edge-words|finishes|points-at-edge|together)',
        'core/src/log/(cut-record|sew-record|stash\.ts)',
        'core/src/plan/(cloth-shape|convert|edge-shape|fields|layer-shape|migrations|shape|start)',
        'web/src/(figures|paper|shop|stash)/',
        'web/src/app/(Calm|use(Follows|InAddress))',
        'web/src/beginning/(AddByLine|beginWithBlocks|handInHand|PileLineField|SpareOffers|usePileLine)',
        'web/src/design/(cardStyles|Leaf|Paper|SettingCard|Sheet|controls/(?!Button))',
        'web/src/drawing/(Board|Bubble|marks|paths|QuiltBoard|QuiltInWords|ScaledBoard|SettingSample|Tape|useRoom)',
        'web/src/quilt/(borderEdits|download|selectors|useEdit|useMoveBand)',
        'web/src/stages/(stageLayout|StageWithBoard|blocks/(readTable|UnderstoodSheet)|borders/BordersSection|borders/RepeatFields)',
        'node_modules/(culori|papaparse)/',
      ].join('|'),
    ),
    minShareCount: 2,
    includeDependenciesRecursively: false,
  },
];

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

export default defineConfig({
  root: import.meta.dirname,
  plugins: [
    react(),
    noCircles,
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
    rolldownOptions: { output: { codeSplitting: { groups: SHARED_BY_STAGES } } },
  },
});
