import { ABOUT_SPOKEN } from '../calls/index.ts';
import { starterBook } from '../moves/index.ts';
import { heardLine } from './index.ts';

const book = starterBook();
const calling = { lead: 'left', bpm: 60, words: 'names' } as const;

describe('what a listener understands of a line', () => {
  it('is what it says, with what and where to', () => {
    expect(heardLine('1 . r:push . (2) . in+2> . . . .', book, calling)).toEqual(
      [
        ['jab', 'left hand: jab, head'],
        ['rear push kick', 'right leg: push kick, body'],
        ['fake cross', 'right hand: cross, head, only shown'],
        // The change back to the own lead is called a beat later, so there is room for less.
        ['cross forward, in', 'right hand: cross, head, forward', 'step in'],
      ].map(([said, ...understood], i) => ({
        stroke: i,
        said,
        understood,
        missed: [],
        wrong: [],
      })),
    );
  });
  it('is mirrored from the other lead', () => {
    expect(heardLine('1', book, { ...calling, lead: 'right' })[0]!.understood).toEqual([
      'right hand: jab, head',
    ]);
  });
  it('tells what is missed where there is no time to say it', () => {
    const fast = heardLine('2-r:knee=f:elbow', book, { ...calling, bpm: 140 });
    expect(fast.some(({ said, missed }) => said === null && missed.length === 1)).toBe(true);
  });
  it('is nothing of a line that cannot be read', () => {
    expect(heardLine('1 nonsense', book, calling, ABOUT_SPOKEN)).toEqual([]);
  });
});
