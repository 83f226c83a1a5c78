import { BURST_ROUND } from '@eurhythm/contract';
import type { HeardTrial } from '@eurhythm/core/speed';
import { doubtWeak, withoutOwnSounds } from '@eurhythm/core/strikes';
import { heardTrial } from '../../../ears/heardTrial.ts';
import type { Listening } from '../../../floor/listening/Listening.ts';

/** What stations heard of the burst of the class, for each fighter who stands at one alone; of two nobody knows who struck. */
export function heardByStations(listening: Pick<Listening, 'of'>, seconds: number): Map<string, HeardTrial> {
  const heard = new Map<string, HeardTrial>();
  for (const { listener, onsets, from } of listening.of(BURST_ROUND)) {
    const { source, latency, fighterIds } = listener;
    const [fighterId, ...others] = fighterIds;
    if (source === null || fighterId === undefined || others.length > 0 || from > 0.5) continue;
    // The bells of the class are heard at the bag, too.
    const own = source === 'microphone' ? [latency, seconds + latency] : [];
    const inTime = withoutOwnSounds(onsets, own).strikes.filter(({ at }) => at - latency <= seconds);
    const known = heard.get(fighterId);
    if (known && known.onsets.length >= inTime.length) continue;
    const strikes = doubtWeak(inTime, source);
    heard.set(fighterId, heardTrial({ ...listener, source }, strikes, { due: null, own }));
  }
  return heard;
}
