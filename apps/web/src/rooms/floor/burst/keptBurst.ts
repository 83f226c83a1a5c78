import { useSyncExternalStore } from 'react';
import type { HeardTrial } from '@eurhythm/core/speed';
import { putRequest } from '../../../sync/queue/queuedWrite.ts';
import { sync } from '../../../sync/opened.ts';
import { SUBJECTS } from '../../../sync/queue/subjects.ts';
import { attemptOf, heardBy, withCount, type ClassBurst } from './classBurst.ts';

const placeOf = (runId: string): string => `eurhythm.class-burst.${runId}`;
const listeners = new Set<() => void>();

/** What was read last; the same text is the same burst. */
let last: { readonly text: string | null; readonly burst: ClassBurst | null } = { text: null, burst: null };

/** The burst of this run whose numbers are being reported; null when there is none. */
export function keptBurst(runId: string): ClassBurst | null {
  const text = localStorage.getItem(placeOf(runId));
  if (text !== last.text) last = { text, burst: text === null ? null : read(text) };
  return last.burst;
}

function read(text: string): ClassBurst | null {
  try {
    return JSON.parse(text) as ClassBurst;
  } catch {
    return null; // not written by us
  }
}

export function keepBurst(runId: string, burst: ClassBurst | null): void {
  if (burst) localStorage.setItem(placeOf(runId), JSON.stringify(burst));
  else localStorage.removeItem(placeOf(runId));
  for (const listener of listeners) listener();
}

/** Keeps one number of the burst and sends it as a trial; somebody who is not in it changes nothing. */
export function tellNumber(runId: string, fighterId: string, count: number): ClassBurst | null {
  const burst = keptBurst(runId);
  const place = burst?.trials.findIndex((trial) => trial.fighterId === fighterId) ?? -1;
  if (!burst || place === -1) return null;
  const now = withCount(burst, place, count);
  const trial = now.trials[place]!;
  keepBurst(runId, now);
  const page = `/floor/${runId}`;
  void sync.put(putRequest(SUBJECTS.trial, `attempts/${trial.id}`, attemptOf(now, trial, runId), { page }));
  return now;
}

/** Keeps what stations heard of the burst and sends it as trials; who heard nobody of it, or whose number was reported, changes nothing. */
export function takeHeard(runId: string, heard: ReadonlyMap<string, HeardTrial>): void {
  let burst = keptBurst(runId);
  for (const [fighterId, trial] of heard) {
    const open = burst?.trials.find((each) => each.fighterId === fighterId && each.count === null);
    if (!burst || !open) continue;
    burst = heardBy(burst, fighterId, trial);
    const now = burst.trials.find(({ id }) => id === open.id)!;
    const page = `/floor/${runId}`;
    void sync.put(putRequest(SUBJECTS.trial, `attempts/${now.id}`, attemptOf(burst, now, runId), { page }));
  }
  if (burst) keepBurst(runId, burst);
}

/** Those whose number is open. */
export const openNumbers = (runId: string): string[] =>
  (keptBurst(runId)?.trials ?? []).filter(({ count }) => count === null).map(({ fighterId }) => fighterId);

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

export function useKeptBurst(runId: string): ClassBurst | null {
  return useSyncExternalStore(subscribe, () => keptBurst(runId));
}
