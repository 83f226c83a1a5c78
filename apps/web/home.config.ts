import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';
import { viteSingleFile } from 'vite-plugin-singlefile';

/** The page to take home: one file with everything in it, into which the server puts a session. */
export default defineConfig({
  plugins: [react(), tailwindcss(), viteSingleFile()],
  publicDir: false,
  resolve: {
    conditions: ['source', 'module', 'browser', 'import', 'default'],
    // A thread of its own has to come out of the page itself.
    alias: [
      {
        find: /^\.\.\/workers\/heartbeat\.ts$/,
        replacement: fileURLToPath(new URL('./src/home/heartbeat.ts', import.meta.url)),
      },
    ],
  },
  build: {
    target: 'es2022',
    outDir: 'dist-home',
    emptyOutDir: true,
    chunkSizeWarningLimit: 3000,
    rolldownOptions: { input: fileURLToPath(new URL('./home.html', import.meta.url)) },
  },
});
