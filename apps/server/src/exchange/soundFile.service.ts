import { Injectable } from '@nestjs/common';
import { wavHeader } from '@eurhythm/core/sound';
import type { Seconds } from '@eurhythm/core/units';
import { HeavyWork } from '../heavy/heavyWork.ts';
import { FILE_RATE, pieceOf, type SoundPlan } from '../heavy/tasks/soundPlan.ts';
import type { ClipFolder } from '../voice/clipFolder.ts';
import { InjectClips } from '../voice/clips.ts';

/** So much is mixed at once: short enough that other work gets its turn, long enough that the way to the thread is nothing. */
const PIECE: Seconds = 5;

export interface SoundFile {
  /** Size of the whole file in bytes. */
  readonly bytes: number;
  readonly pieces: AsyncGenerator<Uint8Array, void>;
}

/** Renders sessions to mono 16-bit WAV at 44.1 kHz, piece by piece as they are fetched. */
@Injectable()
export class SoundFileService {
  constructor(
    private readonly heavy: HeavyWork,
    @InjectClips() private readonly folder: ClipFolder,
  ) {}

  wav(plan: SoundPlan): SoundFile {
    const count = Math.round(plan.seconds * FILE_RATE);
    return { bytes: wavHeader(FILE_RATE, count).length + count * 2, pieces: this.pieces(plan, count) };
  }

  private async *pieces(plan: SoundPlan, count: number): AsyncGenerator<Uint8Array, void> {
    yield wavHeader(FILE_RATE, count);
    for (let from = 0; from < plan.seconds; from += PIECE) {
      const piece = pieceOf(plan, from, Math.min(PIECE, plan.seconds - from));
      yield await this.heavy.goOn('mixPiece', piece, this.folder.path);
    }
  }
}
