import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { packFiles } from './packFiles.ts';

/** `npm run dev -w @eurhythm/web` beside a running server; the built pages are served by the server itself. */
export default defineConfig({
  plugins: [react(), tailwindcss(), packFiles()],
  resolve: { conditions: ['source', 'module', 'browser', 'import', 'default'] },
  build: { target: 'es2022', manifest: true, chunkSizeWarningLimit: 1200 },
  server: { proxy: { '/api': `http://127.0.0.1:${process.env['PORT'] ?? 4321}` } },
});
