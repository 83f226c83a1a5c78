import type { VoiceClip } from '@eurhythm/core/calls';
import type { VoiceId } from '@eurhythm/contract';
import { get } from '../../../server/api.ts';

/** The clip of any text, as a voice says it at this rate. */
export function clipOf(text: string, voice: VoiceId, rate: number): Promise<VoiceClip> {
  return get<VoiceClip>(`voice/say?${new URLSearchParams({ text, voice, rate: String(rate) })}`);
}
