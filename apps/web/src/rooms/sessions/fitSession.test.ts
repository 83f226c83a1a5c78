import { newBlock } from './blocks/newBlock.ts';
import { fitSession, withLengths } from './fitSession.ts';
import { newRound } from './newRound.ts';
import type { RoundDto } from '@eurhythm/contract';

const warmUp: RoundDto = { ...newRound('shadow', 'w', null), kind: 'warm-up', title: 'Warm-up' };
const counted: RoundDto = {
  id: 'c',
  kind: 'technique',
  title: 'Kicks',
  blocks: [newBlock('count', 'c1', null)],
};
const rounds = [warmUp, newRound('pads', 'p', 'ebb-1'), counted];
const total = (all: readonly RoundDto[]): number =>
  all.flatMap((round) => round.blocks).reduce((sum, block) => sum + block.seconds, 0);

describe('fitting a session', () => {
  it('adds up exactly, and neither cuts the warm-up nor touches what is counted', () => {
    const { changes, missing } = fitSession(rounds, 5);
    expect(missing).toBe(0);
    expect(total(withLengths(rounds, changes))).toBe(300);
    expect(changes.some(({ id }) => id.startsWith('w/') || id.startsWith('c/'))).toBe(false);
  });
  it('takes only what is accepted', () => {
    const { changes } = fitSession(rounds, 9);
    const one = withLengths(rounds, changes.slice(0, 1));
    expect(total(one) - total(rounds)).toBe(changes[0]!.to - changes[0]!.from);
  });
  it('says what is out of reach', () => {
    expect(fitSession(rounds, 1).missing).toBeLessThan(0);
    expect(fitSession(rounds, 60).missing).toBeGreaterThan(0);
  });
});
