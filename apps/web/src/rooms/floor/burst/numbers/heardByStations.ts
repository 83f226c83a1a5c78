import { BURST_ROUND } from '@eurhythm/contract';
import { evaluateTake, type HeardTrial } from '@eurhythm/core/speed';
import type { Listening } from '../../../../floor/listening/Listening.ts';
import { heardTrial } from '../../../../strikeInputs/heardTrial.ts';

/** What stations heard of the burst of the class, for each fighter who stands at one alone; of two nobody knows who struck. */
export function heardByStations(listening: Pick<Listening, 'of'>, seconds: number): Map<string, HeardTrial> {
  // The bells of the class are heard at the bag, too.
  const reference = [0, seconds].map((at) => ({ at, kind: 'bell' }));
  const best = new Map<string, { readonly count: number; readonly heard: HeardTrial }>();
  for (const { listener, onsets, from } of listening.of(BURST_ROUND)) {
    const { source, fighterIds } = listener;
    const [fighterId, ...others] = fighterIds;
    if (source === null || fighterId === undefined || others.length > 0) continue;
    const [one] = evaluateTake(
      { onsets, source, from, reference },
      { strikesOf: () => [], bursts: [{ from: 0, seconds }], calls: [] },
      { fighterIds, workerAt: () => fighterId, until: seconds },
    );
    const trial = one?.trials[0];
    if (!trial) continue;
    const count = trial.result.instants.length;
    if (count <= (best.get(fighterId)?.count ?? -1)) continue;
    best.set(fighterId, {
      count,
      heard: heardTrial({ ...listener, source }, trial.evidence.onsets, trial.evidence),
    });
  }
  return new Map([...best].map(([fighterId, { heard }]) => [fighterId, heard]));
}
