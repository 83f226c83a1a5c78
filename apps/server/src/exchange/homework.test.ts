import { CAUTIONS } from '@eurhythm/contract';
import { homeworkSheet, homeworkZip } from './homework.ts';
import type { PlayedSession } from './playedSession.service.ts';

const session: PlayedSession = {
  title: 'Knees <b>& more',
  seconds: 130,
  rounds: [
    {
      at: 10,
      title: 'Flood "four"',
      round: {
        duration: 120,
        cues: [],
        cycles: [],
        findings: [],
        combos: [
          {
            id: 'c',
            grade: 'Flood',
            number: 4,
            title: 'Low gate',
            line: '1-1 2> [say "up"]',
            beatsPerBar: 4,
          },
        ],
      },
    },
  ],
};

describe('the sheet to take home', () => {
  const sheet = homeworkSheet(session);
  it('tells rounds, times and lines, with every sign as text', () => {
    expect(sheet).toContain('Knees &lt;b&gt;&amp; more');
    expect(sheet).toContain('Flood &quot;four&quot;');
    expect(sheet).toContain('1-1 2&gt; [say &quot;up&quot;]');
    expect(sheet).toContain('<td>0:10</td>');
    expect(sheet).toContain('2:10 in all');
  });
  it('carries every caution', () => {
    for (const caution of CAUTIONS) expect(sheet).toContain(caution.replace(/&/g, '&amp;'));
  });
  it('asks for nothing from outside', () => expect(sheet).not.toMatch(/(?:src|href)=/));
});

describe('the zip', () => {
  it('streams the sound as it is made, behind its true size', async () => {
    let made = 0;
    async function* pieces(): AsyncGenerator<Uint8Array, void> {
      for (let i = 0; i < 50; i++) {
        made += 1;
        yield new Uint8Array(10_000);
      }
    }
    const zip = homeworkZip(session, { bytes: 500_000, pieces: pieces() });
    let bytes = 0;
    for await (const piece of zip) bytes += (piece as Buffer).length;
    expect(made).toBe(50);
    expect(bytes).toBeGreaterThan(500_000);
  });
});
