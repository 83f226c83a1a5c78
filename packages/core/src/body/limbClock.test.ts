import fc from 'fast-check';
import { parseLine } from '../line/index.ts';
import { seededLineText } from '../line/testLines.ts';
import { starterBook, type Lead } from '../moves/index.ts';
import { seededRandom } from '../units/index.ts';
import { PACE_FACTORS, limbClock, walkStance, type ClockResult, type OwnPace } from './index.ts';

const book = starterBook();
function clock(
  text: string,
  factor: number = PACE_FACTORS.sharp,
  lead: Lead = 'left',
  drivesThrough = false,
): ClockResult {
  const parsed = parseLine(text, book);
  if (!parsed.ok) throw new Error(`${text}: ${parsed.errors[0]!.message}`);
  return limbClock(walkStance(parsed.line, book, lead), { factor, drivesThrough });
}
/** Least seconds between the two strokes of a line that is one beat long, from the limit told. */
const gap = (text: string): number => clock(text).limit!.seconds;
const time = (code: string) => book.moves.get(code)!;

describe('limbClock', () => {
  const { jab, cross, hook, round, knee, push, side, weave, sw, parry } = Object.fromEntries(
    ['jab', 'cross', 'hook', 'round', 'knee', 'push', 'side', 'weave', 'sw', 'parry'].map((code) => [
      code,
      time(code),
    ]),
  ) as Record<string, { out: number; back: number }>;

  it.each([
    ['same hand', '1 1', 0.7 * jab!.back + jab!.out],
    ['same leg', 'r:round r:round', round!.back + round!.out],
    ['same leg kept up', 'f:round ^f:side', 0.5 * round!.back + 0.5 * side!.out],
    ['hand, other hand, turning', '2 3', 0.16],
    ['hand, other hand, not turning', '2 f:backfist', 0.26],
    ['hand, then leg of the same side', '2 r:knee', 0.6 * knee!.out],
    ['hand, then leg of the other side', '1 r:round', 0.85 * round!.out],
    ['kick, then hand', 'r:round 1', 0.8 * round!.back + 0.55 * jab!.out],
    ['touch kick, then hand', "r:round' 1", 0.5 * 0.8 * round!.back + 0.5 * jab!.out],
    ['leg, then other leg', 'f:push r:round', push!.back + 0.9 * round!.out],
    ['evasion, then anything', 'weave 3', 0.6 * weave!.back + 0.7 * hook!.out],
    ['block, then the other hand', 'parry 1', 0.6 * parry!.back + 0.7 * jab!.out],
    ['anything, then a switch', '2 sw', 0.4 * cross!.back + sw!.out],
    ['feint', '(1) 1', 0.7 * 0.6 * jab!.back + jab!.out],
    ['step through', '1 1>', 0.7 * jab!.back + jab!.out + 0.08],
  ])('%s: %j', (_, text, seconds) => {
    expect(gap(text)).toBeCloseTo(seconds, 3);
    expect(clock(text).fastestBpm).toBe(Math.floor(60 / seconds + 1e-9));
  });

  it('keeps the hips square before a punch where the gym does', () => {
    const parsed = parseLine('r:round 1', book);
    if (!parsed.ok) throw new Error('the line is fine');
    const { limit } = limbClock(walkStance(parsed.line, book, 'left'), { factor: 1, squareHips: true });
    expect(limit!.seconds).toBeCloseTo(0.5 * round!.back + 0.5 * jab!.out, 3);
  });
  it('asks a fighter’s own pace for the kind of pair', () => {
    const parsed = parseLine('2 r:knee', book);
    if (!parsed.ok) throw new Error('the line is fine');
    const at = (factor: number | OwnPace): number =>
      limbClock(walkStance(parsed.line, book, 'left'), { factor }).limit!.seconds;
    expect(at({ base: 1, pairs: { 'hand-leg': 1.5 } })).toBeCloseTo(1.5 * at(1), 3);
    expect(at({ base: 1.2, pairs: { 'same-hand': 3 } })).toBeCloseTo(1.2 * at(1), 3);
  });

  it('names the pair that holds the line back, and why', () => {
    expect(clock('1 2 r:round-2').limit).toMatchObject({
      fromStroke: 2,
      toStroke: 3,
      reason: 'the kicking foot has to come down before the cross can go',
    });
  });
  it('looks further back than the neighbour', () => {
    expect(clock('3=2=3').limit).toMatchObject({ fromStroke: 0, toStroke: 2 });
  });
  it('has no tempo for two feet off the floor or one hand twice at once', () => {
    expect(clock('f:round+r:round')).toMatchObject({
      fastestBpm: null,
      limit: { reason: 'no foot would be left on the floor' },
    });
    expect(clock('1+1@b').fastestBpm).toBeNull();
    expect(clock('parry+in 1').fastestBpm).not.toBeNull();
  });
  it('gives a drive through the target more time to come back', () => {
    expect(clock('1 1', 1, 'left', true).fastestBpm).toBeLessThan(clock('1 1').fastestBpm!);
  });
  it('leaves the holder out of it', () => {
    expect(clock('1 o:1=2').limit).toMatchObject({ fromStroke: 0, toStroke: 2 });
  });
  it('limits nothing where nothing follows', () => {
    expect(clock('1')).toEqual({ fastestBpm: 999, limit: null });
  });

  const lines = fc.nat(20_000).map((seed) => seededLineText(seededRandom(seed)));
  const exact = (result: ClockResult): number => result.fastestBpm ?? 0;

  it('is the same from the mirrored lead', () => {
    fc.assert(
      fc.property(lines, (text) =>
        expect(clock(text, 1.25, 'right').fastestBpm).toBe(clock(text, 1.25, 'left').fastestBpm),
      ),
    );
  });
  it('halves when every gap is halved', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom('1', '2', '3', 'r:round', 'weave', 'sw', 'f:push'), {
          minLength: 2,
          maxLength: 8,
        }),
        (words) => {
          const [whole, half] = [clock(words.join(' ')), clock(words.join('-'))];
          expect(Math.abs(exact(half) - exact(whole) / 2)).toBeLessThanOrEqual(1);
        },
      ),
    );
  });
  it('is never raised by one more stroke, at the end or in place of a rest', () => {
    fc.assert(
      fc.property(lines, fc.constantFrom('1', 'r:round', 'sw', 'weave', 'f:knee@h'), (text, more) => {
        expect(exact(clock(`${text}\n${more}`))).toBeLessThanOrEqual(exact(clock(text)));
      }),
    );
    for (const word of ['1', '2', 'weave', 'r:round', 'cover']) {
      for (const [a, b] of [
        ['r:round', '1'],
        ['1', '1'],
        ['2', 'weave'],
        ['f:push', 'r:round'],
      ]) {
        expect(exact(clock(`${a} ${word} ${b}`))).toBeLessThanOrEqual(exact(clock(`${a} . ${b}`)));
      }
    }
  });
  it('is never raised by a slower pace', () => {
    fc.assert(
      fc.property(lines, (text) => {
        const [sharp, club, novice] = (['sharp', 'club', 'novice'] as const).map((pace) =>
          exact(clock(text, PACE_FACTORS[pace])),
        );
        expect(club!).toBeLessThanOrEqual(sharp!);
        expect(novice!).toBeLessThanOrEqual(club!);
      }),
    );
  });
});
