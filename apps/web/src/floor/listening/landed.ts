import { soundEvents } from '@eurhythm/core/rounds';
import type { RoundToPlay } from '@eurhythm/core/run';
import { heardOfEach, type FighterHeard, type RoundOnset, type Workers } from '@eurhythm/core/speed';
import { apartFromOwn, doubtWeak } from '@eurhythm/core/strikes';
import type { Seconds } from '@eurhythm/core/units';
import type { Take } from './Listening.ts';

/** What one fighter did in a round, as one listener heard it. */
export interface Landed extends FighterHeard {
  readonly take: Take;
  /** Sounds that may have been strikes and do not count. */
  readonly doubtful: number;
  /** How often a strike could not have been told from the device's own tick. */
  readonly unheard: number;
}

/** Who may work where a listener stands, and what is due of them. */
export type WorkersOf = (fighterIds: readonly string[]) => Workers;

/** A take without what the device heard of itself, the weak ones doubtful; and where it could not hear. */
export function cleaned(
  { onsets, listener }: Take,
  round: RoundToPlay,
  due: readonly Seconds[],
): ReturnType<typeof apartFromOwn<RoundOnset>> {
  if (listener.source !== 'microphone') return { strikes: onsets, unheard: [] };
  const own = soundEvents(round).flatMap(({ at, source }) =>
    source.kind === 'synth' ? [{ at: at + listener.latency, kind: source.sound }] : [],
  );
  const { strikes, unheard } = apartFromOwn(onsets, own, due);
  return { strikes: doubtWeak(strikes, listener.source), unheard };
}

/** What a take of a round comes to, for each who worked there, as far as the round was gone through: up to `reached`. */
export function landedOf(take: Take, round: RoundToPlay, reached: Seconds, workersOf: WorkersOf): Landed[] {
  const { latency, fighterIds } = take.listener;
  const all = workersOf(fighterIds);
  const dueOf = (id: string) => all.dueOf(id).filter(({ at }) => at >= take.from && at <= reached);
  const due = fighterIds.flatMap((id) => dueOf(id).map(({ at }) => at + latency));
  const { strikes, unheard } = cleaned(take, round, due);
  return heardOfEach({ ...all, dueOf }, strikes, latency).map((one) => {
    const isTheirs = (at: Seconds): boolean => all.workerAt(at - latency) === one.fighterId;
    return {
      ...one,
      take,
      doubtful: strikes.filter(({ at, doubtful }) => doubtful === true && isTheirs(at)).length,
      unheard: unheard.filter(({ from }) => isTheirs(from)).length,
    };
  });
}
