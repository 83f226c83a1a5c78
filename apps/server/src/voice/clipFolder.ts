import { randomUUID } from 'node:crypto';
import { mkdirSync } from 'node:fs';
import { readFile, rename, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { VoiceClip } from '@eurhythm/core/calls';

/** The clips as files in the data folder: a WAV for each, and beside it what the fitter needs to know. */
export class ClipFolder {
  /** Where the files are: `<id>.wav` and `<id>.json`. */
  readonly path: string;

  constructor(dataFolder: string) {
    this.path = join(dataFolder, 'clips');
    mkdirSync(this.path, { recursive: true });
  }

  async read<C extends VoiceClip>(id: string): Promise<C | null> {
    const text = await readFile(this.file(id, 'json'), 'utf8').catch(() => null);
    return text === null ? null : (JSON.parse(text) as C);
  }

  /** The sound of a clip as a WAV file; null when there is no such clip. */
  async wav(id: string): Promise<Buffer | null> {
    if (!/^[0-9a-f]{32}$/.test(id)) return null;
    return readFile(this.file(id, 'wav')).catch(() => null);
  }

  /** Where a file of a clip is, or would be. */
  file(id: string, ending: 'wav' | 'json'): string {
    return join(this.path, `${id}.${ending}`);
  }

  async keep(clip: VoiceClip, wav: Uint8Array): Promise<void> {
    await this.write(this.file(clip.id, 'wav'), wav);
    await this.write(this.file(clip.id, 'json'), JSON.stringify(clip));
  }

  /** Writes beside the place and moves there, so that a half-written file is never read. */
  private async write(file: string, contents: Uint8Array | string): Promise<void> {
    const part = `${file}.${randomUUID()}.part`;
    await writeFile(part, contents);
    await rename(part, file);
  }
}
