import { Injectable } from '@nestjs/common';
import { wavHeader } from '@eurhythm/core/sound';
import type { Seconds } from '@eurhythm/core/units';
import { HeavyWork } from '../heavy/heavyWork.ts';
import { FILE_RATE, pieceOf, type SoundPlan } from '../heavy/tasks/soundPlan.ts';
import { SoundsAtHand } from './soundsAtHand.ts';

/** So much is mixed at once: short enough that other work gets its turn, long enough that the way to the thread is nothing. */
const PIECE: Seconds = 5;
/** So many are mixed ahead of the one that is sent: for each other thread one to work on and one that waits for it. */
const AHEAD = 4;

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
    private readonly sounds: SoundsAtHand,
  ) {}

  wav(plan: SoundPlan): SoundFile {
    const count = Math.round(plan.seconds * FILE_RATE);
    return { bytes: wavHeader(FILE_RATE, count).length + count * 2, pieces: this.pieces(plan, count) };
  }

  private async *pieces(plan: SoundPlan, count: number): AsyncGenerator<Uint8Array, void> {
    yield wavHeader(FILE_RATE, count);
    const coming: Promise<Uint8Array>[] = [];
    for (let from = 0; from < plan.seconds || coming.length > 0; from += PIECE) {
      if (from < plan.seconds) coming.push(this.piece(plan, from));
      if (coming.length > AHEAD || from + PIECE >= plan.seconds) yield await coming.shift()!;
    }
  }

  private piece(plan: SoundPlan, from: Seconds): Promise<Uint8Array> {
    const piece = pieceOf(plan, from, Math.min(PIECE, plan.seconds - from));
    const mixed = this.sounds.of(piece.sources).then((sounds) => this.heavy.goOn('mixPiece', piece, sounds));
    // Nobody may come for it any more; who does is reported.
    mixed.catch(() => {});
    return mixed;
  }
}
