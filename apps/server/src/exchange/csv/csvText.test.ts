import fc from 'fast-check';
import { csvText, readCsv } from './csvText.ts';

const COLUMNS = ['id', 'name', 'note'];
const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
const read = (text: string) => readCsv(bytes(text), COLUMNS);

describe('a table', () => {
  it('is written by RFC 4180: quotation marks, commas and line ends stand in quotation marks', () => {
    expect(csvText(COLUMNS, [{ id: 'a', name: 'Ama, "the fast"', note: 'one\ntwo' }])).toBe(
      'id,name,note\r\na,"Ama, ""the fast""","one\ntwo"\r\n',
    );
  });
  it.each(['=1+1', '+cmd|x', '-2+3', '@sum(a1)', '\tx'])('has no cell that is a formula: %j', (cell) => {
    const text = csvText(COLUMNS, [{ id: 'a', name: cell, note: '' }]);
    expect(text.split('\r\n')[1]!.replace(/^a,"?/, '')).toMatch(/^'/);
  });
  it.each(['-3', '+4.5', '12'])('leaves numbers as they are: %s', (cell) => {
    expect(csvText(['note'], [{ note: cell }])).toBe(`note\r\n${cell}\r\n`);
  });
  it('comes back as it was written', () => {
    const cell = fc
      .string({ unit: 'grapheme', maxLength: 20 })
      .map((text) => text.replaceAll('\0', '').trim())
      .filter((text) => !/\p{Surrogate}/u.test(text) && !text.startsWith("'"));
    const line = fc
      .record({ id: cell, name: cell, note: cell })
      .filter((each) => Object.values(each).some(Boolean));
    fc.assert(
      fc.property(fc.array(line, { maxLength: 5 }), (lines) => {
        expect(read(csvText(COLUMNS, lines))).toEqual({ ok: true, lines, delimiter: ',' });
      }),
    );
  });
  it.each([
    ['semicolons', 'id;name;note\na;Ama;x'],
    ['tabs', 'id\tname\tnote\na\tAma\tx'],
    ['a byte order mark and Windows line ends', '\ufeffid,name,note\r\na,Ama,x\r\n'],
    ['columns in another order', 'note,id,name\nx,a,Ama'],
    ['spaces, capitals and empty lines', ' ID , Name ,note\n\na, Ama ,x\n\n'],
  ])('is read with %s', (_, text) => {
    expect(read(text)).toEqual({
      ok: true,
      lines: [{ id: 'a', name: 'Ama', note: 'x' }],
      delimiter: /[;\t]/.exec(text)?.[0] ?? ',',
    });
  });
  it.each([
    ['an unknown column', 'id,shoe size\na,40', /no column “shoe size”.*id, name, note/],
    ['no head', '', /first line names the columns/],
    ['an open quotation mark', 'id,name\na,"Ama', /not closed/],
    ['signs that no text has', 'id,name\na,A\0', /signs that no text has/],
  ])('with %s is reported', (_, text, sentence) => {
    const result = read(text);
    expect(result.ok === false && result.message).toMatch(sentence);
  });
  it('that is not in UTF-8 is reported', () => {
    const result = readCsv(Uint8Array.from([0x69, 0x64, 0x0a, 0xe9]), COLUMNS);
    expect(result.ok === false && result.message).toMatch(/not written in UTF-8/);
  });
});
