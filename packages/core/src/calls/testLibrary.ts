/** A made-up voice for tests: 90 ms a letter-pair, centre a fifth in. Not part of the product. */
import type { ClipLibrary, VoiceClip } from './voiceClip.ts';

export function lettersVoice(missing: readonly string[] = []): ClipLibrary {
  return {
    find: (text, rate): VoiceClip | null => {
      if (missing.includes(text)) return null;
      const seconds = (0.12 + text.length * 0.045) / rate;
      return { id: `${text}@${rate}`, text, rate, seconds, centre: seconds * 0.2 };
    },
  };
}
