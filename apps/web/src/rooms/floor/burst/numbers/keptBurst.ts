import { useSyncExternalStore } from 'react';
import type { HeardTrial } from '@eurhythm/core/speed';
import { putRequest } from '../../../../sync/queue/queuedWrite.ts';
import { sync } from '../../../../sync/opened.ts';
import { SUBJECTS } from '../../../../sync/queue/subjects.ts';
import { attemptOf, heardBy, withCount, type ClassBurst, type ClassTrial } from './classBurst.ts';

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
    const { what, at, trials } = JSON.parse(text) as ClassBurst & Partial<ClassTrial>;
    // A burst that a release before this one kept has what was done, and when, once for all.
    return { trials: what && at ? trials.map((trial) => ({ ...trial, what, at })) : trials };
  } catch {
    return null; // not written by us
  }
}

/** Keeps the burst whose numbers are being reported; null once they are put away. */
export function keepBurst(runId: string, burst: ClassBurst | null): void {
  if (burst) localStorage.setItem(placeOf(runId), JSON.stringify(burst));
  else localStorage.removeItem(placeOf(runId));
  for (const listener of listeners) listener();
}

/** Asks for more numbers, behind those that are still open. */
export function askMore(runId: string, { trials }: ClassBurst): void {
  if (trials.length === 0) return;
  const open = (keptBurst(runId)?.trials ?? []).filter(({ count }) => count === null);
  keepBurst(runId, { trials: [...open, ...trials] });
}

/** By run, the last number of which somebody said "later". */
const putOff = new Map<string, string>();
const lastOf = (burst: ClassBurst | null): string => burst?.trials.at(-1)?.id ?? '';

/** The numbers that are open wait until they are asked for, or until more are. */
export function askLater(runId: string): void {
  putOff.set(runId, lastOf(keptBurst(runId)));
  for (const listener of listeners) listener();
}

const isLater = (runId: string): boolean => putOff.get(runId) === lastOf(keptBurst(runId));

const askedPlace = (runId: string): string => `eurhythm.asked-bursts.${runId}`;

/** The planned bursts of a run whose numbers were asked for, by round and block; a page that is loaded anew does not ask again. */
export function askedBursts(runId: string): readonly string[] {
  return (localStorage.getItem(askedPlace(runId)) ?? '').split('\n').filter((each) => each !== '');
}

export function keepAsked(runId: string, asked: readonly string[]): void {
  localStorage.setItem(askedPlace(runId), asked.join('\n'));
}

/** Keeps one number of the burst and sends it as a trial; somebody who is not in it changes nothing. */
export function tellNumber(runId: string, fighterId: string, count: number): ClassBurst | null {
  const burst = keptBurst(runId);
  const ofFighter = burst?.trials.filter((trial) => trial.fighterId === fighterId) ?? [];
  const asked = ofFighter.find((trial) => trial.count === null) ?? ofFighter.at(-1);
  return burst && asked ? tellTrial(runId, burst, burst.trials.indexOf(asked), count) : null;
}

/** Keeps the number of one trial and sends it. */
export function tellTrial(runId: string, burst: ClassBurst, place: number, count: number): ClassBurst {
  const now = withCount(burst, place, count);
  const trial = now.trials[place]!;
  keepBurst(runId, now);
  const page = `/floor/${runId}`;
  void sync.put(putRequest(SUBJECTS.trial, `attempts/${trial.id}`, attemptOf(trial, runId), { page }));
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
    void sync.put(putRequest(SUBJECTS.trial, `attempts/${now.id}`, attemptOf(now, runId), { page }));
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

/** Whether somebody said "later" of the numbers that are open. */
export function useIsLater(runId: string): boolean {
  return useSyncExternalStore(subscribe, () => isLater(runId));
}
