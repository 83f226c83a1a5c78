import { easierChain, starterBook, type Move } from './index.ts';

describe('easierChain', () => {
  const { moves } = starterBook();
  it('goes down to a move that has no easier one', () => {
    expect(easierChain(moves, 'wheel')).toEqual({
      codes: ['wheel', 'spinhook', 'hookkick', 'side', 'push'],
      circular: false,
    });
  });
  it('tells a chain that bites its own tail', () => {
    const circle = new Map<string, Move>([...moves, ['push', { ...moves.get('push')!, easier: 'side' }]]);
    expect(easierChain(circle, 'side')).toEqual({ codes: ['side', 'push'], circular: true });
  });
});
