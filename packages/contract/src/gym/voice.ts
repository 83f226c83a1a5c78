import { VOICE_RATES, type VoiceClip } from '@eurhythm/core/calls';
import { CUT_OFFS, VOICE_SOUNDS, type CutOff, type VoiceSound } from '@eurhythm/core/sound';
import { Type } from 'class-transformer';
import { IsIn, IsString, Matches } from 'class-validator';
import {
  IsAmong,
  IsAmount,
  IsListed,
  IsOneOf,
  IsShaped,
  IsText,
  IsTexts,
  IsWithin,
  MayBeMissing,
  OrNull,
} from '../rules/index.ts';

/** The two bundled voices, and the coach's own recordings, which fall back on a bundled one. */
export const BUNDLED_VOICES = ['slt', 'rms'] as const;
export const VOICES = [...BUNDLED_VOICES, 'own'] as const;
export type BundledVoice = (typeof BUNDLED_VOICES)[number];
export type VoiceId = (typeof VOICES)[number];

/** What the voices are called on screen. */
export const VOICE_NAMES: Readonly<Record<VoiceId, string>> = {
  slt: 'Higher voice',
  rms: 'Lower voice',
  own: 'Our own voice',
};

/** What the sounds of a voice are called on screen. */
export const VOICE_SOUND_NAMES: Readonly<Record<VoiceSound, string>> = {
  hall: 'for a hall',
  room: 'for headphones and at home',
};

/** How the text of a call is written. */
export const CALL_TEXT = /^[^<>\p{Cc}]{1,120}$/u;

/** Longest call that is taken as a recording, and the largest file. */
export const OWN_CALL_LIMITS = { seconds: 5, bytes: 4_000_000 } as const;

export class SetCentreDto {
  @IsWithin('the centre', 0, OWN_CALL_LIMITS.seconds, 'seconds')
  centre!: number;
}

/** A text to be listened to, in which voice and how fast. */
export class SayQuery {
  @IsString({ message: 'Say a plain text of 1 to 120 characters.' })
  @Matches(CALL_TEXT, { message: 'Say a plain text of 1 to 120 characters.' })
  text!: string;

  @MayBeMissing()
  @IsOneOf('the voice', VOICES)
  voice?: VoiceId;

  @MayBeMissing()
  @IsOneOf('the sound of the voice', VOICE_SOUNDS)
  sound?: VoiceSound;

  @MayBeMissing()
  @Type(() => Number)
  @IsIn(VOICE_RATES, { message: `The speed of the voice is one of: ${VOICE_RATES.join(', ')}.` })
  rate?: number;
}

/** A clip as it is fetched by its id. */
export class ClipView implements VoiceClip {
  @IsText()
  readonly id!: string;

  @IsText()
  readonly text!: string;

  @IsAmount()
  readonly rate!: VoiceClip['rate'];

  @IsAmount()
  readonly seconds!: number;

  /** From its start to the instant that belongs on the beat. */
  @IsAmount()
  readonly centre!: number;
}

/** A clip that is listened to by itself, with the phones that say it where a bundled voice does. */
export class SpokenClipView extends ClipView {
  @MayBeMissing()
  @IsTexts()
  readonly phones?: readonly string[];
}

/** A call recorded by the gym. */
export class OwnCallView {
  @IsText()
  readonly text!: string;

  @IsAmount()
  readonly seconds!: number;

  @IsAmount()
  readonly centre!: number;

  /** How far the voice stands over the room, in decibels; null where no room is heard. */
  @OrNull()
  @IsAmount()
  readonly overRoom!: number | null;

  /** Where the recording begins or ends within the call. */
  @OrNull()
  @IsAmong(CUT_OFFS)
  readonly cutOff!: CutOff | null;

  @IsText()
  readonly updatedAt!: string;

  @IsShaped(() => ClipView)
  readonly clip!: ClipView;
}

export const CALL_GROUPS = ['rounds', 'numbers', 'moves', 'combos', 'prompts'] as const;
export type CallGroup = (typeof CALL_GROUPS)[number];

/** Something that this gym calls, with the recording of it where there is one. */
export class VoiceCallView {
  @IsText()
  readonly text!: string;

  @IsAmong(CALL_GROUPS)
  readonly group!: CallGroup;

  @OrNull()
  @IsShaped(() => OwnCallView)
  readonly own!: OwnCallView | null;
}

export class VoiceView {
  @IsListed(() => VoiceCallView)
  readonly calls!: readonly VoiceCallView[];
}

/** Two short calls that may be taken for each other. */
export class AlikeView {
  @IsText()
  readonly a!: string;

  @IsText()
  readonly b!: string;
}

export class SoundCheckView {
  @IsListed(() => AlikeView)
  readonly alike!: readonly AlikeView[];
}
