import type { FighterState } from './fighterState.ts';
import type { Walk } from './walkStance.ts';

type Place = FighterState['place'];

/** More times through than this are not looked at: half an hour of the shortest line. */
const MOST_TIMES = 500;

/** Steps of floor needed in each direction from where a line is begun. */
export type Floor = Walk['floor'];

/**
 * The floor that a line needs when it is done so many times in a row, each from where the one before ended.
 *
 * @param times times through, 1 or more
 *
 * @example
 * floorOver(walk('in'), 3).forward // 3
 */
export function floorOver(walk: Walk, times: number): Floor {
  let floor: Floor = { forward: 0, back: 0, left: 0, right: 0 };
  for (const next of floors(walk, Math.min(times, MOST_TIMES))) floor = next;
  return floor;
}

/**
 * How many whole times through stay within so many steps each way; null when it never leaves them.
 *
 * @param steps steps of floor each way
 *
 * @example
 * timesWithin(walk('in'), 4) // 4
 */
export function timesWithin(walk: Walk, steps: number): number | null {
  let times = 0;
  for (const floor of floors(walk, isAtHome(walk) ? 1 : MOST_TIMES)) {
    if (Math.max(...Object.values(floor)) > steps + 1e-6) return times;
    times += 1;
  }
  return null;
}

/**
 * Whether the next time through begins where the last one did, facing the same way.
 *
 * @example
 * isAtHome(walk('in out')) // true
 */
export function isAtHome({ end }: Walk): boolean {
  return end.facing === 0 && Math.hypot(end.place.forward, end.place.right) < 0.01;
}

/** The floor after one time through, after two, after three … */
function* floors(walk: Walk, times: number): Generator<Floor> {
  let [forward, back, left, right] = [0, 0, 0, 0];
  let from: Place = { forward: 0, right: 0 };
  let facing = 0;
  for (let n = 0; n < times; n++) {
    for (const { after } of walk.strokes) {
      const at = seenFrom(from, facing, after.place);
      forward = Math.max(forward, at.forward);
      back = Math.max(back, -at.forward);
      right = Math.max(right, at.right);
      left = Math.max(left, -at.right);
    }
    yield { forward, back, left, right };
    from = seenFrom(from, facing, walk.end.place);
    facing += walk.end.facing;
  }
}

/** A place that a fighter reaches who began here, facing this way (degrees clockwise). */
function seenFrom(from: Place, facing: number, { forward, right }: Place): Place {
  const angle = (facing * Math.PI) / 180;
  const round = (x: number): number => Math.round(x * 1000) / 1000 + 0;
  return {
    forward: round(from.forward + forward * Math.cos(angle) - right * Math.sin(angle)),
    right: round(from.right + forward * Math.sin(angle) + right * Math.cos(angle)),
  };
}
