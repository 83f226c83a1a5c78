import { starterBook } from '../moves/index.ts';
import { comboForms, numberWord, strokeForms } from './index.ts';

const book = starterBook();
const stroke = (code: string, side: 'front' | 'rear' | null, extra: object = {}) => {
  const move = book.moves.get(code)!;
  return { move, side, level: move.level, feint: false, ...extra };
};

describe('strokeForms', () => {
  it('calls numbers where the gym numbers, names where it does not', () => {
    expect(strokeForms(stroke('hook', 'rear'), book, 'numbers')).toEqual(['four']);
    expect(strokeForms(stroke('round', 'front'), book, 'numbers')).toEqual(['front round kick', 'round']);
    expect(strokeForms(stroke('cross', 'rear'), book, 'names')).toEqual(['cross', 'two']);
  });
  it('says another level and a feint', () => {
    expect(strokeForms(stroke('hook', 'front', { level: 'body' }), book, 'numbers')).toEqual([
      'three body',
      'three',
    ]);
    expect(strokeForms(stroke('jab', 'front', { feint: true }), book, 'numbers')).toEqual(['fake one']);
  });
});

describe('comboForms', () => {
  it('announces grade, number and title', () => {
    expect(comboForms({ grade: 'Flood', number: 4, title: 'Low gate, knee through' })).toEqual([
      'flood four, low gate knee through',
      'flood four',
      'four',
    ]);
    expect(comboForms({ grade: '', number: 12, title: '' })).toEqual(['twelve']);
  });
});

describe('numberWord', () => {
  it('has a word from 0 to 99', () => {
    expect([0, 7, 13, 20, 42, 99].map(numberWord)).toEqual([
      'zero',
      'seven',
      'thirteen',
      'twenty',
      'forty two',
      'ninety nine',
    ]);
    expect(() => numberWord(100)).toThrow(RangeError);
  });
});
