import { Readable } from 'node:stream';
import { CAUTIONS } from '@eurhythm/contract';
import { ZipFile } from 'yazl';
import type { Homework } from '../heavy/heavy.worker.ts';
import type { SoundFile } from './soundFile.service.ts';

/** A session to take home: the sound, the calls as captions, a sheet to print, and the cautions. Streamed. */
export function homeworkZip(
  { sheet, captions }: Pick<Homework, 'sheet' | 'captions'>,
  sound: SoundFile,
): Readable {
  const zip = new ZipFile();
  zip.addReadStream(Readable.from(sound.pieces), 'session.wav', { size: sound.bytes, compress: false });
  zip.addBuffer(Buffer.from(sheet), 'sheet.html');
  zip.addBuffer(Buffer.from(captions), 'calls.vtt');
  zip.addBuffer(Buffer.from([...CAUTIONS, ''].join('\n')), 'cautions.txt');
  zip.end();
  return zip.outputStream as Readable;
}
