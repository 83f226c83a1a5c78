import fc from 'fast-check';
import { plainLetters } from './plainLetters.ts';

describe('plainLetters', () => {
  it.each([
    ['Größe', 'Grosse'],
    ['đấm thẳng', 'dam thang'],
    ['Ørjan Ilić', 'Orjan Ilic'],
    ['garça, año, naïve', 'garca, ano, naive'],
    ['ŁÓDŹ', 'LODZ'],
    ['İstanbul, ısı', 'Istanbul, isi'],
  ])('%s is read as %s', (text, plain) => {
    expect(plainLetters(text)).toBe(plain);
  });
  it.each(['удар', '蹴り', 'ท่า', 'حركة', 'ガード'])('%s stays as it is', (text) => {
    expect(plainLetters(text)).toBe(text.normalize('NFC'));
  });
  it('leaves plain English alone, and has nothing to do a second time', () => {
    fc.assert(
      fc.property(
        fc.string({ unit: 'grapheme', maxLength: 40 }),
        fc.string({ maxLength: 40 }),
        (any, ascii) => {
          expect(plainLetters(ascii)).toBe(ascii);
          expect(plainLetters(plainLetters(any))).toBe(plainLetters(any));
        },
      ),
    );
  });
});
