import { RoundDto, checkFields } from '@eurhythm/contract';
import { changeKind, copyRound, freeRoundId, newRound, roundSeconds } from './newRound.ts';

describe('rounds in the builder', () => {
  it('begin complete', () => {
    expect(checkFields(RoundDto, newRound('pads', 'r1', 'ebb-1'))).toEqual([]);
    expect(checkFields(RoundDto, newRound('shadow', 'r1', null))).toEqual([]);
    expect(checkFields(RoundDto, newRound('pads', 'r1', null))).toMatchObject([
      { field: 'blocks.0.combos', message: 'Choose at least one combo.' },
    ]);
  });
  it('keep their times when their kind changes', () => {
    const pads = newRound('pads', 'r1', 'ebb-1');
    pads.blocks[0]!.seconds = 95;
    const shadow = changeKind(pads, 'shadow', null);
    expect([shadow.kind, shadow.blocks[0]!.kind, roundSeconds(shadow)]).toEqual(['shadow', 'free', 135]);
  });
  it('never share ids', () => {
    const first = newRound('pads', 'round-1', 'ebb-1');
    const id = freeRoundId([first]);
    const copy = copyRound(first, id);
    expect(id).not.toBe('round-1');
    expect(copy.blocks.map((block) => block.id)).not.toEqual(first.blocks.map((block) => block.id));
  });
});
