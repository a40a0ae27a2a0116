import { realpathSync } from 'node:fs';
import { join } from 'node:path';
import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

/** What the bench fetches once its first picture is there; what it needs before is in the first file. */
const BENCH = /src\/views\/bench\/\w+\.tsx$/;

/** Whether a module is one of these of `src`; one that is not there stops the build, or a file that moved would go unseen. */
const oneOf = (...paths: readonly string[]) => {
  const files = paths.map((path) => realpathSync(join(import.meta.dirname, 'src', path)));
  return (id: string): boolean => files.includes(id);
};

/** What keeps all that the maker has: a first look does without, and later visits fetch it at once. */
const KEEPING = oneOf(
  'store/openData.ts',
  'data/database.ts',
  'data/schema.ts',
  'data/storage.ts',
  'data/panels.ts',
  'data/thumbnails.ts',
  'data/demo/sittings.ts',
  'views/shell/StorageWatch.tsx',
);
const DEXIE = /node_modules\/dexie/;

/** The files the page comes in: few, since each asked for costs the browser and the server some 5 ms of work. */
const PARTS = [
  { name: 'first', tags: ['$initial' as const], priority: 4 },
  { name: 'menu', test: oneOf('ui/Menu.tsx'), priority: 3 },
  { name: 'designs', test: oneOf('core/materials/design/own.ts'), priority: 3 },
  { name: 'keeping', test: (id: string) => DEXIE.test(id) || KEEPING(id), priority: 3 },
  { name: 'bench', test: BENCH, priority: 2 },
  { name: 'recipe-files', test: oneOf('core/files/recipeFile.ts'), priority: 2 },
  // Wanted by backups and by what is beside them: in a file of either, both would wait for each other.
  { name: 'moods', test: oneOf('core/files/moodsFile.ts'), priority: 2 },
  // What several views share, a file for those that are wanted together.
  { name: 'shared', entriesAware: true, entriesAwareMergeThreshold: 60_000, minShareCount: 2, priority: 1 },
];

/** Files that import each other run before what they need is there, and the view stops: such a build is none. */
const noCircles: Plugin = {
  name: 'no-circles',
  generateBundle(_, bundle) {
    const importsOf = (file: string): readonly string[] => {
      const chunk = bundle[file];
      return chunk?.type === 'chunk' ? chunk.imports : [];
    };
    const done = new Set<string>();
    const walk = (file: string, path: readonly string[]): void => {
      if (path.includes(file)) this.error(`Files wait for each other: ${[...path, file].join(' -> ')}`);
      if (done.has(file)) return;
      for (const next of importsOf(file)) walk(next, [...path, file]);
      done.add(file);
    };
    for (const file of Object.keys(bundle)) walk(file, []);
  },
};

export default defineConfig({
  plugins: [
    react({ jsxImportSource: '#isolating' }),
    tailwindcss(),
    noCircles,
    VitePWA({
      // A new version waits until the maker takes it; the page that is open goes on with its own scripts.
      registerType: 'prompt',
      injectRegister: false,
      manifest: {
        name: 'Tint Ladder',
        short_name: 'Tint Ladder',
        description: 'Ink ladders for card panels',
        start_url: '/',
        display: 'standalone',
        background_color: '#c9c9c9',
        theme_color: '#efefef',
        icons: [
          { src: '/icon.svg', sizes: 'any', type: 'image/svg+xml' },
          { src: '/icon.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
        ],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,woff,woff2,ttf,bin}'],
        maximumFileSizeToCacheInBytes: 6_000_000,
        navigateFallback: '/index.html',
        cleanupOutdatedCaches: true,
        // Maps would name paths of the machine that built it.
        sourcemap: false,
      },
    }),
  ],
  // The server puts a fresh nonce where this placeholder stands (server/app.ts).
  html: { cspNonce: '__CSP_NONCE__' },
  build: {
    target: 'es2023',
    assetsInlineLimit: 0,
    reportCompressedSize: false,
    chunkSizeWarningLimit: 700,
    rolldownOptions: { output: { codeSplitting: { groups: PARTS } } },
  },
  worker: { format: 'es' },
  server: {
    host: '127.0.0.1',
    // As server/app.ts sends them, for the memory that workers share.
    headers: { 'Cross-Origin-Opener-Policy': 'same-origin', 'Cross-Origin-Embedder-Policy': 'require-corp' },
  },
});
