import { VOICES, type VoiceId } from '../gym/voice.ts';
import { IsAmount, IsCount, IsOneOf, IsPlainText, IsText, MayBeMissing } from '../rules/index.ts';

/** What a file of a session is asked for with: one round of it, and another voice than the gym's. */
export class FileQuery {
  @MayBeMissing()
  @IsPlainText('the round', 64)
  round?: string;

  @MayBeMissing()
  @IsOneOf('the voice', VOICES)
  voice?: VoiceId;
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
}

/** Largest rhythm file that is read. */
export const RHYTHM_BYTES = 1_000_000;
