import { BANDS, BandEnergies } from './BandEnergies.ts';

/** What was played rings on in the hall: it is thought to fall by so much a frame of 2 ms, 60 dB in 0.7 s. */
const RINGS = 0.96;
/** The share of the echo that stays is learnt where the echo is so many times the floor. */
const OVER_FLOOR = 4;
/** It follows the upper third of what is seen, by so much of itself a frame. */
const UPPER = 0.7;
const FOLLOWS = 0.02;

/** How much of the own sound may still be in what is left when its echo has been taken out, band by band: learnt while it sounds. */
export class EchoShare {
  private readonly bands: BandEnergies;
  private readonly waiting: Float64Array[] = [];
  private readonly echo = new Float64Array(BANDS);
  private readonly share = new Float64Array(BANDS).fill(1);

  constructor(sampleRate: number) {
    this.bands = new BandEnergies(sampleRate);
  }

  /** Takes what was taken out, as many samples as the detector gets. */
  push(echo: ArrayLike<number>): void {
    this.bands.push(echo, (energies) => this.waiting.push(energies));
  }

  /** The mean square of what may be left of it in the frame that was heard with these energies, over this floor. */
  left(energies: Float64Array, floor: Float64Array): Float64Array {
    const { echo, share } = this;
    const now = this.waiting.shift();
    const left = new Float64Array(BANDS);
    for (let b = 0; b < BANDS; b++) {
      echo[b] = Math.max(now?.[b] ?? 0, RINGS * echo[b]!);
      if (echo[b]! > OVER_FLOOR * floor[b]!) {
        const isMore = energies[b]! > share[b]! * echo[b]!;
        share[b]! *= Math.exp(isMore ? UPPER * FOLLOWS : (UPPER - 1) * FOLLOWS);
        share[b] = Math.min(1, share[b]!);
      }
      left[b] = share[b]! * echo[b]!;
    }
    return left;
  }
}
