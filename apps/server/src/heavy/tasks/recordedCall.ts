import { OWN_CALL_LIMITS } from '@eurhythm/contract';
import type { VoiceClip } from '@eurhythm/core/calls';
import {
  encodeWav,
  findCentre,
  levelVoice,
  readWav,
  resample,
  shapeVoice,
  spokenCall,
  stretch,
  type NoCall,
  type SpokenCall,
  type VoiceSound,
} from '@eurhythm/core/sound';
import type { Seconds } from '@eurhythm/core/units';

/** Recordings are kept at this rate: twice what speech needs, half of what a studio uses. */
const KEPT_RATE = 22_050;
/** A file may be so many times as long as the call in it. */
const LONGEST_FILE = 3;

/** A recording as it is kept: the room turned down, trimmed, levelled, its centre found in the sound; or the sentence that refuses it. */
export type RecordedCall =
  | ({
      readonly ok: true;
      readonly wav: Uint8Array;
      readonly seconds: Seconds;
      readonly centre: Seconds;
    } & Pick<SpokenCall, 'overRoom' | 'cutOff'>)
  | { readonly ok: false; readonly message: string };

const NO_CALL: Readonly<Record<NoCall, string>> = {
  silent: 'Nothing can be heard in this recording. Speak closer to the microphone.',
  click: 'Only a click can be heard in this recording. Say the call after you have pressed Record.',
  noise:
    'No voice stands out of the noise in this recording. Turn off what hums, or speak closer to the microphone.',
};

/** Takes the WAV file of a recorded call. */
export function recordedCall(wav: Uint8Array): RecordedCall {
  const read = readWav(wav);
  if (!read.ok) return refused(read.message);
  const seconds = read.sound.samples.length / read.sound.sampleRate;
  // Silence around a call is cut away later; a recording that is far too long is not looked into.
  if (seconds > OWN_CALL_LIMITS.seconds * LONGEST_FILE) return refused(tooLong(seconds));
  const call = spokenCall(resample(read.sound, KEPT_RATE));
  if (typeof call === 'string') return refused(NO_CALL[call]);
  const sound = levelVoice(call.sound);
  const length = sound.samples.length / sound.sampleRate;
  if (length > OWN_CALL_LIMITS.seconds) return refused(tooLong(Math.max(length, seconds)));
  const { overRoom, cutOff } = call;
  const centre = findCentre(sound) ?? 0;
  return { ok: true, wav: encodeWav(sound), seconds: length, centre, overRoom, cutOff };
}

function tooLong(seconds: Seconds): string {
  return `A call is at most ${OWN_CALL_LIMITS.seconds} seconds long; this one is ${Math.round(seconds)}.`;
}

function refused(message: string): RecordedCall {
  return { ok: false, message };
}

/** A kept recording in the sound that it is to have, said faster, with the length and the centre that it has then. */
export function fasterCall(
  wav: Uint8Array,
  centre: Seconds,
  rate: number,
  voiceSound: VoiceSound,
): Pick<VoiceClip, 'seconds' | 'centre'> & { readonly wav: Uint8Array } {
  const read = readWav(wav);
  if (!read.ok) throw new Error(`a kept recording cannot be read: ${read.message}`);
  const faster = stretch(read.sound, rate);
  const seconds = faster.samples.length / faster.sampleRate;
  return {
    wav: encodeWav(levelVoice(shapeVoice(faster, voiceSound))),
    seconds,
    centre: Math.min(seconds, centre / rate),
  };
}
