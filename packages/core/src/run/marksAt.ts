import { isPresent } from './presence.ts';
import type { RunState } from './runState.ts';
import type { Mark } from './stamps.ts';

/** What decides, beside the presses, how a round was done. */
export type EndedRounds = Pick<RunState, 'endedRounds' | 'presence'>;

/** A mark and whose round it is of. */
export interface PlacedMark extends Mark {
  readonly round: number;
  readonly fighterId: string;
}

/**
 * How somebody's round stands: as it was pressed; without a press, finished once its end bell has rung while he was there. "All
 * clean" adds the quality where none was pressed. Undefined while nothing is known.
 *
 * @param round counted from 0
 * @param pressed the newest press that was not taken back
 *
 * @example
 * markAt(runState([{ kind: 'bell', at: 0, round: 0 }]), 0, 'ines', undefined) // { done: 'finished', quality: null }
 */
export function markAt(
  { endedRounds, presence }: EndedRounds,
  round: number,
  fighterId: string,
  pressed: Mark | undefined,
): Mark | undefined {
  const bell = isPresent(presence, fighterId, round) ? endedRounds.get(round) : undefined;
  if (!bell) return pressed;
  const mark: Mark = pressed ?? { done: 'finished', quality: null };
  return bell.isClean && mark.done === 'finished' ? { ...mark, quality: mark.quality ?? 'clean' } : mark;
}

/**
 * Every mark of a run, by rounds and in the order of `people`: {@link markAt} for each.
 *
 * @param people everybody who was in the run at any time
 * @param presses those that were not taken back, one for each round of a fighter
 *
 * @example
 * marksAt(runState([{ kind: 'bell', at: 0, round: 0 }]), ['ines'], []) // [{ round: 0, fighterId: 'ines', done: 'finished', quality: null }]
 */
export function marksAt(
  state: EndedRounds,
  people: readonly string[],
  presses: readonly PlacedMark[],
): PlacedMark[] {
  const pressed = new Map(presses.map((press) => [`${press.round}/${press.fighterId}`, press]));
  const rounds = new Set([...state.endedRounds.keys(), ...presses.map(({ round }) => round)]);
  return [...rounds]
    .sort((a, b) => a - b)
    .flatMap((round) =>
      people.flatMap((fighterId) => {
        const mark = markAt(state, round, fighterId, pressed.get(`${round}/${fighterId}`));
        return mark ? [{ ...mark, round, fighterId }] : [];
      }),
    );
}
