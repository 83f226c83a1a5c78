import fc from 'fast-check';
import { hallSound, impactSound, throughLoudspeaker, type Placed } from '../../simulation/index.ts';
import { normalDraw, seededRandom, type RandomSource } from '../../units/index.ts';
import { ECHO_BLOCK, EchoCanceller } from './EchoCanceller.ts';
import { EchoFit } from './EchoFit.ts';
import { echoDelay } from './echoDelay.ts';
import {
  correctionsBy,
  detectBesideOwn,
  EchoAwareDetector,
  applyCorrections,
  SideBySide,
  validOnsets,
  type Reprocessed,
  type LoudOnset,
  type Pair,
} from '../index.ts';

const RATE = 16_000;
const SECONDS = 16;
const FIRST = 8;
const LATE = 0.07;
/** Some samples of what is played, or of what is heard, get lost here. */
const LOST = 26.1;

/** As a voice calls: every 0.7 s some syllables of noise through a resonance, with pauses. */
function calls(random: RandomSource): Float32Array {
  const played = new Float32Array(SECONDS * RATE);
  let [y1, y2] = [0, 0];
  for (let i = 0; i < played.length; i++) {
    const t = (i / RATE) % 0.7;
    const syllable = t < 0.5 ? Math.max(0, Math.sin((2 * Math.PI * t) / 0.17)) : 0;
    const y = 1.6 * y1 - 0.8 * y2 + normalDraw(random);
    [y2, y1] = [y1, y];
    if (i > RATE / 2) played[i] = 0.02 * syllable * y;
  }
  return played;
}

/** As a recording of pad work plays: like strikes, at instants of its own. */
function claps(random: RandomSource): Float32Array {
  const played = new Float32Array(SECONDS * RATE);
  for (let at = RATE / 2; at < played.length - RATE / 2; at += 0.77 * RATE)
    for (const [i, sample] of impactSound('mitt', RATE, random).entries())
      played[Math.round(at) + i]! += 0.3 * sample;
  return played;
}

function made(loud = 1, first = FIRST, plays = calls) {
  const random = seededRandom(4);
  const strikes = Array.from({ length: 16 }, (_, i): Placed => ({
    at: first + 0.43 * i,
    gain: 1,
    samples: impactSound((['pad', 'mitt', 'heavy bag'] as const)[i % 3]!, RATE, random),
  }));
  const hall = { sampleRate: RATE, seconds: SECONDS, strikes, signalToNoise: 20, echo: 0.7, peak: 0.3 };
  const struck = hallSound(hall, random);
  const own = plays(random);
  const way = { sampleRate: RATE, late: LATE, echo: 0.7, directOverRoom: 15, drive: 0.5 };
  const echo = throughLoudspeaker(own, way, random);
  return { own, heard: struck.map((x, i) => x + loud * echo[i]!), at: strikes.map(({ at }) => at) };
}

function detected(heard: Float32Array, own: Float32Array, lengths: readonly number[] = [341]): LoudOnset[] {
  return reported(heard, own, lengths).found;
}

/** What is reported at once, and what the first seconds come to when they were heard again. */
function reported(heard: Float32Array, own: Float32Array, lengths: readonly number[] = [341]) {
  const again: Reprocessed[] = [];
  const detector = new EchoAwareDetector(RATE, {}, (one) => again.push(one));
  const found: LoudOnset[] = [];
  for (let from = 0, i = 0; from < heard.length; i++) {
    const to = from + lengths[i % lengths.length]!;
    found.push(...detector.push(heard.subarray(from, to), own.subarray(from, to)));
    from = to;
  }
  return { found: [...found, ...detector.end()], again };
}
const near = (at: number) => (onset: LoudOnset) => Math.abs(onset.at - at) < 0.025;

describe('EchoAwareDetector', () => {
  const { own, heard, at } = made();
  it('finds the strikes under its own calls, and takes none of these for one', () => {
    const later = detected(heard, own).filter((onset) => onset.at > FIRST - 0.1);
    for (const instant of at) expect(later.filter(near(instant))).toHaveLength(1);
    expect(later).toHaveLength(at.length);
  });
  it('knows the way after little more than a second of calls, from what came before it knew', () => {
    const detector = new EchoAwareDetector(RATE);
    const second = (t: number) => [heard, own].map((samples) => samples.subarray(t * RATE, (t + 1) * RATE));
    const found = [0, 1, 2, 3, 4, 5, 6].flatMap((t) => {
      const [struck, played] = second(t);
      const onsets = detector.push(struck!, played!);
      if (t === 1) expect(detector.echoAfter).toBeCloseTo(LATE, 2);
      return onsets;
    });
    expect(found.filter((onset) => onset.at > 1.5)).toEqual([]);
  });
  it('hears the first seconds again once the way is learnt, and takes back what it took for strikes', () => {
    const early = made(1, 1.2, claps);
    const { found, again } = reported(early.heard, early.own);
    const atOnce = early.at.filter((instant) => found.some(near(instant))).length;
    expect(again).toHaveLength(1);
    const { withdrawn, added } = correctionsBy(found, again[0]!);
    const after = validOnsets([...found, ...withdrawn.map((one) => ({ ...one, withdrawn: true })), ...added]);
    const whole = detectBesideOwn({ sampleRate: RATE, samples: early.heard, own: early.own });
    expect(after).toHaveLength(whole.length);
    for (const [i, { at: instant }] of whole.entries()) expect(after[i]!.at).toBeCloseTo(instant, 1);
    const right = early.at.filter((instant) => whole.some(near(instant))).length;
    expect(right).toBeGreaterThanOrEqual(Math.max(atOnce, early.at.length - 1));
    expect(whole.length - right).toBeLessThan(found.length - atOnce);
  });
  it('hears nothing again of what came before anything was played, nor where nothing ever was', () => {
    const silence = new Float32Array(heard.length);
    expect(reported(made(0).heard, silence).again).toEqual([]);
    const late = own.map((sample, i) => (i < 4 * RATE ? 0 : sample));
    const { again } = reported(heard, late);
    expect(again).toHaveLength(1);
    expect(again[0]!.from).toBeGreaterThan(3.9);
  });
  it.each([0.043, -0.025])(
    'goes on where samples got lost, %s s of them, and hears again what it could not understand',
    (slip) => {
      const twice = (samples: Float32Array) => Float32Array.from([...samples, ...samples]);
      const struck = [...at, ...at.map((instant) => instant + SECONDS)];
      const late = twice(own).map((_, i, all) => all[i < LOST * RATE ? i : i + Math.round(slip * RATE)] ?? 0);
      const { found, again } = reported(twice(heard), late);
      expect(again).toHaveLength(2);
      expect(again[1]!.from).toBeLessThan(LOST + 0.3);
      expect(again[1]!.until).toBeGreaterThan(LOST + 0.3);
      const stands = again.reduce(applyCorrections, found);
      const right = struck.filter((instant) => stands.some(near(instant))).length;
      expect(right).toBeGreaterThanOrEqual(struck.length - 1);
      expect(stands.length - right).toBeLessThanOrEqual(1);
    },
  );
  it('finds the way again soon where what is played was taken to come at another time at first', () => {
    const { own, heard, at } = made(1, 6);
    // For three seconds what is played seems to come a quarter of a second later than it does.
    const [late, until] = [0.25 * RATE, 3 * RATE];
    const shifted = own.map((sample, i) => (i < until ? (own[i - late] ?? 0) : sample));
    const found = detected(heard, shifted).filter(({ doubtful }) => !doubtful);
    const later = at.filter((instant) => instant > 6.5);
    expect(later.filter((instant) => found.some(near(instant))).length).toBeGreaterThanOrEqual(
      later.length - 1,
    );
  });
  it('hears what is there where nothing is played', () => {
    const quiet = made(0);
    const found = detected(quiet.heard, new Float32Array(quiet.heard.length));
    for (const instant of at)
      expect(found.find(near(instant))).toMatchObject({ strength: expect.any(Number) });
    expect(found.some(({ doubtful }) => doubtful)).toBe(false);
  });
  it('hears all where its calls do not come back, as with earphones', () => {
    const found = detected(made(0).heard, own);
    expect(found.filter(({ doubtful }) => doubtful !== true)).toHaveLength(at.length);
  });
  it('finds the same in pieces of any length', () => {
    const whole = reported(heard, own, [heard.length]);
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 9000 }), { minLength: 1, maxLength: 8 }), (lengths) =>
        expect(reported(heard, own, lengths)).toEqual(whole),
      ),
      { numRuns: 3 },
    );
  });
});

describe('echoDelay', () => {
  const random = seededRandom(9);
  const own = Float64Array.from({ length: 16_000 }, () => normalDraw(random));
  it('tells by how much what is played comes later', () => {
    for (const late of [0, 40, 1234, 4000])
      expect(
        echoDelay(
          own,
          own.map((_, i) => 0.2 * (own[i - late] ?? 0) + 0.1 * normalDraw(random)),
          5000,
        ),
      ).toBe(late);
  });
  it('is not known where something else is heard, or nothing', () => {
    expect(
      echoDelay(
        own,
        own.map(() => normalDraw(random)),
        5000,
      ),
    ).toBeNull();
    expect(echoDelay(own, new Float64Array(own.length), 5000)).toBeNull();
  });
});

describe('EchoCanceller', () => {
  it('takes out what is played, and nothing where nothing is', () => {
    const random = seededRandom(6);
    const canceller = new EchoCanceller(4);
    const echo = new Float64Array(ECHO_BLOCK);
    const past: number[] = [];
    let [left, all] = [0, 0];
    for (let n = 0; n < 300; n++) {
      const own = Float64Array.from({ length: ECHO_BLOCK }, () => normalDraw(random));
      const from = past.push(...own) - ECHO_BLOCK;
      const heard = own.map((_, i) => 0.5 * (past[from + i - 100] ?? 0) - 0.3 * (past[from + i - 700] ?? 0));
      expect(canceller.take(own, heard, echo)).toBe(true);
      if (n < 200) continue;
      for (let i = 0; i < ECHO_BLOCK; i++) {
        left += (heard[i]! - echo[i]!) ** 2;
        all += heard[i]! ** 2;
      }
    }
    expect(10 * Math.log10(all / left)).toBeGreaterThan(30);
    const nothing = new Float64Array(ECHO_BLOCK);
    const plays = Array.from({ length: 6 }, () => canceller.take(nothing, nothing, echo));
    expect([plays[0], plays.at(-1)]).toEqual([true, false]);
    expect(echo.every((sample) => sample === 0)).toBe(true);
    // Whoever only knows the way unlearns nothing of it, whatever is heard.
    const knows = canceller.learnt();
    const click = Float64Array.from({ length: ECHO_BLOCK }, (_, i) => (i === 0 ? 1 : 0));
    const strange = click.map(() => normalDraw(random));
    for (let n = 0; n < 20; n++) {
      knows.take(click, strange, echo);
      expect(echo[100]).toBeCloseTo(0.5, 1);
    }
  });
});

describe('EchoFit', () => {
  const random = seededRandom(3);
  const noise = () => Float64Array.from({ length: ECHO_BLOCK }, () => normalDraw(random));
  const filled = (fit: EchoFit, blocks: number, block: (expected: Float64Array) => Float64Array) => {
    for (let n = 0; n < blocks; n++) {
      const expected = noise();
      fit.take(block(expected), expected);
    }
    return fit;
  };
  it('is right where what is expected is heard, whatever is heard with it', () => {
    const fit = filled(new EchoFit(RATE, false), 30, (expected) =>
      expected.map((x) => x + normalDraw(random)),
    );
    expect([fit.isRight, fit.isOff, fit.isSuspect]).toEqual([true, false, false]);
  });
  it('is suspect where something else is heard after it was right, for a while, and until it is known why', () => {
    const fit = filled(new EchoFit(RATE, true), 30, noise);
    expect([fit.isRight, fit.isOff, fit.isSuspect, fit.mayHaveSlipped]).toEqual([false, true, true, true]);
    filled(fit, 100, noise);
    expect([fit.isSuspect, fit.mayHaveSlipped]).toEqual([false, true]);
    fit.comesInTime();
    expect(fit.mayHaveSlipped).toBe(false);
    // What was right for half a second only is not known well.
    filled(fit, 40, (expected) => expected);
    expect(filled(fit, 30, noise).isSuspect).toBe(false);
    filled(fit, 100, (expected) => expected);
    expect(filled(fit, 30, noise).isSuspect).toBe(true);
  });
  it('says nothing where nothing is expected, or all is drowned', () => {
    for (const block of [
      (expected: Float64Array) => expected.fill(0),
      (expected: Float64Array) => expected.map(() => 9 * normalDraw(random)),
    ]) {
      const fit = filled(new EchoFit(RATE, true), 30, block);
      expect([fit.isRight, fit.isOff]).toEqual([false, false]);
    }
  });
});

describe('SideBySide', () => {
  const piece = (...samples: number[]) => Float32Array.from(samples);
  const listed = (pairs: readonly Pair[]) => pairs.map(([heard, own]) => [[...heard], [...own]]);

  it('puts together what comes at the same time, in whatever pieces', () => {
    const both = new SideBySide(10);
    expect(listed(both.takeOwn(piece(1, 2, 3)))).toEqual([]);
    expect(listed(both.takeHeard(piece(11, 12)))).toEqual([
      [
        [11, 12],
        [1, 2],
      ],
    ]);
    expect(listed(both.takeHeard(piece(13, 14)))).toEqual([[[13], [3]]]);
    expect(both.waiting).toBe(1);
    expect(listed(both.takeOwn(piece(4, 5)))).toEqual([[[14], [4]]]);
  });
  it('does not wait where nothing was ever played, nor for long for a device that plays no more', () => {
    const both = new SideBySide(2);
    expect(listed(both.takeHeard(piece(1)))).toEqual([[[1], [0]]]);
    both.takeOwn(piece(5));
    expect(listed(both.takeHeard(piece(2, 3)))).toEqual([[[2], [5]]]);
    expect(listed(both.takeHeard(piece(4, 6)))).toEqual([
      [[3], [0]],
      [
        [4, 6],
        [0, 0],
      ],
    ]);
  });

  const RATE_OF_BURSTS = 1000;
  const STEP = 10;
  /** Two streams that count, in steps; each is held up by `late(i)` steps and then comes at once. */
  const streamed = (steps: number, heardAfter: (i: number) => number, ownAfter: (i: number) => number) => {
    const both = new SideBySide(RATE_OF_BURSTS);
    const arrivals = Array.from({ length: steps }, (_, i) => [
      { at: i + ownAfter(i), i, takes: (samples: Float32Array) => both.takeOwn(samples) },
      { at: i + heardAfter(i), i, takes: (samples: Float32Array) => both.takeHeard(samples) },
    ]).flat();
    arrivals.sort((a, b) => a.at - b.at);
    const paired = arrivals.flatMap(({ i, takes }) =>
      takes(Float32Array.from({ length: STEP }, (_, k) => 1 + i * STEP + k)),
    );
    return listed(paired).flatMap(([heard, own]) => heard!.map((at, k) => at - own![k]!));
  };
  it('keeps the same time together where a busy device brings either in bursts', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 45 }), fc.integer({ min: 2, max: 45 }), (one, other) => {
        // The first second comes evenly, as both were begun.
        const bursts = (length: number) => (i: number) => (i < 100 ? 0 : length - 1 - (i % length));
        const apart = streamed(600, bursts(one), bursts(other));
        expect(new Set(apart)).toEqual(new Set([0]));
      }),
      { numRuns: 60 },
    );
  });
  it('finds the newest of both again where one of them came first in a burst, or lost much', () => {
    // What was played comes late by half a second at first, though it was played at the same time.
    const late = streamed(
      600,
      () => 0,
      (i) => (i < 50 ? 50 - i : 0),
    );
    expect(Math.abs(late.at(-1)!)).toBeLessThanOrEqual(0.03 * RATE_OF_BURSTS + STEP);
    const [lost, from] = [40, 200];
    const both = new SideBySide(RATE_OF_BURSTS);
    let waited = 0;
    for (let i = 0; i < 600; i++) {
      both.takeHeard(new Float32Array(STEP));
      if (i < from || i >= from + lost) both.takeOwn(new Float32Array(STEP));
      waited = both.waiting;
    }
    expect(waited).toBeLessThanOrEqual(0.03 * RATE_OF_BURSTS);
  });
});
