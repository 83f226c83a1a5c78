import { secondsLeft } from '@eurhythm/core/units';
import type { PlacedScene, RoundMoment } from '@eurhythm/core/rounds';
import type { ControllerState } from '../../../floor/run/RunController.ts';

interface Seen {
  readonly phase: ControllerState['phase'];
  readonly moment: Pick<RoundMoment, 'call'>;
  readonly scene: Pick<PlacedScene, 'at' | 'what' | 'count' | 'until'> | null;
  readonly at: number;
  readonly isRest: boolean;
}

/** A call this near to a count is the count's own word. */
const SAME_INSTANT = 0.2;

/**
 * The instant of which the scene is shown: a number that is being said already is seen already.
 *
 * @example
 * sceneTime(3.9, { at: 4 }) // 4
 */
export function sceneTime(at: number, call: { readonly at: number } | null): number {
  return call && call.at > at && call.at - at < SAME_INSTANT ? call.at : at;
}

/**
 * The largest text of the board, and what was said beside it: a count shows its number, what everybody waits for the end of
 * shows the seconds, all else shows the call.
 *
 * @example
 * bigText({ phase: 'held', moment: { call: null }, scene: null, at: 0, isRest: false }) // { text: 'held', said: null }
 */
export function bigText({ phase, moment: { call }, scene, at, isRest }: Seen): {
  readonly text: string;
  readonly said: string | null;
} {
  if (phase === 'held') return { text: 'held', said: null };
  if (phase !== 'running') return { text: 'ready when you are', said: null };
  const spoken = call?.text ?? null;
  if (scene?.count) {
    const isCountWord = call !== null && Math.abs(call.at - scene.at) < SAME_INSTANT;
    return { text: String(scene.count.n), said: isCountWord ? null : spoken };
  }
  if (scene?.until !== undefined) {
    const left = secondsLeft(scene.until - at);
    // The last seconds are counted aloud, and what is done stands in the picture.
    return { text: String(left), said: call?.kind === 'count' ? null : spoken };
  }
  return { text: spoken ?? (isRest ? 'rest' : (scene?.what ?? '')), said: null };
}
