import fc from 'fast-check';
import { readWav } from '../sound/index.ts';
import { labelledWav, labelsOf } from './labelledWav.ts';
import { amongLosses, lossesOf, wavWithLosses, withoutLosses } from './lostSound.ts';
import { onsetNotes } from './onsetNotes.ts';
import { onsetsCsv, readTimes } from './onsetTables.ts';

describe('a table of times', () => {
  it('is read as it was written', () =>
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            at: fc.integer({ min: 0, max: 3_600_000 }),
            db: fc.integer({ min: -900, max: 0 }),
            doubtful: fc.boolean(),
          }),
          { minLength: 1 },
        ),
        (some) => {
          const onsets = some
            .map(({ at, db, doubtful }) => ({
              at: at / 1000,
              strength: db / 10,
              ...(doubtful ? { doubtful } : {}),
            }))
            .sort((a, b) => a.at - b.at);
          const read = readTimes(onsetsCsv(onsets));
          expect(read.ok && read.onsets.map(({ at }) => at)).toEqual(onsets.map(({ at }) => at));
          expect(read.ok && read.onsets.filter(({ doubtful }) => doubtful)).toHaveLength(
            onsets.filter(({ doubtful }) => doubtful).length,
          );
        },
      ),
    ));
  it('may be written by hand: minutes, commas of decimals, tabs, names above', () => {
    const at = (text: string) => {
      const read = readTimes(text);
      return read.ok ? read.onsets.map((onset) => onset.at) : read.message;
    };
    expect(at('time;force\n1,5;300\n0:02,25;200\n')).toEqual([1.5, 2.25]);
    expect(at('"3"\n1:00:01\n2')).toEqual([2, 3, 3601]);
    expect(at('1\n\nsoon\n')).toContain('Line 3');
    expect(at('time\n')).toContain('no time');
    expect(at('')).toContain('no time');
  });
});

describe('a sound with labels', () => {
  const sound = { sampleRate: 8000, samples: new Float32Array(8000).fill(0.25) };
  const file = labelledWav(sound, [
    { at: 0.25, seconds: 0.05, name: 'Jab' },
    { at: 0.5, seconds: 0.05, name: 'Größe' },
  ]);
  it('is read as any WAV file', () => {
    const read = readWav(file);
    expect(read.ok && read.sound.samples.length).toBe(8000);
    expect(new DataView(file.buffer).getUint32(4, true)).toBe(file.length - 8);
  });
  it('names its regions, each at its frame', () => {
    const letters = String.fromCharCode(...file);
    const view = new DataView(file.buffer);
    const cue = letters.indexOf('cue ');
    expect(view.getUint32(cue + 8, true)).toBe(2);
    expect([view.getUint32(cue + 16, true), view.getUint32(cue + 40, true)]).toEqual([2000, 4000]);
    expect(letters).toContain('Jab\0');
    expect(letters).toContain('rgn ');
    expect(letters.indexOf('LIST') % 2).toBe(0);
  });
  it('tells its regions again; what is cut off or no WAV tells none', () => {
    expect(labelsOf(file)).toEqual([
      { at: 0.25, seconds: 0.05, name: 'Jab' },
      { at: 0.5, seconds: 0.05, name: 'Groe' },
    ]);
    for (let length = 0; length < file.length; length += length < 200 || length > 16_000 ? 1 : 997)
      expect(labelsOf(file.subarray(0, length)).length).toBeLessThanOrEqual(2);
    expect(labelsOf(new Uint8Array(400).fill(255))).toEqual([]);
  });
});

describe('a sound some of which got lost', () => {
  const SAMPLES = 8000;
  const sound = { sampleRate: 8000, samples: Float32Array.from({ length: SAMPLES }, (_, i) => i / SAMPLES) };
  it('is silent there, says so, and is what it was without', () =>
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            at: fc.integer({ min: 0, max: SAMPLES - 1 }),
            seconds: fc.integer({ min: 1, max: 2000 }),
          }),
          {
            maxLength: 5,
          },
        ),
        (some) => {
          const losses = some
            .map(({ at, seconds }) => ({ at: at / 8000, seconds: seconds / 8000 }))
            .sort((a, b) => a.at - b.at)
            .filter(({ at }, i, all) => at !== all[i - 1]?.at);
          const wav = wavWithLosses(sound, losses);
          const read = readWav(wav);
          if (!read.ok) throw new Error(read.message);
          const lost = losses.reduce((sum, { seconds }) => sum + seconds, 0);
          expect(read.sound.samples.length).toBe(SAMPLES + Math.round(8000 * lost));
          const reported = lossesOf(wav);
          expect(reported.length).toBe(losses.length);
          const again = withoutLosses(read.sound, reported);
          expect(again.samples.length).toBe(SAMPLES);
          for (let i = 0; i < SAMPLES; i += 101) {
            expect(again.samples[i]).toBeCloseTo(sound.samples[i]!, 3);
            const among = Math.round(8000 * amongLosses(i / 8000, losses));
            expect(read.sound.samples[among]).toBeCloseTo(sound.samples[i]!, 3);
          }
        },
      ),
      { numRuns: 50 },
    ));
});

it('strikes become notes, the louder the stronger, on ticks of a millisecond', () => {
  const notes = onsetNotes([
    { at: 2, strength: -10 },
    { at: 1, strength: -40 },
  ]).filter(({ kind }) => kind === 'note-on');
  expect(notes.map(({ tick }) => tick)).toEqual([960, 1920]);
  const [soft, loud] = notes.map((note) => ('velocity' in note ? note.velocity : 0));
  expect(soft).toBeLessThan(loud!);
});
