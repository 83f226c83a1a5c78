/**
 * A filter of second order: y = b0 x + b1 x₋₁ + b2 x₋₂ − a1 y₋₁ − a2 y₋₂. The forms are those of the "Audio EQ Cookbook"
 * (R. Bristow-Johnson, W3C note 2021).
 */
export interface Biquad {
  readonly b: readonly [number, number, number];
  readonly a: readonly [number, number];
}

/**
 * A filter for a stream: each sample in gives one out.
 *
 * @example
 * filterOf(highPass(100, 8000, 0.7))(0) // 0
 */
export function filterOf({ b, a }: Biquad): (sample: number) => number {
  let [x1, x2, y1, y2] = [0, 0, 0, 0];
  return (x) => {
    const y = b[0] * x + b[1] * x1 + b[2] * x2 - a[0] * y1 - a[1] * y2;
    x2 = x1;
    x1 = x;
    y2 = y1;
    y1 = y;
    return y;
  };
}

/** A filter for a stream that comes in pieces: as `filterOf`, and many times as fast. */
export class PieceFilter {
  private readonly biquad: Biquad;
  private readonly last = new Float64Array(4);

  constructor(biquad: Biquad) {
    this.biquad = biquad;
  }

  /** Filters the first `count` samples of a piece into another one, which may be the same. */
  run(from: ArrayLike<number>, to: Float64Array, count: number): void {
    const { last } = this;
    const [b0, b1, b2] = this.biquad.b;
    const [a1, a2] = this.biquad.a;
    let [x1, x2, y1, y2] = [last[0]!, last[1]!, last[2]!, last[3]!];
    for (let i = 0; i < count; i++) {
      const x = from[i]!;
      // What is known longest comes first: the next sample waits for nothing but the last term.
      const y = b0 * x + b1 * x1 + b2 * x2 - a2 * y2 - a1 * y1;
      x2 = x1;
      x1 = x;
      y2 = y1;
      y1 = y;
      to[i] = y;
    }
    last[0] = x1;
    last[1] = x2;
    last[2] = y1;
    last[3] = y2;
  }
}

/**
 * @example
 * filtered(Float32Array.of(1, 0), highPass(100, 8000, 0.7)).length // 2
 */
export function filtered(samples: Float32Array, biquad: Biquad): Float32Array<ArrayBuffer> {
  const made = new Float32Array(samples.length);
  const filter = filterOf(biquad);
  for (let i = 0; i < samples.length; i++) made[i] = filter(samples[i]!);
  return made;
}

function angle(hertz: number, sampleRate: number, q: number): { cos: number; alpha: number } {
  const w = (2 * Math.PI * hertz) / sampleRate;
  return { cos: Math.cos(w), alpha: Math.sin(w) / (2 * q) };
}

const over = (a0: number, b: Biquad['b'], a: Biquad['a']): Biquad => ({
  b: [b[0] / a0, b[1] / a0, b[2] / a0],
  a: [a[0] / a0, a[1] / a0],
});

/**
 * Lets through what is above so many hertz.
 *
 * @param hertz half of the power is left here
 * @param sampleRate samples a second
 * @param q how sharp the corner is; √½ for the flattest
 *
 * @example
 * highPass(300, 16_000, 0.7).b[1] < 0 // true
 */
export function highPass(hertz: number, sampleRate: number, q: number): Biquad {
  const { cos, alpha } = angle(hertz, sampleRate, q);
  return over(1 + alpha, [(1 + cos) / 2, -(1 + cos), (1 + cos) / 2], [-2 * cos, 1 - alpha]);
}

/**
 * Lets through what is below so many hertz.
 *
 * @param hertz half of the power is left here
 * @param sampleRate samples a second
 * @param q how sharp the corner is; √½ for the flattest
 *
 * @example
 * lowPass(300, 16_000, 0.7).b[1] > 0 // true
 */
export function lowPass(hertz: number, sampleRate: number, q: number): Biquad {
  const { cos, alpha } = angle(hertz, sampleRate, q);
  return over(1 + alpha, [(1 - cos) / 2, 1 - cos, (1 - cos) / 2], [-2 * cos, 1 - alpha]);
}

/**
 * Lets through what lies about so many hertz, in full at that middle; `q` is the middle over the width between the half-power points.
 *
 * @param hertz the middle
 * @param sampleRate samples a second
 * @param q without unit
 *
 * @example
 * bandPass(300, 16_000, 1.4).b[1] // 0
 */
export function bandPass(hertz: number, sampleRate: number, q: number): Biquad {
  const { cos, alpha } = angle(hertz, sampleRate, q);
  return over(1 + alpha, [alpha, 0, -alpha], [-2 * cos, 1 - alpha]);
}
