import type { MotionSample } from '../strikes/index.ts';
import { normalDraw, type RandomSource, type Seconds } from '../units/index.ts';

const GRAVITY = 9.81;
/** A punch pushes a phone on a bag by so many m/s², for so long; then bag and tape ring. */
const PUSH = { from: 25, to: 70 } as const;
const PULSE: Seconds = 0.025;
const RING = { hertz: 9, falls: 0.05, share: 0.35 } as const;
/** The bag swings under its chain. */
const SWING = { hertz: 0.6, strength: 1.5 } as const;
const NOISE = 0.15;

/**
 * What the motion sensor of a phone on a bag says, `hertz` times a second with a little jitter, while strikes land at these instants.
 *
 * @example
 * bagMotion([1], { seconds: 2, hertz: 60 }, seededRandom(1)).length // 120
 */
export function bagMotion(
  strikes: readonly Seconds[],
  { seconds, hertz }: { readonly seconds: Seconds; readonly hertz: number },
  random: RandomSource,
): MotionSample[] {
  const pushes = strikes.map((at) => ({
    at,
    push: PUSH.from + (PUSH.to - PUSH.from) * random(),
    aside: 0.3 * normalDraw(random),
  }));
  return Array.from({ length: Math.floor(seconds * hertz) }, (_, i) => {
    const at = (i + 0.2 * (random() - 0.5)) / hertz;
    let [forth, aside] = [0, 0];
    for (const { at: began, push, aside: part } of pushes) {
      const t = at - began;
      if (t < 0 || t > 10 * RING.falls) continue;
      const pulse = t < PULSE ? Math.sin((Math.PI * t) / PULSE) : 0;
      const ring = RING.share * Math.exp(-t / RING.falls) * Math.sin(2 * Math.PI * RING.hertz * t);
      forth += push * (pulse - ring);
      aside += part * push * (pulse - ring);
    }
    const swing = SWING.strength * Math.sin(2 * Math.PI * SWING.hertz * at);
    return {
      at,
      x: forth + swing + NOISE * normalDraw(random),
      y: aside + NOISE * normalDraw(random),
      z: GRAVITY + NOISE * normalDraw(random),
    };
  });
}
