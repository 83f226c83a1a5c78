import fc from 'fast-check';
import { afterDigit, keyOf } from './numberKeys.ts';

describe('the keys of fighters', () => {
  it('say everybody by number, however many there are', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 120 }), fc.nat(), (count, any) => {
        const place = any % count;
        const keys = [...keyOf(place, count)].map(Number);
        let typed = { digits: '', place: null as number | null };
        for (const key of keys) {
          expect(typed.place).toBeNull();
          typed = afterDigit(typed.digits, key, count);
        }
        expect(typed).toEqual({ digits: '', place });
      }),
    );
  });
  it('mean nobody where nobody has the number', () => {
    expect(afterDigit('', 0, 9)).toEqual({ digits: '', place: null });
    expect(afterDigit('9', 9, 14)).toEqual({ digits: '', place: null });
    expect(afterDigit('', 1, 14)).toEqual({ digits: '1', place: null });
  });
});
