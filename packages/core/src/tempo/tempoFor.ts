import { BPM_LIMITS, type Bpm } from '../units/index.ts';
import type { CleanUpTo, BodyPace, TempoCombo } from './cleanTempo.ts';
import { ownTempo, type TempoAdvice, type TempoSet } from './ownTempo.ts';

/** Somebody who is to do a combo. */
export interface TempoPerson {
  readonly id: string;
  readonly name: string;
  /** The own pace where it was measured, else the gym's. */
  readonly pace: BodyPace;
}

/** What the log says of somebody's sets of a combo, oldest first. */
export interface TempoLog {
  setsOf(personId: string, comboId: string): readonly TempoSet[];
}

export interface PersonTempo extends TempoAdvice {
  readonly id: string;
  readonly name: string;
  /** What decides: the body at this pace, what was marked, or the tempo that the combo is written with. */
  readonly by: 'body' | 'marks' | 'written';
  /** The fastest that this body does cleanly over and over, whatever was marked. */
  readonly clean: Bpm;
}

/** The tempo of a combo for some people, and of each of them. */
export interface TempoForPeople extends TempoAdvice {
  /** Each by themselves, the slowest first. */
  readonly each: readonly PersonTempo[];
  /** Who goes slower by themselves, the slowest first. */
  readonly behind: readonly { readonly name: string; readonly bpm: Bpm }[];
}

/**
 * The tempo of one combo for one person: the least of what the body does cleanly over and over at the own pace, and what the marks say;
 * of somebody of whom nothing was marked, the tempo that the combo is written with.
 *
 * @example
 * tempoOf({ id: 'a', name: 'Ada', pace: 1.25 }, { id: 'c', line: '1 2', bpm: 80 }, [], cleanTempos(book)) // { id: 'a', name: 'Ada', by: 'written', clean: 300, bpm: 80, sentence: '80 as it is written: nothing was marked yet.' }
 */
export function tempoOf(
  { id, name, pace }: TempoPerson,
  combo: TempoCombo,
  sets: readonly TempoSet[],
  cleanUpTo: CleanUpTo,
): PersonTempo {
  const marked = ownTempo(sets);
  const clean = cleanUpTo(combo, pace);
  const wanted = Math.max(BPM_LIMITS.min, Math.min(BPM_LIMITS.max, marked?.bpm ?? combo.bpm));
  const bpm = cleanUpTo(combo, pace, wanted);
  if (bpm < wanted) {
    const whose = typeof pace === 'number' ? 'at the gym’s pace' : 'at the own pace';
    const sentence = `${bpm} is the fastest that stays clean over and over ${whose}.`;
    return { id, name, by: 'body', clean, bpm, sentence };
  }
  if (marked) return { id, name, by: 'marks', clean, ...marked, bpm };
  const sentence = `${bpm} as it is written: nothing was marked yet.`;
  return { id, name, by: 'written', clean, bpm, sentence };
}

/**
 * The one tempo of a combo for those who do it together: no faster than the body of any of them does it cleanly, and otherwise right for
 * most: three of four are as far by their marks. Every page, draft, check and advice asks this and nothing else. Without anybody it is
 * that of a body at `gymPace`.
 *
 * @param gymPace how many times as long as at sharp pace a body of this gym needs for a move
 *
 * @example
 * tempoFor([], { id: 'c', line: '1 2', bpm: 80 }, { setsOf: () => [] }, cleanTempos(book), 1.25).bpm // 80
 */
export function tempoFor(
  people: readonly TempoPerson[],
  combo: TempoCombo,
  log: TempoLog,
  cleanUpTo: CleanUpTo,
  gymPace: number,
): TempoForPeople {
  const each = people
    .map((person) => tempoOf(person, combo, log.setsOf(person.id, combo.id), cleanUpTo))
    .sort((a, b) => a.bpm - b.bpm);
  const together = togetherOf(each);
  if (together) return { ...together, each };
  const { bpm, sentence } = tempoOf({ id: '', name: '', pace: gymPace }, combo, [], cleanUpTo);
  return { bpm, sentence, each, behind: [] };
}

/** One of four may be behind the class, and goes slower for now; of three nobody may. */
const BEHIND = 0.25;

/**
 * The tempo of those who were advised these, and why. Null of nobody.
 *
 * @example
 * togetherOf([{ name: 'Ada', bpm: 84, clean: 120, sentence: 'Clean twice at 80: up to 84.' }, { name: 'Bo', bpm: 72, clean: 120, sentence: 'Loose at 72: stay there until it is clean.' }]).bpm // 72
 */
export function togetherOf(
  each: readonly Pick<PersonTempo, 'name' | 'bpm' | 'clean' | 'sentence'>[],
): (TempoAdvice & Pick<TempoForPeople, 'behind'>) | null {
  const sorted = [...each].sort((a, b) => a.bpm - b.bpm);
  if (sorted.length === 0) return null;
  const most = Math.min(...sorted.map(({ clean }) => clean));
  const bpm = Math.min(most, sorted[Math.floor(BEHIND * sorted.length)]!.bpm);
  const sets = sorted.find((one) => one.bpm >= bpm) ?? sorted.at(-1)!;
  const why = sorted.length === 1 ? sets.sentence : `${sets.name}: ${sets.sentence}`;
  const behind = sorted.filter((one) => one.bpm < bpm).map(({ name, bpm: own }) => ({ name, bpm: own }));
  return { bpm, sentence: why, behind };
}

/**
 * Whether somebody trains a combo where no class says who does: it is of the own grade, or was marked of late.
 *
 * @example
 * trainsIt({ gradeId: 'ebb', isMarked: false }, { gradeId: 'ebb' }) // true
 */
export function trainsIt(
  { gradeId, isMarked }: { readonly gradeId: string; readonly isMarked: boolean },
  combo: { readonly gradeId: string },
): boolean {
  return isMarked || gradeId === combo.gradeId;
}
