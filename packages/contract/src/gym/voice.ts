import { VOICE_RATES, type VoiceClip } from '@eurhythm/core/calls';
import { CUT_OFFS, VOICE_SOUNDS, type CutOff, type VoiceSound } from '@eurhythm/core/sound';
import { Type } from 'class-transformer';
import { IsBoolean, IsIn, IsString, Matches } from 'class-validator';
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

/** The two bundled voices, the one that is understood better first, and the coach's own recordings, which fall back on it. */
export const BUNDLED_VOICES = ['rms', 'slt'] as const;
export const DEFAULT_VOICE = BUNDLED_VOICES[0];
export const VOICES = [...BUNDLED_VOICES, 'own'] as const;
export type BundledVoice = (typeof BUNDLED_VOICES)[number];
export type VoiceId = (typeof VOICES)[number];

/** What the voices are called on screen. */
export const VOICE_NAMES: Readonly<Record<VoiceId, string>> = {
  rms: 'Lower voice',
  slt: 'Higher voice',
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

/** A call that a listener in a loud hall took for another one. */
export class MisheardView {
  @IsText()
  readonly said!: string;

  /** Empty where nothing was made out. */
  @IsText()
  readonly heard!: string;

  @IsAmount()
  readonly times!: number;

  @IsAmount()
  readonly of!: number;

  /** Other words for it that were understood each time; null where there are none, or while they are not known yet. */
  @OrNull()
  @IsText()
  readonly instead!: string | null;
}

/** What a listener makes out of everything that the gym calls, in pink noise 5 dB under the voice. */
export class SoundCheckView {
  /** All that the gym calls. */
  @IsAmount()
  readonly calls!: number;

  /** How often it was listened until now; each call is listened to more than once. */
  @IsAmount()
  readonly listened!: number;

  @IsAmount()
  readonly of!: number;

  /** Everything was listened to, other words for what was misheard too. */
  @IsBoolean()
  readonly isDone!: boolean;

  /** Those mistaken most often first. */
  @IsListed(() => MisheardView)
  readonly misheard!: readonly MisheardView[];
}
