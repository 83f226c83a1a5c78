/** Chances from a seed (mulberry32), so that what was found is found again. */
export function seeded(seed) {
  let state = seed >>> 0;
  const next = () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), state | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
  };
  const whole = (from, to) => from + Math.floor(next() * (to - from + 1));
  return { next, whole, one: (list) => list[whole(0, list.length - 1)], chance: (p) => next() < p };
}
