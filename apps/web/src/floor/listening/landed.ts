import { comboName } from '@eurhythm/core/plan';
import { soundEvents } from '@eurhythm/core/rounds';
import type { RoundToPlay } from '@eurhythm/core/run';
import {
  heardOfEach,
  workOut,
  type ComboLanded,
  type FighterHeard,
  type HeardTrial,
  type RoundOnset,
  type Tested,
  type Workers,
} from '@eurhythm/core/speed';
import { apartFromOwn, doubtWeak } from '@eurhythm/core/strikes';
import { thousandths, type Seconds } from '@eurhythm/core/units';
import type { SaveAttemptDto } from '@eurhythm/contract';
import { heardTrial, type KeptEar } from '../../ears/heardTrial.ts';
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

/** What is told beside a trial: whose run it belongs to, when it was, and the lead where a line says none. */
export interface TrialPlace {
  readonly lead: 'left' | 'right';
  readonly runId: string;
  readonly at: string;
}

/** What is kept of a round: one trial of each combo of which a whole time through landed. */
export function comboTrials(landed: Landed, round: RoundToPlay, place: TrialPlace): SaveAttemptDto[] {
  const ear = keptEar(landed.take);
  if (!ear) return [];
  return landed.heard.combos.flatMap((combo): SaveAttemptDto[] => {
    const line = round.combos.find(({ id }) => id === combo.combo);
    if (!line || !hasWholeTime(combo, landed)) return [];
    const heard = heardTrial(ear, combo.onsets, { due: combo.due, starts: combo.starts });
    const tested = {
      kind: 'combo-time',
      title: comboName(line).slice(0, 80),
      line: line.line,
      seconds: TEST_SECONDS,
    } as const;
    return [trialOf(landed.fighterId, heard, { ...place, lead: combo.lead ?? place.lead }, tested)];
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
  const ear = keptEar(take);
  if (!ear || calls.length === 0) return [];
  const { latency } = ear;
  const onsets = cleaned(take, round, []).strikes;
  return fighterIds.flatMap((fighterId): SaveAttemptDto[] => {
    const own = calls.filter((at) => workerAt(at) === fighterId);
    const answers = onsets.filter(({ at }) => workerAt(at - latency) === fighterId);
    const heard = heardTrial(ear, answers, { due: own });
    const tested = { kind: 'reaction', title, seconds: TEST_SECONDS } as const;
    return workOut(tested, heard).value === null ? [] : [trialOf(fighterId, heard, place, tested)];
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
  const ear = keptEar(take);
  if (!ear) return [];
  const { latency } = ear;
  const { strikes } = cleaned(take, round, []);
  return bursts.flatMap(({ from, seconds, title }): SaveAttemptDto[] => {
    const worker = workerAt(from);
    if (worker === null || !fighterIds.includes(worker) || take.from > from) return [];
    const onsets = strikes
      .filter(({ at }) => at - latency >= from && at - latency <= from + seconds)
      .map((onset) => ({ ...onset, at: thousandths(onset.at - from) }));
    const trial = trialOf(worker, heardTrial(ear, onsets, { due: null }), place, {
      kind: 'burst',
      title,
      seconds,
    });
    return trial.instants.length === 0 ? [] : [trial];
  });
}

/** Length that a test says which has none of its own. */
const TEST_SECONDS = 10;

/** What is tested, and what it is called. */
interface NamedTest extends Tested {
  readonly title: string;
  readonly line?: string;
}

function trialOf(
  fighterId: string,
  heard: HeardTrial,
  { runId, lead, at }: TrialPlace,
  tested: NamedTest,
): SaveAttemptDto {
  const instants = [...workOut(tested, heard).instants];
  const { source: measured } = heard;
  // What was heard is sent as it is.
  return {
    ...tested,
    fighterId,
    runId,
    lead,
    at,
    instants,
    measured,
    heard,
  } as SaveAttemptDto;
}

/** What heard a take, as a trial keeps it; null where it was only tried. */
function keptEar({ listener }: Take): KeptEar | null {
  const { source } = listener;
  return source === null ? null : { ...listener, source };
}

function hasWholeTime({ starts, due: own }: ComboLanded, { heard, due }: Landed): boolean {
  const isHit = new Set(heard.match.hits.map((hit) => due[hit.due]!.at));
  return starts.some((from, i) => own.slice(from, starts[i + 1] ?? own.length).every((at) => isHit.has(at)));
}
