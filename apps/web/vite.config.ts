import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';
import { packFiles } from './packFiles.ts';

/** The frame of all pages, and what it is made of. */
const FRAME =
  /node_modules\/(react|react-dom|scheduler|react-router|@tanstack\/(query-core|react-query)|sonner|react-hotkeys-hook)\/|\/src\/(app|server|sync)\/(?!.*(CommandBox|KeysSheet|useContractForm|useVersionedWrite|StaleNotice|changeSchool))/;

/**
 * Keeps the application in the browser, with what was fetched of the gym and every call that was heard, so that a planned session runs with the
 * server away. Names, logs and copies that are taken away as files are fetched anew each time.
 */
const worksAlone = () =>
  VitePWA({
    registerType: 'prompt',
    injectRegister: false,
    manifest: {
      name: 'Eurhythm',
      short_name: 'Eurhythm',
      description: 'Combinations, timed rounds and each fighter’s speed',
      display: 'standalone',
      background_color: '#F5F0E4',
      theme_color: '#22302C',
      icons: [{ src: '/tape.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' }],
    },
    workbox: {
      globPatterns: ['**/*.{js,css,html,svg,woff2}'],
      maximumFileSizeToCacheInBytes: 3_000_000,
      navigateFallback: '/index.html',
      navigateFallbackDenylist: [/^\/api\//],
      cleanupOutdatedCaches: true,
      // The first visit is enough.
      clientsClaim: true,
      runtimeCaching: [
        {
          urlPattern: /\/api\/voice\/clips\/[0-9a-f]{32}\.wav$/,
          handler: 'CacheFirst',
          options: { cacheName: 'calls', expiration: { maxEntries: 6000, purgeOnQuotaError: true } },
        },
        {
          urlPattern:
            /\/api\/(?!export|import|backups|docs|door|hall|health|voice|.*\.(wav|zip|mid|vtt|csv|ics)$)/,
          handler: 'NetworkFirst',
          options: {
            cacheName: 'gym',
            networkTimeoutSeconds: 4,
            expiration: { maxEntries: 500, purgeOnQuotaError: true },
            cacheableResponse: { statuses: [200] },
          },
        },
      ],
    },
  });

/** `npm run dev -w @eurhythm/web` beside a running server; the built pages are served by the server itself. */
export default defineConfig({
  plugins: [react(), tailwindcss(), worksAlone(), packFiles()],
  resolve: { conditions: ['source', 'module', 'browser', 'import', 'default'] },
  build: {
    target: 'es2022',
    manifest: true,
    chunkSizeWarningLimit: 1200,
    // What every page needs is one file: twenty small ones take longer to ask for than to read.
    rolldownOptions: { output: { codeSplitting: { groups: [{ name: 'frame', test: FRAME }] } } },
  },
  server: { proxy: { '/api': `http://127.0.0.1:${process.env['PORT'] ?? 4321}` } },
});
