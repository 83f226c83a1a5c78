import { comboName } from '@eurhythm/core/plan';
import { soundEvents } from '@eurhythm/core/rounds';
import type { RoundToPlay } from '@eurhythm/core/run';
import {
  heardOfEach,
  reactions,
  type ComboLanded,
  type FighterHeard,
  type HeardTrial,
  type RoundOnset,
  type Workers,
} from '@eurhythm/core/speed';
import { apartFromOwn, doubtWeak } from '@eurhythm/core/strikes';
import type { Seconds } from '@eurhythm/core/units';
import type { SaveAttemptDto } from '@eurhythm/contract';
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
function cleaned(
  { onsets, listener }: Take,
  round: RoundToPlay,
  due: readonly Seconds[],
): ReturnType<typeof apartFromOwn<RoundOnset>> {
  if (listener.source !== 'microphone') return { strikes: onsets, unheard: [] };
  const own = soundEvents(round).flatMap(({ at, source }) =>
    source.kind === 'synth' ? [{ at: at + listener.latency, kind: source.sound }] : [],
  );
  const { strikes, unheard } = apartFromOwn(onsets, own, due);
  return { strikes: doubtWeak(strikes), unheard };
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

/** What is told beside a trial: whose run it belongs to, when it was, and the lead where a line says none. */
export interface TrialPlace {
  readonly lead: 'left' | 'right';
  readonly runId: string;
  readonly at: string;
}

/** What is kept of a round: one trial of each combo of which a whole time through landed. */
export function comboTrials(landed: Landed, round: RoundToPlay, place: TrialPlace): SaveAttemptDto[] {
  const { take, fighterId } = landed;
  if (take.listener.source === null) return [];
  return landed.heard.combos.flatMap((combo): SaveAttemptDto[] => {
    const line = round.combos.find(({ id }) => id === combo.combo);
    if (!line || !hasWholeTime(combo, landed)) return [];
    const heard = heardOf(take, combo.onsets, combo.due, combo.starts);
    const what = { kind: 'combo-time', title: comboName(line).slice(0, 80), line: line.line } as const;
    return [trialOf(fighterId, heard, { ...place, lead: combo.lead ?? place.lead }, what)];
  });
}

/** The answers to calls at random waits, as trials of those who work there. */
export function reactionTrials(
  take: Take,
  round: RoundToPlay,
  calls: readonly Seconds[],
  { fighterIds, workerAt }: Workers,
  { title, ...place }: TrialPlace & { readonly title: string },
): SaveAttemptDto[] {
  const { source, latency } = take.listener;
  if (source === null || calls.length === 0) return [];
  const onsets = cleaned(take, round, []).strikes.filter(({ doubtful }) => doubtful !== true);
  return fighterIds.flatMap((fighterId): SaveAttemptDto[] => {
    const own = calls.filter((at) => workerAt(at) === fighterId);
    const answers = onsets.filter(({ at }) => workerAt(at - latency) === fighterId);
    const { summary } = reactions(
      own,
      answers.map(({ at }) => at - latency).sort((a, b) => a - b),
    );
    if (summary === null) return [];
    return [trialOf(fighterId, heardOf(take, answers, own), place, { kind: 'reaction', title, line: null })];
  });
}

/** A burst of a round: when it runs, and what the test of it is. */
export interface BurstInRound {
  readonly from: Seconds;
  readonly seconds: Seconds;
  readonly title: string;
}

/** Bursts that are blocks of a round, as trials of those who work there. */
export function burstTrials(
  take: Take,
  round: RoundToPlay,
  bursts: readonly BurstInRound[],
  { fighterIds, workerAt }: Workers,
  place: TrialPlace,
): SaveAttemptDto[] {
  const { source, latency, device, detector, leastStrength } = take.listener;
  if (source === null) return [];
  const { strikes } = cleaned(take, round, []);
  return bursts.flatMap(({ from, seconds, title }): SaveAttemptDto[] => {
    const worker = workerAt(from);
    if (worker === null || !fighterIds.includes(worker) || take.from > from) return [];
    const onsets = strikes
      .filter(({ at }) => at - latency >= from && at - latency <= from + seconds)
      .map((onset) => ({ ...onset, at: thousandths(onset.at - from) }));
    const instants = onsets.flatMap(({ at, doubtful }) =>
      doubtful === true ? [] : [thousandths(at - latency)],
    );
    if (instants.length === 0) return [];
    const weak = leastStrength === null ? {} : { leastStrength };
    const heard = { source, device: device.slice(0, 120), latency, detector, onsets, due: null, ...weak };
    return [
      { ...place, fighterId: worker, kind: 'burst', title, seconds, instants, measured: source, heard },
    ];
  });
}

const thousandths = (seconds: Seconds): Seconds => Math.round(seconds * 1000) / 1000;

/** Length that a test says which has none of its own. */
const TEST_SECONDS = 10;

function trialOf(
  fighterId: string,
  heard: HeardTrial,
  { runId, lead, at }: TrialPlace,
  what: Pick<SaveAttemptDto, 'kind' | 'title' | 'line'>,
): SaveAttemptDto {
  const instants = heard.onsets.map((onset) => thousandths(onset.at - heard.latency));
  const measured = heard.source;
  return {
    ...(what as object),
    fighterId,
    runId,
    lead,
    at,
    seconds: TEST_SECONDS,
    instants,
    measured,
    heard,
  } as SaveAttemptDto;
}

function hasWholeTime({ starts, due: own }: ComboLanded, { heard, due }: Landed): boolean {
  const isHit = new Set(heard.match.hits.map((hit) => due[hit.due]!.at));
  return starts.some((from, i) => own.slice(from, starts[i + 1] ?? own.length).every((at) => isHit.has(at)));
}

function heardOf(
  { listener }: Take,
  onsets: readonly RoundOnset[],
  due: readonly Seconds[],
  starts?: readonly number[],
): HeardTrial {
  const { source, device, latency, detector, leastStrength } = listener;
  return {
    source: source!,
    device: device.slice(0, 120),
    latency,
    detector,
    onsets,
    due,
    ...(starts ? { starts } : {}),
    ...(leastStrength === null ? {} : { leastStrength }),
  };
}
