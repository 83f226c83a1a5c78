import type { VoiceClip } from '@eurhythm/core/calls';
import { IsWithin } from './fields.ts';

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

/** Longest call that is taken as a recording, and the largest file. */
export const OWN_CALL_LIMITS = { seconds: 5, bytes: 4_000_000 } as const;

export class SetCentreDto {
  @IsWithin('the centre', 0, OWN_CALL_LIMITS.seconds, 'seconds')
  centre!: number;
}

/** A call recorded by the gym. */
export interface OwnCallView {
  readonly text: string;
  readonly seconds: number;
  readonly centre: number;
  readonly updatedAt: string;
  readonly clip: VoiceClip;
}

export type CallGroup = 'rounds' | 'numbers' | 'moves' | 'combos' | 'prompts';

/** Everything this gym calls, with the recordings that there are. */
export interface VoiceView {
  readonly calls: readonly {
    readonly text: string;
    readonly group: CallGroup;
    readonly own: OwnCallView | null;
  }[];
}

export interface SoundCheckView {
  /** Short calls that may be taken for each other. */
  readonly alike: readonly { readonly a: string; readonly b: string }[];
}
