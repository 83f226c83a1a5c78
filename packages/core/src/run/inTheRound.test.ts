import fc from 'fast-check';
import { lettersVoice } from '../calls/testLibrary.ts';
import { starterBook } from '../moves/index.ts';
import {
  compileRound,
  soundEvents,
  usualBlock,
  type Block,
  type CompiledRound,
  type RoundPlan,
} from '../rounds/index.ts';
import { synthSeconds } from '../sound/index.ts';
import {
  beatToGoOn,
  clipIds,
  endOfCombo,
  excerpt,
  firstSoundFrom,
  nextToChange,
  soundsAt,
  soundsBetween,
  spliceAt,
  spliced,
} from './index.ts';

const book = starterBook();
const combo = {
  ...usualBlock('combo', 'c'),
  seconds: 60,
  combos: [{ id: 'a', grade: 'Ebb', number: 1, title: 'A', line: '1 2 3', beatsPerBar: 4 }],
} as Block;
const plan: RoundPlan = { blocks: [combo, usualBlock('rest', 'r')], lead: 'left', seed: 1 };
const compiled = (shifts: RoundPlan['shifts'] = []) =>
  compileRound({ ...plan, shifts }, book, lettersVoice());
const round = compiled();
const events = soundEvents(round);

describe('inside a round', () => {
  it('holds after the combo that is being done, and at once where none is', () => {
    const { at, beats, beatSeconds } = round.cycles[2]!;
    expect(endOfCombo(round, at + 0.1)).toBeCloseTo(at + beats * beatSeconds, 9);
    expect(endOfCombo(round, 0)).toBeNull();
    expect(endOfCombo(round, round.duration - 1)).toBeNull();
  });
  it('goes on after beats of the combo that was held', () => {
    const { at, beatSeconds } = round.cycles[1]!;
    expect(beatToGoOn(round, at + 0.2)).toBe(beatSeconds);
    expect(beatToGoOn(round, 0)).toBe(0);
    expect(beatToGoOn({ cycles: [], duration: 60 }, 30)).toBe(0.6);
  });
  it('changes from the next time through on, and leaves what is before as it was', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 50, noNaN: true }),
        fc.integer({ min: -8, max: 20 }),
        (now, by) => {
          const next = nextToChange(round, now);
          if (!next) return;
          expect(next.at).toBeGreaterThan(now + 1.5);
          const from = spliceAt(next.at, now);
          const joined = spliced(round, compiled([{ from: next.at, by }]), from);
          expect(joined.cues.filter(({ at }) => at < from)).toEqual(round.cues.filter(({ at }) => at < from));
          const ats = joined.cycles.map(({ at }) => at);
          expect(ats).toEqual([...ats].sort((a, b) => a - b));
          const planned = 60 / next.beatSeconds;
          const changed = joined.cycles.find(({ at }) => at >= from)!;
          expect(60 / changed.beatSeconds).toBeCloseTo(planned + by, 6);
        },
      ),
      { numRuns: 25 },
    );
  });
  it('sounds each thing once, however its time is cut', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0, max: 105, noNaN: true }), { maxLength: 8 }), (cuts) => {
        const at = [0, ...cuts.sort((a, b) => a - b), Infinity];
        const parts = at.slice(0, -1).flatMap((from, i) => soundsBetween(events, from, at[i + 1]!));
        expect(parts).toEqual(events.filter((event) => event.at >= 0));
      }),
    );
    expect(firstSoundFrom(events, Infinity)).toBe(events.length);
    expect(firstSoundFrom([], 3)).toBe(0);
  });
  it('is heard in short from its count-in on', () => {
    const short = excerpt(round, 2);
    expect(short.cycles).toHaveLength(2);
    expect(short.cues[0]).toMatchObject({ kind: 'count', at: 0 });
    expect(short.duration).toBeCloseTo(
      short.cycles[1]!.at + short.cycles[1]!.beats * short.cycles[1]!.beatSeconds,
      6,
    );
    expect(short.cues.every(({ kind }) => kind !== 'bell' && kind !== 'time')).toBe(true);
    expect(excerpt({ ...round, cycles: [] }, 2)).toMatchObject({ duration: 0, cues: [] });
  });
  it('needs each of its clips once', () => {
    const ids = clipIds(round);
    expect(new Set(ids).size).toBe(ids.length);
    expect(new Set(ids)).toEqual(new Set(round.cues.flatMap(({ clip }) => clip?.id ?? [])));
  });
});

describe('what sounds at an instant', () => {
  const call = {
    at: 11,
    kind: 'call',
    text: 'jab',
    block: 'c',
    clip: { id: 'jab', start: 10, seconds: 0.5 },
  } as const;
  const bell = { at: 20, kind: 'bell', text: '', block: 'c', sound: 'bell-start' } as const;
  const tick = { at: 30, kind: 'tick', text: '', block: 'c', sound: 'tick' } as const;
  const cues = [call, bell, tick] as unknown as CompiledRound['cues'];
  const rung = synthSeconds('bell-start');
  it.each([
    ['before a call', 9.8, false],
    ['just before a call', 9.851, true],
    ['in a call', 10.3, true],
    ['while a call rings on', 10.649, true],
    ['after a call', 10.651, false],
    ['where a call is due and was said before', 11, false],
    ['before a bell', 19.84, false],
    ['just before a bell', 19.86, true],
    ['in a bell', 20 + rung / 2, true],
    ['while a bell rings on', 20 + rung + 0.149, true],
    ['after a bell', 20 + rung + 0.151, false],
    ['on a tick', 30, false],
  ])('%s', (_, at, sounds) => expect(soundsAt({ cues }, at)).toBe(sounds));
});

it('a round that goes on from an instant has what falls on it once, from the later one', () => {
  const of = (...ats: number[]) => ({
    ...round,
    cues: ats.map((at) => ({ ...round.cues[0]!, at })),
    cycles: [],
  });
  expect(spliced(of(1, 2, 3), of(1.5, 2, 4), 2).cues.map(({ at }) => at)).toEqual([1, 2, 4]);
});
