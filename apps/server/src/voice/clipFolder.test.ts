import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { clipId } from './bundledClips.ts';
import { ClipFolder } from './clipFolder.ts';

describe('the clip folder', () => {
  const data = mkdtempSync(join(tmpdir(), 'eurhythm-clips-'));
  afterAll(() => rmSync(data, { recursive: true, force: true }));
  const folder = new ClipFolder(data);
  const clip = { id: clipId('test', 1), text: 'one', rate: 1, seconds: 0.5, centre: 0.1 };

  it('gives back what it keeps, and leaves nothing half-written', async () => {
    await folder.keep(clip, new Uint8Array([1, 2, 3]));
    expect(await folder.read(clip.id)).toEqual(clip);
    expect([...(await folder.wav(clip.id))!]).toEqual([1, 2, 3]);
    expect(readdirSync(join(data, 'clips')).filter((name) => name.endsWith('.part'))).toEqual([]);
  });
  it('has nothing else, and lets no name out of the folder', async () => {
    expect(await folder.read(clipId('test', 2))).toBeNull();
    for (const id of ['../database/PG_VERSION', '', 'x'.repeat(32)]) expect(await folder.wav(id)).toBeNull();
  });
  it('ids stand for what made the clip', () => {
    expect(clipId('a', 1)).toMatch(/^[0-9a-f]{32}$/);
    expect(clipId('a', 1)).toBe(clipId('a', 1));
    expect(clipId('a', 1)).not.toBe(clipId('a', 2));
  });
});
