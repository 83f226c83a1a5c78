import type { ClipLibrary } from './voiceClip.ts';

/** About as long as a bundled voice needs: 50 ms a letter on 0.2 s (mean over the starter vocabulary). */
export const ABOUT_SPOKEN: ClipLibrary = {
  find: (text, rate) => {
    const seconds = (0.2 + text.length * 0.05) / rate;
    return { id: text, text, rate, seconds, centre: 0.08 };
  },
};
