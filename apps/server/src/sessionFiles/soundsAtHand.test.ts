import { tmpdir } from 'node:os';
import type { SoundEvent } from '@eurhythm/core/rounds';
import { fileSounds } from '../heavy/tasks/fileSounds.ts';
import { ClipFolder } from '../voice/clipFolder.ts';
import { SoundsAtHand } from './soundsAtHand.ts';

type Source = SoundEvent['source'];
const tick: Source = { kind: 'synth', sound: 'tick-beat' };
const bell: Source = { kind: 'synth', sound: 'bell-end' };
const lost: Source = { kind: 'clip', id: 'f'.repeat(32) };

/** Does what the threads do, and notes what was asked of them. */
function atHand(): { sounds: SoundsAtHand; asked: Source[][] } {
  const asked: Source[][] = [];
  const heavy = {
    goOn: async (_: string, sources: Source[], folder: string) => {
      asked.push([...sources]);
      return Promise.resolve(fileSounds(sources, folder));
    },
  };
  return { sounds: new SoundsAtHand(heavy as never, new ClipFolder(tmpdir())), asked };
}

describe('sounds at hand', () => {
  it('are made once, also when they are asked for twice at the same time', async () => {
    const { sounds, asked } = atHand();
    const [[first, second], [third]] = await Promise.all([sounds.of([tick, bell]), sounds.of([tick])]);
    expect(asked).toEqual([[tick, bell]]);
    expect(third).toBe(first);
    expect(second!.length).toBeGreaterThan(first!.length);
  });
  it('that could not be read are reported, and asked for anew', async () => {
    const { sounds, asked } = atHand();
    await expect(sounds.of([tick, lost])).rejects.toThrow();
    await expect(sounds.of([lost])).rejects.toThrow();
    expect(asked).toEqual([[tick, lost], [lost]]);
    await expect(sounds.of([tick])).resolves.toHaveLength(1);
  });
});
