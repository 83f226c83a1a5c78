import fc from 'fast-check';
import { parseLine } from '../line/index.ts';
import { seededLineText } from '../line/testLines.ts';
import { STARTER_NUMBERS, moveBook, starterBook, type Lead } from '../moves/index.ts';
import { seededRandom, toNumber } from '../units/index.ts';
import {
  PACE_FACTORS,
  cleanTempo,
  limbClock,
  repeatClock,
  walkStance,
  type ClockResult,
  type OwnPace,
} from './index.ts';

const starter = starterBook().moves;
/** Beside the starter book: a whip that turns the hips back, and a kick in the flight of another. */
const book = moveBook(
  [
    ...starter.values(),
    { ...starter.get('backfist')!, code: 'whip', turn: -1 },
    { ...starter.get('round')!, code: 'fly', support: 'airborne' },
  ],
  STARTER_NUMBERS,
);
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
/** Least seconds between the two strokes of a line that is one beat long, from the limit reported. */
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
    ['hand, other hand, no turn of the hips', '2 f:backfist', 0.16],
    ['hand, other hand, the same turn', '2 f:whip', 0.26],
    ['a whole step after a whole step', 'in in', 0.42],
    ['a step through after one', '2> 2>', cross!.back + cross!.out + 0.08],
    ['a switch after a step', 'in sw', 0.42],
    ['two kicks of one flight', 'f:round r:fly', 0.22],
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
    expect(clock('1')).toEqual({ fastestBpm: null, limit: null });
    expect(clock('. o:2 1')).toEqual({ fastestBpm: null, limit: null });
  });

  it('holds four steps through to four steps, whatever the hands do', () => {
    const plain = clock('in in in in', PACE_FACTORS.club).fastestBpm!;
    for (const text of ['2> 2> 2> 2>', '1> 1> 1>', '1> sw 1<', 'in-1> . in'])
      expect(clock(text, PACE_FACTORS.club).fastestBpm!).toBeLessThanOrEqual(plain);
    expect(clock('in+2>').limit).toMatchObject({ reason: 'the feet cannot do two things at once' });
  });
  it('lets the standing foot turn under a kick at its impact, at the tempo of the kick alone', () => {
    const alone = clock("1 2 r:round'", PACE_FACTORS.club).fastestBpm!;
    expect(clock("1 2 r:round'+angle", PACE_FACTORS.club).fastestBpm!).toBeGreaterThanOrEqual(alone - 1);
    expect(clock("1 2 angle-r:round'", PACE_FACTORS.club).fastestBpm!).toBeLessThan(alone);
  });
  it('waits for both feet behind a kick from the air, whatever follows', () => {
    const { out, back } = book.moves.get('jumpcres')!;
    expect([out, back]).toEqual([0.6, 0.5]);
    for (const text of ['jumpcres duck', 'jumpcres 2', 'jumpcres f:push', 'jumpcres 1']) {
      expect(clock(text).fastestBpm!).toBeLessThan(91);
      expect(clock(text).limit!.seconds).toBeGreaterThan(back);
    }
  });
  it('lets both legs leave the floor for two kicks of one flight only', () => {
    expect(clock('f:round=r:fly').fastestBpm).toBe(Math.floor(15 / 0.22));
    expect(clock('f:round-r:round').fastestBpm!).toBeLessThan(clock('f:round-r:fly').fastestBpm!);
  });

  const lineOf = (text: string) => {
    const parsed = parseLine(text, book);
    if (!parsed.ok) throw new Error(text);
    return parsed.line;
  };
  const again = (text: string, beats: number, factor = 1) =>
    repeatClock(walkStance(lineOf(text), book, 'left'), beats, { factor });
  it.each([
    ['r:round', 4, 240 / (round!.back + round!.out)],
    ['1', 1, 60 / (0.7 * jab!.back + jab!.out)],
    ['1 2', 2, 120 / (0.7 * cross!.back + cross!.out)],
    ['1 2', 4, 240 / (0.7 * cross!.back + cross!.out)],
  ])('of %s every %d beats is held back by the next time through', (text, beats, bpm) => {
    expect(again(text, beats).fastestBpm).toBe(Math.floor(bpm + 1e-9));
  });
  it('reckons in the change back to the first lead', () => {
    const { fastestBpm, limit } = again('1 2>', 4);
    expect(limit!.reason).toBe('the feet have to change back to left lead before it begins again');
    expect(fastestBpm!).toBeLessThan(again('1 2', 4).fastestBpm!);
  });
  it.each([
    ['r:round sw r:round', 3, 'one leg has to stand before the other one goes'],
    ['2 sw r:round', 3.5, 'the feet have to change back to left lead before it begins again'],
  ])(
    'of %s every %d beats goes by what takes longer, the change of the feet or the limbs',
    (text, beats, reason) => {
      const { fastestBpm, limit } = again(text, beats);
      expect(limit!.reason).toBe(reason);
      // From its last stroke to the first one of the next time through there is just as long.
      const walk = walkStance(lineOf(text), book, 'left');
      const [first, last] = [walk.strokes[limit!.toStroke]!, walk.strokes[limit!.fromStroke]!];
      const left = beats + toNumber(first.beat) - toNumber(last.beat);
      expect((60 * left) / fastestBpm!).toBeGreaterThanOrEqual(limit!.seconds - 1e-3);
      expect((60 * left) / (fastestBpm! + 1)).toBeLessThan(limit!.seconds + 1e-3);
    },
  );
  it('of a line repeated never allows what the line written twice does not', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom('1', '2', '3', 'r:round', 'weave', 'f:push', 'in out'), {
          minLength: 1,
          maxLength: 6,
        }),
        (words) => {
          const text = words.join(' ');
          const beats = text.split(' ').length;
          const twice = exact(clock(`${text} ${text}`));
          expect(Math.min(exact(clock(text)), exact(again(text, beats)))).toBe(twice);
        },
      ),
    );
  });
  it.each([
    [
      { fastestBpm: 120, limit: null, repeat: null },
      { bpm: 120, by: 'line' },
    ],
    [
      { fastestBpm: 120, limit: null, repeat: { beats: 4, fastestBpm: 90, limit: null } },
      { bpm: 90, by: 'repeat' },
    ],
    [
      { fastestBpm: 80, limit: null, repeat: { beats: 4, fastestBpm: 90, limit: null } },
      { bpm: 80, by: 'line' },
    ],
    [
      { fastestBpm: null, limit: null, repeat: { beats: 4, fastestBpm: 90, limit: null } },
      { bpm: 90, by: 'repeat' },
    ],
    [{ fastestBpm: null, limit: null, repeat: null }, null],
  ] as const)('the clean tempo of %j is %j', (report, clean) => expect(cleanTempo(report)).toEqual(clean));

  const lines = fc.nat(20_000).map((seed) => seededLineText(seededRandom(seed)));
  const exact = ({ fastestBpm, limit }: ClockResult): number => fastestBpm ?? (limit ? 0 : Infinity);

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

describe('how fast what a coach writes can be done', () => {
  const bpm = (text: string): number => clock(text).fastestBpm!;
  it('both kicks of a flying double land within a quarter of a beat, and what follows waits for the landing', () => {
    expect(bpm('r:round=^f:round')).toBeGreaterThan(60);
    expect(bpm('r:round=f:round')).toBeLessThan(25);
    expect(bpm('r:round=^f:round 1')).toBeGreaterThan(60);
    expect(bpm('r:round=^f:round-1')).toBeLessThan(bpm('f:round-1'));
  });
  it('a hand that blocks closes at once', () => {
    expect(bpm('r:mid=r:grab')).toBeGreaterThan(2 * bpm('r:mid=r:palm'));
    expect(bpm('r:mid=r:grab')).toBeGreaterThan(bpm('r:mid=f:grab'));
  });
  it('while a position is held nothing moves', () => {
    expect(bpm('r:round [hold2] r:hook')).toBe(bpm('r:round r:hook'));
    expect(bpm('f:side [hold4] ^f:hookkick')).toBe(bpm('f:side ^f:hookkick'));
    expect(bpm('horse [hold8] 1')).toBe(bpm('horse 1'));
  });
  it('a stance is the end of the step beside it, and a step of its own after it', () => {
    expect(bpm('in horse')).toBeLessThanOrEqual(bpm('in out'));
  });
  it('one foot of a grid needs half the time of the body', () => {
    expect(bpm('f:footfwd r:footfwd')).toBeGreaterThanOrEqual(2 * bpm('in in') - 2);
    expect(bpm('f:footfwd f:footback')).toBeLessThanOrEqual(bpm('f:footfwd r:footfwd'));
    expect(bpm('f:footfwd f:footback')).toBeGreaterThan(bpm('in out'));
  });
  it('either hand strikes to the side', () => {
    expect(bpm('f:sidehammer r:sidehammer')).toBeGreaterThan(100);
  });
});
