import fc from 'fast-check';
import {
  CALL_PRIORITIES,
  CALL_SPACING,
  TIGHT_SPACING,
  VOICE_RATES,
  fitCalls,
  type FittedCall,
  type WantedCall,
} from './index.ts';
import { lettersVoice } from './testLibrary.ts';

const library = lettersVoice();
const end = (call: FittedCall): number => call.start + call.clip.seconds;

const wantedCall: fc.Arbitrary<WantedCall> = fc
  .record({
    forms: fc.constantFrom(
      ['rear round kick', 'round', 'eight'],
      ['jab', 'one'],
      ['switch'],
      ['ten seconds'],
    ),
    at: fc.double({ min: 0.5, max: 20, noNaN: true }),
    kind: fc.constantFrom('centre', 'start', 'end'),
    slack: fc.double({ min: 0, max: 2, noNaN: true }),
    priority: fc.constantFrom(...CALL_PRIORITIES),
  })
  .map(({ forms, at, kind, slack, priority }) => ({
    forms,
    priority,
    place:
      kind === 'centre'
        ? { kind, at }
        : kind === 'start'
          ? { kind, at, latest: at + slack }
          : { kind: 'end', at, earliest: Math.max(0, at - slack) },
  }));

describe('fitCalls', () => {
  it('never lets two calls overlap, loses none in silence, and keeps every call in its place', () => {
    fc.assert(
      fc.property(fc.array(wantedCall, { maxLength: 40 }), (wanted) => {
        const { fitted, dropped } = fitCalls(wanted, library);
        expect(fitted.length + dropped.length).toBe(wanted.length);
        for (let i = 1; i < fitted.length; i++) {
          const pair = [fitted[i - 1]!, fitted[i]!];
          const isTight = pair.every(
            ({ wanted: { priority }, clip }) => priority === 'stroke' && clip.seconds <= 0.5,
          );
          const spacing = isTight ? TIGHT_SPACING : CALL_SPACING;
          expect(fitted[i]!.start).toBeGreaterThanOrEqual(end(fitted[i - 1]!) + spacing - 1e-9);
        }
        for (const call of fitted) {
          const { place } = call.wanted;
          if (place.kind === 'centre') expect(call.start + call.clip.centre).toBeCloseTo(place.at, 9);
          if (place.kind === 'start') expect(call.start).toBeGreaterThanOrEqual(place.at);
          if (place.kind === 'start') expect(call.start).toBeLessThanOrEqual(place.latest);
          if (place.kind === 'end') expect(end(call)).toBeCloseTo(place.at, 9);
          if (place.kind === 'end') expect(call.start).toBeGreaterThanOrEqual(place.earliest);
        }
      }),
    );
  });

  it('never drops a call for a less important one', () => {
    fc.assert(
      fc.property(fc.array(wantedCall, { maxLength: 30 }), (wanted) => {
        const rank = (call: WantedCall): number => CALL_PRIORITIES.indexOf(call.priority);
        const { dropped } = fitCalls(wanted, library);
        for (const { wanted: lost } of dropped) {
          // Taking every less important call away does not bring it back.
          const others = wanted.filter((call) => rank(call) <= rank(lost));
          expect(fitCalls(others, library).dropped.some((drop) => drop.wanted === lost)).toBe(true);
        }
      }),
    );
  });

  const onBeat = (forms: string[], ...beats: number[]): WantedCall[] =>
    beats.map((at) => ({ forms, priority: 'stroke', place: { kind: 'centre', at } }));

  it('says the long form where there is room and a shorter one where there is not', () => {
    const forms = ['rear round kick', 'round', 'eight'];
    const said = (gap: number): string[] =>
      fitCalls(onBeat(forms, 1, 1 + gap, 1 + 2 * gap), library).fitted.map((c) => c.clip.text);
    expect(said(2)).toEqual(['rear round kick', 'rear round kick', 'rear round kick']);
    expect(said(0.42)).not.toContain('rear round kick');
    expect(said(0.42)).toHaveLength(3);
  });

  it('speaks no faster than it must', () => {
    expect(fitCalls(onBeat(['jab'], 1, 3), library).fitted.map((call) => call.clip.rate)).toEqual([1, 1]);
    expect(fitCalls(onBeat(['jab'], 1, 1.28), library).fitted.map((call) => call.clip.rate)).not.toEqual([
      1, 1,
    ]);
  });

  it('lets two short strokes come near before one is lost, and only then', () => {
    const fastest = library.find('one', VOICE_RATES.at(-1)!)!.seconds;
    const gaps = (beat: number): number[] => {
      const { fitted } = fitCalls(onBeat(['one'], 1, 1 + beat, 1 + 2 * beat), library);
      return fitted.slice(1).map((call, i) => call.start - end(fitted[i]!));
    };
    for (const gap of gaps(fastest + TIGHT_SPACING + 0.001))
      expect(gap).toBeCloseTo(TIGHT_SPACING + 0.001, 6);
    expect(gaps(fastest + TIGHT_SPACING + 0.001)).toHaveLength(2);
    expect(gaps(fastest + TIGHT_SPACING - 0.001)).toHaveLength(1);
    expect(Math.min(...gaps(fastest + CALL_SPACING + 0.001))).toBeGreaterThanOrEqual(CALL_SPACING);
    const count = (at: number): WantedCall => ({
      forms: ['one'],
      priority: 'count',
      place: { kind: 'centre', at },
    });
    expect(fitCalls([count(1), count(1 + fastest + TIGHT_SPACING + 0.001)], library).dropped).toHaveLength(1);
  });

  it('tells which calls it dropped, and why', () => {
    const time: WantedCall = {
      forms: ['ten seconds'],
      priority: 'time',
      place: { kind: 'start', at: 1, latest: 1 },
    };
    const stroke = onBeat(['one'], 1.2)[0]!;
    expect(fitCalls([stroke, time], library)).toMatchObject({
      fitted: [{ wanted: stroke }],
      dropped: [{ wanted: time, reason: 'no-room' }],
    });
    expect(fitCalls([stroke], lettersVoice(['one'])).dropped).toEqual([
      { wanted: stroke, reason: 'no-clip' },
    ]);
  });
});
