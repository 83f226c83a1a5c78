import type { Seconds } from '@eurhythm/core/units';

const LOOK_MS = 50;
/** A step farther than this is a jump to another place, not time that went by. */
const JUMP: Seconds = 1;

/**
 * Does something for each of the things of a list, in order, as what is played goes past them; nothing while it stands still.
 * Gives what ends it.
 */
export function alongside<T extends { readonly at: Seconds }>(
  things: readonly T[],
  position: () => Seconds | null,
  does: (thing: T) => void,
): () => void {
  let last: Seconds | null = null;
  const timer = setInterval(() => {
    const now = position();
    if (now !== null && last !== null && now > last && now - last < JUMP)
      for (const thing of things) if (thing.at > last && thing.at <= now) does(thing);
    if (now !== null) last = now;
  }, LOOK_MS);
  return () => clearInterval(timer);
}
