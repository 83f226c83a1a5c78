import { CAUTIONS } from '@eurhythm/contract';
import { starterBook } from '@eurhythm/core/moves';
import { usualBlock, type WrittenBlock } from '@eurhythm/core/rounds';
import { homeworkSheet } from './homeworkSheet.ts';
import type { PlayedSession } from './playedSession.ts';

const session: PlayedSession = {
  title: 'Knees <b>& more',
  seconds: 130,
  rounds: [
    {
      at: 0,
      title: 'Flood "four"',
      written: [
        {
          ...usualBlock('combo', 'b'),
          combos: [{ comboId: 'c' }, { line: '1 2', title: 'Own' }],
          lanes: [{ group: 'Minnows', combos: [{ line: '1', title: 'One' }] }],
        },
        { ...usualBlock('count', 'k'), line: 'r:round', reps: 20, groups: [{ group: 'Minnows', reps: 12 }] },
        { ...usualBlock('hold', 'h'), title: 'Low stance' },
        { ...usualBlock('free', 'f'), prompts: ['Hands high'] },
        usualBlock('react', 'a'),
        usualBlock('footwork', 'w'),
        usualBlock('condition', 'q'),
        usualBlock('breath', 'l'),
        usualBlock('burst', 'u'),
        { ...usualBlock('talk', 't'), title: 'Rules', notes: 'Touch only' },
        usualBlock('rest', 'r'),
      ] as WrittenBlock[],
      round: {
        duration: 130,
        cues: [],
        cycles: [],
        findings: [],
        scenes: [],
        workEnds: 0,
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
  const sheet = homeworkSheet(session, starterBook(), 'left');
  it('tells rounds, times and lines, with every sign as text', () => {
    expect(sheet).toContain('Knees &lt;b&gt;&amp; more');
    expect(sheet).toContain('Flood &quot;four&quot;');
    expect(sheet).toContain('jab, jab, cross forward, right lead');
    expect(sheet).toContain('<td>0:10</td>');
    expect(sheet).toContain('2:00 in all, after 10 s to get ready');
    expect(sheet).toContain('<td>2:00</td>');
  });
  it('lists everything that is done, each group’s own too', () => {
    for (const part of [
      '<b>Flood 4</b> Low gate',
      '<b></b> Own <span class="line">jab, cross</span>',
      'Minnows: <b></b> One <span class="line">jab</span>',
      'On the count Round kick: 20 each side × 2 (Minnows 12) <span class="line">round kick</span>',
      'Hold Low stance: 30 s each side × 1',
      'Shadow Hands high 2:00',
      'React “now”: 1 2 1:00',
      'Footwork 3 × in, 2, 3 × out 1:00',
      'Condition Squats: 15',
      'Breath Slow breaths: in 4, out 6 1:00',
      'Burst Two straights 0:10',
      'Talk Rules: Touch only 1:00',
    ])
      expect(sheet).toContain(part);
  });
  it('carries every caution', () => {
    for (const caution of CAUTIONS) expect(sheet).toContain(caution.replace(/&/g, '&amp;'));
  });
  it('asks for nothing from outside', () => expect(sheet).not.toMatch(/(?:src|href)=/));
});
