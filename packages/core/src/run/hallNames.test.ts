import { hallNames } from './hallNames.ts';

describe('hallNames', () => {
  it('are first names, longer only where two share one', () => {
    expect(hallNames(['Ana Duarte', 'Ana Brandt', 'Bo Linde', 'Cher'], 'first')).toEqual([
      'Ana D.',
      'Ana B.',
      'Bo',
      'Cher',
    ]);
  });
  it('are initials, numbered where two share them', () => {
    expect(hallNames(['Ana Duarte', 'Åsa Dahl', 'Arno Dekker'], 'initials')).toEqual(['AD 1', 'ÅD', 'AD 2']);
  });
  it('tell two of the same name apart', () => {
    expect(hallNames(['Ana Duarte', 'Ana Duarte'], 'first')).toEqual(['Ana D. 1', 'Ana D. 2']);
    expect(hallNames(['Ana', ' Ana ', 'Ana Bo Duarte'], 'first')).toEqual(['Ana 1', 'Ana 2', 'Ana D.']);
  });
});
