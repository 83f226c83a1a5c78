import { STARTER_MOVES, STARTER_NUMBERS, editDistance, findMove, nearestWord, numberOf, starterBook } from './index.ts';

const CODES =
  'jab cross hook upper over thumb backfist hammer palm knife dpalm elbow push snap rise round side hookkick axe outcres incres back ' +
  'spinside spinhook wheel spincres turnround jumpcres knee longknee high mid outer low cover parry slip weave duck roll grab pin shove ' +
  'sw in out left right skip pivot angle quarter half threeq tri guard ready long backst horse kneelup ' +
  'slideback footfwd footback footout footin halffootfwd halffootback halffootout halffootin sidehammer sideelbow';

describe('starter book', () => {
  const book = starterBook();

  it('has every code of the beat line, once', () => {
    expect(STARTER_MOVES.map((move) => move.code).sort()).toEqual(CODES.split(' ').sort());
  });

  it.each(STARTER_MOVES.map((move) => [move.code, move] as const))('%s is complete', (code, move) => {
    expect(code).toMatch(/^[a-z]+$/);
    expect(move.out).toBeGreaterThan(0);
    expect(move.back).toBeGreaterThanOrEqual(0);
    expect(move.parts.length).toBeGreaterThan(0);
    for (const part of move.parts) expect([part.name, part.cue].every((text) => text.length > 1)).toBe(true);
    expect(move.faults.length).toBeGreaterThan(0);
    expect(move.say.short.length).toBeGreaterThan(0);
    const strikes = ['punch', 'open-hand', 'elbow', 'kick', 'knee'].includes(move.family);
    expect(move.level !== null).toBe(strikes);
    if (strikes) expect([move.surface, move.target]).not.toContain(null);
    if (move.easier !== null) expect(book.moves.has(move.easier)).toBe(true);
    if (move.spin > 0) expect(move.cautions).toContain('spin');
  });

  it('has easier moves that end somewhere', () => {
    for (const move of STARTER_MOVES) {
      const seen = new Set<string>();
      for (let at = move; at.easier !== null; at = book.moves.get(at.easier)!) {
        expect(seen.has(at.code)).toBe(false);
        seen.add(at.code);
      }
    }
  });

  it('finds moves by code and by number', () => {
    expect(findMove(book, '4')).toMatchObject({ move: { code: 'hook' }, side: 'rear' });
    expect(findMove(book, 'round')).toMatchObject({ move: { code: 'round' }, side: null });
    expect(findMove(book, '42')).toBeUndefined();
    expect(findMove(book, 'toString')).toBeUndefined();
  });

  it('gives every number back', () => {
    for (const entry of STARTER_NUMBERS) {
      const found = findMove(book, String(entry.number))!;
      const usual = found.move.side.kind === 'free' ? found.move.side.usual : null;
      expect(numberOf(book, found.move, entry.side ?? usual)).toBe(entry.number);
    }
    expect(numberOf(book, book.moves.get('round')!, 'front')).toBeUndefined();
  });
});

describe('nearestWord', () => {
  const known = starterBook().moves.keys();
  it('suggests one near word and nothing far', () => {
    const words = [...known];
    expect(nearestWord('rund', words)).toBe('round');
    expect(nearestWord('crsos', words)).toBe('cross');
    expect(nearestWord('JAB', words)).toBe('jab');
    expect(nearestWord('zzzz', words)).toBeNull();
    expect(nearestWord('', words)).toBeNull();
  });
  it('counts a swap of neighbours once', () => {
    expect(editDistance('cross', 'corss')).toBe(1);
    expect(editDistance('', 'abc')).toBe(3);
  });
});
