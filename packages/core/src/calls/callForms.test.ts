import { COUNT_LANGUAGES, comboForms, countWord, numberWord, ownPhones, phonesOf } from './index.ts';

describe('countWord', () => {
  it('counts as far as the gym’s own words go, and never on in another language', () => {
    expect([1, 2, 3].map((n) => countWord(n, 'own', ['hop', 'hep']))).toEqual(['hop', 'hep', null]);
    expect([0, 1, 7, 100, 120, 200].map((n) => countWord(n, 'english'))).toEqual([
      null,
      'one',
      'seven',
      'one hundred',
      'one hundred twenty',
      null,
    ]);
  });
  it.each([
    ['japanese', 'ichi ju juichi juni niju nijuichi yonju nanajushichi kyuju hyaku,hyaku ichi,hyaku niju'],
    [
      'korean',
      'hana yeol yeol-hana yeol-dul seumul seumul-hana maheun ilheun-ilgop aheun baek,baek-hana,baek-seumul',
    ],
    [
      'spanish',
      'uno diez once doce veinte veintiuno cuarenta setenta_y_siete noventa cien,ciento uno,ciento veinte',
    ],
    [
      'portuguese',
      'um dez onze doze vinte vinte_e_um quarenta setenta_e_sete noventa cem,cento e um,cento e vinte',
    ],
    [
      'thai',
      'nueng sip sip-et sip-song yi-sip yi-sip-et si-sip chet-sip-chet kao-sip nueng-roi,roi-nueng,roi-yi-sip',
    ],
  ] as const)('%s goes on by its own rules', (language, reported) => {
    const [small = '', ...large] = reported.split(',');
    const words = [...small.split(' ').map((word) => word.replaceAll('_', ' ')), ...large];
    expect([1, 10, 11, 12, 20, 21, 40, 77, 90, 100, 101, 120].map((n) => countWord(n, language))).toEqual(
      words,
    );
  });
  it('takes own words with their phones', () => {
    const own = ['Hup: hh ah p', 'hep'];
    expect([1, 2].map((n) => countWord(n, 'own', own))).toEqual(['hup', 'hep']);
    expect([...ownPhones(own)]).toEqual([['hup', 'hh ah p']]);
  });
  it.each(COUNT_LANGUAGES.filter((each) => each !== 'english' && each !== 'own'))(
    '%s has 120 different words, each with phones',
    (language) => {
      const words = Array.from({ length: 120 }, (_, i) => countWord(i + 1, language)!);
      expect(new Set(words).size).toBe(120);
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
  it('has a word from 0 to 999', () => {
    expect([0, 7, 13, 20, 42, 99].map(numberWord)).toEqual([
      'zero',
      'seven',
      'thirteen',
      'twenty',
      'forty two',
      'ninety nine',
    ]);
    expect([100, 107, 250, 999].map(numberWord)).toEqual([
      'one hundred',
      'one hundred seven',
      'two hundred fifty',
      'nine hundred ninety nine',
    ]);
    for (const none of [-1, 1000, 1.5]) expect(() => numberWord(none)).toThrow(RangeError);
  });
});
