import type { FighterView } from '@eurhythm/contract';
import type { Mark } from '@eurhythm/core/run';
import { byGroups, inOrder, letters, sumUp, tellHeld } from './summary.ts';

const fighter = (id: string) => ({ id, name: id }) as FighterView;
const mark = (done: Mark['done'], quality: Mark['quality'] = null): Mark => ({ done, quality });

describe('the summary of a run', () => {
  it('puts those with something open first, and counts what was finished', () => {
    const marks: Record<string, (Mark | undefined)[]> = {
      ines: [mark('finished'), mark('part'), undefined],
      oskar: [mark('finished', 'wild'), undefined, undefined],
    };
    const run = { rounds: [{}, {}, {}] } as unknown as Parameters<typeof sumUp>[0];
    const sums = sumUp(run, [fighter('ines'), fighter('oskar')], (round, id) => marks[id]![round]);
    expect(sums.map(({ fighter: { id }, finished, open }) => [id, finished, open])).toEqual([
      ['oskar', 1, 1],
      ['ines', 1, 0],
    ]);
    const stays = inOrder(sums, ['ines', 'oskar']).map(({ fighter: { id } }) => id);
    expect(stays).toEqual(['ines', 'oskar']);
    expect(sums[0]!.marks.map(letters)).toEqual(['F w', '–', '–']);
    const groups = [
      { name: 'Ebb', fighterIds: ['ines', 'gone'] },
      { name: 'Slack', fighterIds: [] },
    ];
    const reported = byGroups(sums, groups).map(({ name, finished, of, sums: own }) => [
      name,
      finished,
      of,
      own.length,
    ]);
    expect(reported).toEqual([
      ['Ebb', 1, 3, 1],
      ['', 1, 3, 1],
    ]);
  });
  it('tells what was planned and not held', () => {
    expect(tellHeld(['Warm up', 'Pads', 'Shadow'], [0, 1, 2])).toBe('Held to the end bell: 3 of 3 rounds.');
    expect(tellHeld(['Warm up', 'Pads', 'Shadow'], [0])).toBe(
      'Held to the end bell: 1 of 3 rounds. Not: Pads, Shadow.',
    );
  });
});
