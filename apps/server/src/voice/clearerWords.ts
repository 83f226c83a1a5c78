import type { BundledVoice } from '@eurhythm/contract';

/**
 * Phones of single words that a voice says less clearly when it reads them. Each is what a speech recogniser made out most often in
 * pink noise of 5 dB less than the voice, of the ways in which the same word may be said: another length of a phone, mostly.
 */
const CLEARER_WORDS: Readonly<Record<BundledVoice, Readonly<Record<string, string>>>> = {
  rms: {
    jab: 'jh jh ae b',
    tide: 't ay d',
    six: 's ih k s',
    sixteen: 's ih k s t iy n',
    high: 'hh aa ay',
    outer: 'aw t er',
    in: 'ih n n n',
    out: 'aw t t',
  },
  slt: {
    jab: 'jh jh ae b',
    switch: 's w ih ch hh',
    six: 's ih k s s',
    twelve: 't w eh l v',
    push: 'p uh sh',
    axe: 'ae ae k s s',
    wheel: 'w iy l hh',
    knee: 'n iy',
    duck: 'd ax k',
    shove: 'sh ax v',
    pin: 'p ih n',
    in: 'ih n n',
    out: 'aw aw t',
    horse: 'hh ao ao r s s',
  },
};

/** The phones by which a voice says a text more clearly than by reading it; undefined where reading is best. */
export function clearerPhones(text: string, voice: BundledVoice): string | undefined {
  return Object.hasOwn(CLEARER_WORDS[voice], text) ? CLEARER_WORDS[voice][text] : undefined;
}
