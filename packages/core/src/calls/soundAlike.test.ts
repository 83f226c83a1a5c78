import { soundAlike } from './index.ts';

const form = (text: string, phones: string) => ({ text, phones: phones.split(' ') });
const reported = (...forms: ReturnType<typeof form>[]): string[] =>
  soundAlike(forms).map(({ a, b }) => `${a} ${b}`);

describe('soundAlike', () => {
  const [five, nine, four, two, six] = [
    form('five', 'f ay v'),
    form('nine', 'n ay n'),
    form('four', 'f ao r'),
    form('two', 't uw'),
    form('six', 's ih k s'),
  ];
  it('tells words that differ in their consonants only', () => {
    expect(reported(five!, nine!, four!, two!, six!)).toEqual(['five nine']);
  });
  it('tells the same sound first', () => {
    expect(reported(five!, nine!, form('hi-five', 'f ay v'))[0]).toBe('five hi-five');
  });
  it('leaves long calls and silence alone', () => {
    expect(
      reported(form('front kick now', 'f r ah n t k ih k'), form('front pick now', 'f r ah n t p ih k')),
    ).toEqual([]);
    expect(
      soundAlike([
        { text: 'a', phones: [] },
        { text: 'b', phones: [] },
      ]),
    ).toEqual([]);
  });
});
