import { RHYTHM_GRIDS, type RhythmGrid } from '@eurhythm/core/formats';
import { VOICE_SOUNDS, type VoiceSound } from '@eurhythm/core/sound';
import { Type } from 'class-transformer';
import { IsIn } from 'class-validator';
import { VOICES, type VoiceId } from '../gym/voice.ts';
import {
  IsAmount,
  IsCount,
  IsListed,
  IsOneOf,
  IsPlainText,
  IsText,
  IsWholeWithin,
  MayBeMissing,
} from '../rules/index.ts';

/** What becomes of a tempo that no combo may have. */
export const TEMPO_WAYS = ['as-fast', 'nearest'] as const;
export type TempoWay = (typeof TEMPO_WAYS)[number];

/** What a file of a session is asked for with: one round of it, and another voice than the gym's. */
export class FileQuery {
  @MayBeMissing()
  @IsPlainText('the round', 64)
  round?: string;

  @MayBeMissing()
  @IsOneOf('the voice', VOICES)
  voice?: VoiceId;

  /** For a hall or for headphones; homework is for headphones unless it says otherwise. */
  @MayBeMissing()
  @IsOneOf('the sound of the voice', VOICE_SOUNDS)
  sound?: VoiceSound;
}

/** How a rhythm is taken from a file. */
export class RhythmQuery {
  /** Of a file with several tracks that have notes, this one; the first without it. */
  @MayBeMissing()
  @Type(() => Number)
  @IsWholeWithin('the track', 1, 1000, '')
  track?: number;

  /** Parts of a beat on which the notes are put; without it the coarsest on which they lie. */
  @MayBeMissing()
  @Type(() => Number)
  @IsIn(RHYTHM_GRIDS, { message: `The grid is one of: ${RHYTHM_GRIDS.join(', ')}.` })
  grid?: RhythmGrid;

  /** A tempo that no combo may have: as fast as it was, with other beats, or the nearest that may be. */
  @MayBeMissing()
  @IsOneOf('the tempo', TEMPO_WAYS)
  tempo?: TempoWay;
}

/** A track of a file that has notes. */
export class RhythmTrack {
  @IsCount()
  readonly track!: number;

  @IsText()
  readonly name!: string;

  @IsCount()
  readonly notes!: number;
}

/** A note of a file: where it was played, and where the line writes it. */
export class RhythmNote {
  @IsAmount()
  readonly played!: number;

  @IsAmount()
  readonly written!: number;
}

/** A rhythm taken from a file, as an empty line to be filled with moves. */
export class RhythmView {
  @IsText()
  readonly line!: string;

  @IsAmount()
  readonly bpm!: number;

  /** Notes that found no room in a line. */
  @IsCount()
  readonly left!: number;

  /** Beats a minute that the file says. */
  @IsAmount()
  readonly fileBpm!: number;

  /** Beats of the file that one of the line stands for. */
  @IsAmount()
  readonly beatsAsOne!: number;

  @IsCount()
  readonly grid!: number;

  /** The notes of the line, in its beats from the first one on. */
  @IsListed(() => RhythmNote)
  readonly notes!: readonly RhythmNote[];

  /** The track that was taken, and all that have notes. */
  @IsCount()
  readonly track!: number;

  @IsListed(() => RhythmTrack)
  readonly tracks!: readonly RhythmTrack[];
}

/** Largest rhythm file that is read. */
export const RHYTHM_BYTES = 1_000_000;
