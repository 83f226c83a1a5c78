import { mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { CopyFolder, copyText, keptCopies } from './copyFolder.ts';

const NOW = new Date('2026-03-05T18:30:00Z');
const HOUR = 3_600_000;
const copyOf = (hoursAgo: number) => ({
  name: `${hoursAgo}`,
  madeAt: new Date(NOW.getTime() - hoursAgo * HOUR),
});

describe('the copies that stay', () => {
  it('are all of the last day, one of each of seven days, and one of each of four weeks', () => {
    const copies = Array.from({ length: 24 * 60 }, (_, hoursAgo) => copyOf(hoursAgo));
    const kept = keptCopies(copies, NOW)
      .map(Number)
      .sort((a, b) => a - b);
    expect(kept).toEqual([
      ...Array.from({ length: 24 }, (_, i) => i),
      24,
      48,
      72,
      96,
      120,
      144,
      168,
      336,
      504,
    ]);
  });
  it('are those that there are', () => expect(keptCopies([copyOf(700), copyOf(300)], NOW)).toEqual(['300']));
  it('one from the future, by a clock that was set back, is of today', () => {
    expect(keptCopies([copyOf(-1000), copyOf(30)], NOW).sort()).toEqual(['-1000', '30']);
  });
});

describe('the folder of copies', () => {
  let data: string;
  beforeEach(() => (data = mkdtempSync(join(tmpdir(), 'eurhythm-copies-'))));
  afterEach(() => rmSync(data, { recursive: true }));
  const fine = async (): Promise<void> => {};

  it('keeps what was opened, newest first, and gives it back as it was', async () => {
    const folder = new CopyFolder(data);
    await folder.keep(['{"a":1}', '{"b":2}'], 'daily', NOW, fine);
    const name = await folder.keep(['{"c":3}'], 'by-hand', new Date(NOW.getTime() + 1000), fine);
    expect((await folder.list()).map(({ reason }) => reason)).toEqual(['by-hand', 'daily']);
    expect(await folder.text(name)).toBe('{"c":3}\n');
  });
  it('keeps nothing that could not be opened', async () => {
    const folder = new CopyFolder(data);
    const broken = folder.keep(['x'], 'daily', NOW, async () => {
      throw new Error('broken');
    });
    await expect(broken).rejects.toThrow('broken');
    expect(readdirSync(folder.folder)).toEqual([]);
  });
  it('takes out what an ended process left half written, and leaves what is no copy', async () => {
    const folder = new CopyFolder(data);
    const name = await folder.keep(['x'], 'daily', NOW, fine);
    writeFileSync(join(folder.folder, `${name}.unchecked`), 'half');
    writeFileSync(join(folder.folder, 'note.txt'), 'mine');
    await folder.prune(NOW);
    expect(readdirSync(folder.folder).sort()).toEqual([name, 'note.txt'].sort());
  });
  it('tells a copy that is damaged', async () => {
    const file = join(data, 'x.gz');
    writeFileSync(file, 'not zipped');
    await expect(copyText(file)).rejects.toThrow('This copy is damaged.');
  });
});
