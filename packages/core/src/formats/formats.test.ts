import fc from 'fast-check';
import { lettersVoice } from '../calls/testLibrary.ts';
import { parseLine, placeOnBeats } from '../line/index.ts';
import { starterBook } from '../moves/index.ts';
import { compileRound } from '../rounds/index.ts';
import { fraction, fractionToText } from '../units/index.ts';
import { MIDI_TICKS, midiNote, midiTracks, rhythmLine, webVtt, type MidiEvent } from './index.ts';

const book = starterBook();
const round = compileRound(
  {
    blocks: [
      {
        kind: 'combo',
        id: 'b',
        seconds: 60,
        combos: [
          {
            id: 'c',
            grade: 'Flood',
            number: 4,
            title: 'Low <gate>',
            line: "1-1 r:round@l* 2'",
            beatsPerBar: 4,
          },
        ],
        bpm: 90,
        calls: 'on-beat',
        words: 'numbers',
        leadPlan: 'halves',
        cyclesEach: 4,
        tempo: { kind: 'steps', by: 3, every: 1 },
      },
    ],
    lead: 'left',
    seed: 1,
  },
  book,
  lettersVoice(),
);

describe('webVtt', () => {
  const text = webVtt([
    { at: 0, title: 'One', cues: round.cues },
    { at: 3600, title: 'Two', cues: round.cues },
  ]);
  const captions = [...text.matchAll(/^(\d\d):(\d\d):(\d\d\.\d{3}) --> (\d\d):(\d\d):(\d\d\.\d{3})$/gm)].map(
    (m) => {
      const [, ...parts] = m.map(Number);
      return [
        parts[0]! * 3600 + parts[1]! * 60 + parts[2]!,
        parts[3]! * 3600 + parts[4]! * 60 + parts[5]!,
      ] as const;
    },
  );
  it('has a caption for every call, each at the start of its clip', () => {
    const starts = round.cues.flatMap((cue) => cue.clip?.start ?? []).sort((a, b) => a - b);
    expect(captions.length).toBe(2 * starts.length);
    captions.slice(0, starts.length).forEach(([from], i) => expect(from).toBeCloseTo(starts[i]!, 2));
    expect(captions[starts.length]![0]).toBeCloseTo(3600 + starts[0]!, 2);
  });
  it('never shows two at once, and keeps markup out', () => {
    expect(text.startsWith('WEBVTT\n\n1\n')).toBe(true);
    captions.slice(1).forEach(([from], i) => expect(from).toBeGreaterThanOrEqual(captions[i]![1]));
    expect(
      webVtt([{ at: 0, title: '', cues: [{ ...round.cues.find((cue) => cue.clip)!, text: 'a<b>&' }] }]),
    ).toContain('a&lt;b&gt;&amp;');
  });
});

describe('midiTracks', () => {
  const tracks = midiTracks([
    { at: 0, round },
    { at: 60, round },
  ]);
  /** The instant of a tick by the tempo map, as any player reckons it. */
  const secondsAt = (tick: number): number => {
    let [seconds, last, tempo] = [0, 0, 500_000];
    for (const event of tracks.tempo) {
      if (event.kind !== 'tempo' || event.tick > tick) continue;
      seconds += ((event.tick - last) * tempo) / 1e6 / MIDI_TICKS;
      last = event.tick;
      tempo = event.microseconds;
    }
    return seconds + ((tick - last) * tempo) / 1e6 / MIDI_TICKS;
  };
  const of = <K extends MidiEvent['kind']>(events: readonly MidiEvent[], kind: K) =>
    events.filter((event): event is Extract<MidiEvent, { kind: K }> => event.kind === kind);

  it('has every strike within a millisecond of its cue, over both rounds and all tempos', () => {
    const due = [0, 60].flatMap((at) =>
      round.cues.filter((cue) => cue.kind === 'strike').map((cue) => at + cue.at),
    );
    const notes = of(tracks.strikes, 'note-on');
    expect(notes.length).toBe(due.length);
    notes.forEach((note, i) => expect(Math.abs(secondsAt(note.tick) - due[i]!)).toBeLessThan(0.001));
  });
  it('has every call as a lyric, and a tempo for every cycle that has another one', () => {
    expect(of(tracks.tempo, 'lyric').length).toBe(2 * round.cues.filter((cue) => cue.clip).length);
    expect(of(tracks.tempo, 'tempo').length).toBeGreaterThan(10);
  });
  it('tells limb, height and power', () => {
    const notes = of(tracks.strikes, 'note-on').slice(0, 4);
    expect(notes.map(({ note, velocity }) => [note, velocity])).toEqual([
      [midiNote('left-hand', 'head'), 90],
      [midiNote('left-hand', 'head'), 90],
      [midiNote('right-leg', 'low'), 120],
      [midiNote('right-hand', 'head'), 50],
    ]);
    expect(of(tracks.strikes, 'note-off').length).toBe(of(tracks.strikes, 'note-on').length);
  });
  it('is in the order of its ticks', () => {
    for (const events of [tracks.tempo, tracks.strikes])
      events.slice(1).forEach((event, i) => expect(event.tick).toBeGreaterThanOrEqual(events[i]!.tick));
  });
});

describe('rhythmLine', () => {
  const placesOf = (line: string): string[] => {
    const parsed = parseLine(line, book);
    if (!parsed.ok) throw new Error(`${line}: ${parsed.errors[0]!.message}`);
    return placeOnBeats(parsed.line)
      .items.filter(({ item }) => item.kind === 'stroke')
      .map(({ beat }) => fractionToText(beat));
  };
  it.each([
    [[0, 1, 1.5, 2], 'guard guard-guard-guard'],
    [[0, 0.75, 1], 'guard:3/4 guard=guard'],
    [[0, 1 / 3, 2 / 3], 'guard:1/3 guard:1/3 guard'],
    [[0, 0, 1], 'guard guard'],
    [[], ''],
  ])('%j is %j', (beats, line) => {
    expect(rhythmLine(beats.map((beat) => fraction(Math.round(beat * 480), 480)))).toMatchObject({
      line,
      left: 0,
    });
  });
  it('keeps the fractions of any rhythm on one grid, long silences too', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 16 }),
        fc.array(fc.integer({ min: 1, max: 400 }), { minLength: 1, maxLength: 12 }),
        (d, gaps) => {
          let at = 0;
          const beats = [fraction(0), ...gaps.map((n) => fraction((at += n), d))];
          const { line, left } = rhythmLine(beats);
          if (left === 0) expect(placesOf(line)).toEqual(beats.map(fractionToText));
        },
      ),
    );
  });
  it('takes what fits into a line, and says how much is left', () => {
    const { line, left } = rhythmLine(Array.from({ length: 300 }, (_, i) => fraction(i)));
    expect(line.length).toBeLessThanOrEqual(400);
    expect(placesOf(line).length + left).toBe(300);
  });
});

describe('a rhythm that is far too large', () => {
  it('takes no longer than a line holds, however far its notes lie apart', () => {
    const far = [fraction(0), fraction(1), fraction(0x0fffffff)];
    expect(rhythmLine(far)).toMatchObject({ line: 'guard guard', left: 1 });
  });
  it('looks at no more notes than a line holds', () => {
    const many = Array.from({ length: 200_000 }, (_, i) => fraction(i));
    const { line, left } = rhythmLine(many);
    expect(line.split(' ').length + left).toBe(200_000);
  });
});

describe('captions', () => {
  it('are never split by what stands in a call', () => {
    const cue = {
      at: 1,
      kind: 'call',
      text: 'one\n\ntwo',
      block: 'b',
      clip: { id: 'c', start: 1, seconds: 1, centre: 0, rate: 1 },
    } as const;
    expect(webVtt([{ at: 0, title: '', cues: [cue] }])).toContain('\none two\n');
  });
});
