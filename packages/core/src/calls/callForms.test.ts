import { starterBook } from '../moves/index.ts';
import {
  COUNT_LANGUAGES,
  comboForms,
  countWord,
  holderForms,
  numberWord,
  ownPhones,
  phonesOf,
  strokeForms,
} from './index.ts';

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

describe('holderForms', () => {
  it('says what comes and where, and nothing for what is not held', () => {
    expect(holderForms(stroke('round', 'rear'))).toEqual(['kick body', 'body']);
    expect(holderForms(stroke('jab', 'front'))).toEqual(['hand head', 'head']);
    expect(holderForms(stroke('weave', null))).toEqual([]);
    expect(holderForms(stroke('jab', 'front', { feint: true }))).toEqual([]);
  });
});

describe('countWord', () => {
  it('counts in the gym’s language, and in English beyond its words', () => {
    expect([1, 2, 10, 11].map((n) => countWord(n, 'japanese'))).toEqual(['ichi', 'ni', 'ju', 'eleven']);
    expect([1, 2, 3].map((n) => countWord(n, 'own', ['hop', 'hep']))).toEqual(['hop', 'hep', 'three']);
    expect(countWord(7, 'english')).toBe('seven');
  });
  it('takes own words with their phones', () => {
    const own = ['Hup: hh ah p', 'hep'];
    expect([1, 2].map((n) => countWord(n, 'own', own))).toEqual(['hup', 'hep']);
    expect([...ownPhones(own)]).toEqual([['hup', 'hh ah p']]);
  });
  it.each(COUNT_LANGUAGES.filter((each) => each !== 'english' && each !== 'own'))(
    '%s has ten different words, each with phones',
    (language) => {
      const words = Array.from({ length: 10 }, (_, i) => countWord(i + 1, language));
      expect(new Set(words).size).toBe(10);
      for (const word of words) expect(phonesOf(word)).toMatch(/^[a-z]{1,2}( [a-z]{1,2})+$/);
    },
  );
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
