import type { SynthSound } from '../sound/index.ts';
import type { Seconds } from '../units/index.ts';
import type { CompiledRound } from './cue.ts';

/** Something to be heard: it begins exactly at `at`. */
export interface SoundEvent {
  readonly at: Seconds;
  readonly bus: 'call' | 'tick' | 'bell';
  readonly source:
    { readonly kind: 'clip'; readonly id: string } | { readonly kind: 'synth'; readonly sound: SynthSound };
  /** Factor on the loudness of its bus. */
  readonly gain: number;
}

/** Ticks under a call give way by 9 dB, so that the words stay clear. */
const DUCKED = 10 ** (-9 / 20);

/**
 * Everything a compiled round sounds, in order: what is played live and what is rendered to a file.
 *
 * @example
 * soundEvents({ cues: [{ at: 2, kind: 'tick', text: '1', block: 'b', sound: 'tick-bar' }] })[0].bus // 'tick'
 */
export function soundEvents(round: Pick<CompiledRound, 'cues'>): SoundEvent[] {
  const clips = round.cues.flatMap((cue) => cue.clip ?? []).sort((a, b) => a.start - b.start);
  const events = clips.map((clip): SoundEvent => ({
    at: clip.start,
    bus: 'call',
    source: { kind: 'clip', id: clip.id },
    gain: 1,
  }));
  let passed = 0;
  for (const { at, sound } of round.cues) {
    if (sound === undefined) continue;
    while (passed < clips.length && clips[passed]!.start + clips[passed]!.seconds < at) passed += 1;
    const call = clips[passed];
    const covered = call !== undefined && call.start <= at;
    const bus = sound === 'bell-start' || sound === 'bell-end' ? 'bell' : 'tick';
    events.push({ at, bus, source: { kind: 'synth', sound }, gain: bus === 'tick' && covered ? DUCKED : 1 });
  }
  return events.sort((a, b) => a.at - b.at);
}
