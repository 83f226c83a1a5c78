import { validateSync } from 'class-validator';
import { IsInstant, IsPlainName, IsPlainText, IsWholeWithin, IsWithin, MayBeMissing } from './fields.ts';

class Form {
  @IsInstant('the time')
  at: unknown = '2026-03-05T18:30:00Z';

  @IsPlainName('the name', 8)
  name: unknown = 'Ines';

  @IsPlainText('the note', 12)
  note: unknown = '';

  @IsWithin('the height', 70, 230, 'cm')
  height: unknown = 170;

  @MayBeMissing()
  @IsWholeWithin('the count', 1, 5, '')
  count?: unknown;

  @MayBeMissing()
  @IsInstant('a date', { each: true })
  dates?: unknown;
}

/** The fields that are wrong, with the sentences that are said of them. */
function reported(changes: Partial<Form>): Record<string, string | undefined> {
  const errors = validateSync(Object.assign(new Form(), changes));
  return Object.fromEntries(
    errors.map(({ property, constraints }) => [property, Object.values(constraints ?? {}).at(-1)]),
  );
}

describe('fields of a form', () => {
  it('are right as they stand', () => {
    expect(reported({})).toEqual({});
  });
  it.each([
    '2026-03-05T18:30Z',
    '2026-03-05T18:30:00.123456Z',
    '2026-03-05T18:30:00+13:45',
    '2024-02-29T00:00:00Z',
    '1000-01-01T00:00:00Z',
  ])('%s is an instant', (at) => {
    expect(reported({ at })).toEqual({});
  });
  it.each([
    '2026-03-05',
    '2026-W10-4',
    '2026-065',
    '20260305T183000Z',
    '2026-03-05T18:30:00',
    '2026-02-30T18:30:00Z',
    '2026-03-05T25:30:00Z',
    '2026-03-05T18:61:00Z',
    '0999-01-01T00:00:00Z',
    '+275761-01-01T00:00:00Z',
    ' 2026-03-05T18:30:00Z',
    'tomorrow',
    '',
    null,
    0,
    ['2026-03-05T18:30:00Z'],
    new Date(),
  ])('%j is none', (at) => {
    expect(reported({ at })).toEqual({ at: 'The time is written like 2026-03-05T18:30:00Z.' });
  });
  it('what may be missing is looked at when it is there, null too', () => {
    expect(reported({ count: undefined })).toEqual({});
    for (const count of [null, 0, 6, 1.5, '2'])
      expect(reported({ count })).toEqual({ count: 'The count is a whole number from 1 to 5.' });
  });
  it('lists are looked at item by item', () => {
    expect(reported({ dates: [] })).toEqual({});
    expect(reported({ dates: ['2026-03-05T18:30:00Z', '2026-03'] })).toEqual({
      dates: 'A date is written like 2026-03-05T18:30:00Z.',
    });
  });
  it.each(['', ' ', '\t', 'a\nb', '<i>', 'nine long', 7, null])('%j is no name', (name) => {
    expect(Object.keys(reported({ name }))).toEqual(['name']);
  });
  it.each(['Ines', 'Ines-Mae', 'Ilić R.', '力 拳', "O'Hara"])('%s is a name', (name) => {
    expect(reported({ name })).toEqual({});
  });
  it('text may have several lines, and no markup', () => {
    expect(reported({ note: 'one\ntwo\tx' })).toEqual({});
    for (const note of ['<b>', 'x'.repeat(13), '\u0007', null])
      expect(Object.keys(reported({ note }))).toEqual(['note']);
  });
  it.each([69.9, 230.1, NaN, Infinity, '170', null])('%j is no height', (height) => {
    expect(reported({ height })).toEqual({ height: 'The height goes from 70 to 230 cm.' });
  });
});

describe('a plain name', () => {
  it.each(['<', '>', 'a<b', '< a', 'a >', '\u0007', 'a\nb', ' ', ''])('%j is none', (name) => {
    expect(reported({ name })).toEqual({
      name: 'The name is plain text of 1 to 8 characters, without < or >.',
    });
  });
  it.each(['a', ' a ', "O'Neil", 'Łucja', '🥊', 'a&b'])('%j is one', (name) =>
    expect(reported({ name })).toEqual({}),
  );
});
