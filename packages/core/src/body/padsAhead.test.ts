import { parseLine } from '../line/index.ts';
import { starterBook } from '../moves/index.ts';
import { padsAhead } from './padsAhead.ts';
import { walkStance } from './walkStance.ts';

const book = starterBook();
function pads(text: string, lead: 'left' | 'right' = 'left', done: number | null = null) {
  const parsed = parseLine(text, book);
  if (!parsed.ok) throw new Error(parsed.errors[0]!.message);
  return padsAhead(walkStance(parsed.line, book, lead), done, 3);
}

describe('padsAhead', () => {
  it('are mirrored: the fighter’s left comes to the holder’s right, from either lead', () => {
    expect(pads('1 2 3').map(({ hand }) => hand)).toEqual(['right', 'left', 'right']);
    expect(pads('1 2 3', 'right').map(({ hand }) => hand)).toEqual(['left', 'right', 'left']);
  });
  it('turn around with a switch of the lead', () => {
    const [jab, later] = pads('1 sw 1 1');
    expect([jab!.hand, later!.hand]).toEqual(['right', 'left']);
  });
  it('leave out what needs no pad, and begin behind what is done', () => {
    expect(pads('1 weave 2').map(({ stroke }) => stroke)).toEqual([0, 2]);
    expect(pads('1 2 3', 'left', 0).map(({ stroke }) => stroke)).toEqual([1, 2]);
    expect(pads('1 2 3', 'left', 2)).toEqual([]);
  });
  it('tell the height, and what the holder throws', () => {
    expect(pads('1 2@b')[1]!.level).toBe('body');
    expect(pads('1 o:hook 2')[1]).toMatchObject({ isThrown: true, hand: 'both' });
  });
});
