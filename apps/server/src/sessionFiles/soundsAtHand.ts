import { Injectable } from '@nestjs/common';
import type { SoundEvent } from '@eurhythm/core/rounds';
import { HeavyWork } from '../heavy/heavyWork.ts';
import { keyOf } from '../heavy/tasks/soundPlan.ts';
import type { ClipFolder } from '../voice/clipFolder.ts';
import { InjectClips } from '../voice/clips.ts';

type Source = SoundEvent['source'];
type Samples = Float32Array<SharedArrayBuffer>;

/** So many sounds are remembered: more than an hour for three groups calls. */
const MOST = 1000;

/** Clips and ticks at the rate of the files, each read and brought to that rate once for all threads and files. */
@Injectable()
export class SoundsAtHand {
  /** The one asked for last stands last. */
  private readonly known = new Map<string, Promise<Samples>>();

  constructor(
    private readonly heavy: HeavyWork,
    @InjectClips() private readonly folder: ClipFolder,
  ) {}

  /** The samples of these sounds, in their order. */
  async of(sources: readonly Source[]): Promise<Samples[]> {
    const missing = sources.filter((source) => !this.known.has(keyOf(source)));
    const made = missing.length > 0 ? this.heavy.goOn('fileSounds', missing, this.folder.path) : null;
    for (const [i, source] of missing.entries())
      this.keep(
        keyOf(source),
        made!.then((all) => all[i]!),
      );
    const all = sources.map((source) => {
      const key = keyOf(source);
      const samples = this.known.get(key)!;
      this.known.delete(key);
      this.known.set(key, samples);
      return samples;
    });
    for (const key of this.known.keys()) {
      if (this.known.size <= MOST) break;
      this.known.delete(key);
    }
    return Promise.all(all);
  }

  /** What could not be read is asked for anew the next time. */
  private keep(key: string, samples: Promise<Samples>): void {
    this.known.set(key, samples);
    samples.catch(() => {
      if (this.known.get(key) === samples) this.known.delete(key);
    });
  }
}
