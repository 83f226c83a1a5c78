import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { packFiles } from './packFiles.ts';

/** The frame of all pages, and what it is made of. */
const FRAME =
  /node_modules\/(react|react-dom|scheduler|react-router|@tanstack\/(query-core|react-query)|sonner|react-hotkeys-hook)\/|\/src\/(app|server|sync)\/(?!.*(CommandBox|KeysSheet|useContractForm|useVersionedWrite|StaleNotice|changeSchool))/;

/** `npm run dev -w @eurhythm/web` beside a running server; the built pages are served by the server itself. */
export default defineConfig({
  plugins: [react(), tailwindcss(), packFiles()],
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
