import { changes } from './requests.ts';
import { serverForThisFile } from './startedServer.ts';

const { call, base } = serverForThisFile();

describe('tables', () => {
  const csv = async (name: string): Promise<string> => (await call('GET', `export/${name}.csv`)).body;
  const send = async (name: string, text: string, query = ''): Promise<any> => {
    const response = await fetch(`${base()}/api/import/${name}.csv${query}`, {
      method: 'POST',
      headers: { 'content-type': 'text/csv' },
      body: text,
    });
    return { status: response.status, body: await response.json() };
  };
  it.each(['fighters', 'results', 'attempts'])('%s go out and come in unchanged', async (name) => {
    const text = await csv(name);
    expect(text.split('\r\n').length).toBeGreaterThan(10);
    const { status, body } = await send(name, text);
    expect([status, changes(body)]).toEqual([200, []]);
  });
  it('bring in new people once, with a preview first', async () => {
    const text = 'name,grade,lead,height_cm\nPavo Nkemelu,Ebb,right,181\n"=cmd, x",Slack,left,\n';
    expect(changes((await send('fighters', text, '?preview=yes')).body)).toEqual(['fighters 2/0']);
    expect((await call('GET', 'fighters')).body.items.some(({ name }: any) => name === 'Pavo Nkemelu')).toBe(
      false,
    );
    expect(changes((await send('fighters', text)).body)).toEqual(['fighters 2/0']);
    expect(changes((await send('fighters', text)).body)).toEqual([]);
    const line = (await csv('fighters')).split('\r\n').find((each) => each.includes('cmd'));
    expect(line).toContain(`"'=cmd, x"`);
  });
  it.each([
    ['fighters', 'name,grade,lead\nPavo,None,left', 'line 2, grade', /no grade “None”/],
    ['fighters', 'name,grade,lead\nAma,Ebb,left\nPavo,Ebb,front', 'line 3, lead', /left or right/],
    ['fighters', 'name,grade,lead\n<b>,Ebb,left', 'line 2, name', /plain text/],
    [
      'results',
      'run,round,fighter,done,at\nheld,0,ines,part,2026-03-05T18:30:00Z',
      'line 2, round',
      /from 1 on/,
    ],
    ['results', 'run,round,fighter,done,at\nheld,1,ines,half,2026-03-05T18:30:00Z', 'line 2, done', /one of/],
    [
      'attempts',
      'fighter,test,lead,instants,at\nines,none,left,0.5,2026-03-05T18:30:00Z',
      'attempts.0.testId',
      /This test is neither/,
    ],
  ])('%s with a fault tell its line and column', async (name, text, field, sentence) => {
    const { status, body } = await send(name, text);
    expect([status, body.errors[0].field]).toEqual([422, field]);
    expect(body.message).toMatch(sentence);
  });
  /** The head of a table, and one of its lines as its cells by their columns. */
  const lineOf = async (name: string, wanted: (cells: Record<string, string>) => boolean) => {
    const [head = '', ...rows] = (await csv(name)).split('\r\n');
    const columns = head.split(',');
    const all = rows.map((row) => Object.fromEntries(row.split(',').map((cell, i) => [columns[i], cell])));
    return { columns, line: all.find(wanted) as Record<string, string> };
  };
  const written = (columns: readonly string[], line: Record<string, string>, sign = ','): string =>
    [columns, columns.map((column) => line[column] ?? '')].map((row) => row.join(sign)).join('\r\n');

  it('a mark that is put right in the table is a change in the preview, and arrives', async () => {
    const isFinished = ({ done, quality }: Record<string, string>): boolean =>
      done === 'finished' && quality === 'clean';
    const { columns, line } = await lineOf('results', isFinished);
    const right = written(columns, { ...line, done: 'part', quality: 'loose' });
    expect(changes((await send('results', right, '?preview=yes')).body)).toEqual(['marks 0/1']);
    expect(changes((await send('results', right)).body)).toEqual(['marks 0/1']);
    const same = await lineOf('results', ({ id }) => id === line['id']);
    expect(same.line).toMatchObject({ done: 'part', quality: 'loose', at: line['at'] });
    // What was marked on the Floor meanwhile is newer, and it is said that it stays.
    const older = written(columns, { ...line, done: 'sat-out', quality: '', at: '2020-01-01T10:00:00Z' });
    const { body } = await send('results', older);
    expect([changes(body), body.notes]).toEqual([
      [],
      [expect.stringMatching(/^One mark of the file is older/)],
    ]);
  });
  it('a number that is put right beside its instants arrives as counted by hand', async () => {
    const { columns, line } = await lineOf(
      'attempts',
      ({ instants = '', counted }) => instants.includes(';') && counted === 'taps',
    );
    const right = written(columns, { ...line, count: '31' });
    expect(changes((await send('attempts', right)).body)).toEqual(['trials 0/1']);
    const same = await lineOf('attempts', ({ id }) => id === line['id']);
    expect(same.line).toMatchObject({ count: '31', counted: 'by-hand', instants: line['instants'] });
  });
  it('days are read in the order of the gym, and the preview says in words how; the future is asked about', async () => {
    const { columns, line } = await lineOf(
      'attempts',
      ({ counted }) => counted === 'partner' || counted === 'taps',
    );
    const trial = { ...line, id: 'own-order', instants: '' };
    const { body } = await send(
      'attempts',
      written(columns, { ...trial, at: '05.10.2025 18:30' }, ';'),
      '?preview=yes',
    );
    expect(body.notes).toEqual(['“05.10.2025 18:30” is read as 5 October 2025, and all others like it.']);
    const ahead = await send(
      'attempts',
      written(columns, { ...trial, at: '2099-03-05T18:30:00Z' }),
      '?preview=yes',
    );
    expect(ahead.body.notes).toEqual([
      expect.stringMatching(/^1 of the times lies in the future, the first on 5 March 2099/),
    ]);
    for (const at of ['31.02.2026', '5.10.26', 'soon', '13/13/2026'])
      expect((await send('attempts', written(columns, { ...trial, at }))).body.errors[0].field).toBe(
        'line 2, at',
      );
  });
  it('a trial that lies far from the usual of the same person is asked about, line by line, and taken', async () => {
    const { columns, line } = await lineOf('attempts', ({ counted }) => counted === 'taps');
    const trial = (id: string, count: number) => ({ ...line, id, instants: '', count: String(count) });
    const usual = Number(line['count']);
    const [head, row] = written(columns, trial('ten-times', 10 * usual)).split('\r\n');
    const fine = written(columns, trial('fine', usual)).split('\r\n')[1];
    const table = [head, fine, row].join('\r\n');
    const { body } = await send('attempts', table, '?preview=yes');
    expect(body.notes).toEqual([
      expect.stringMatching(/^Line 3, .*: \d+ is (8|9|10|11|12)(\.\d)? times the usual \d+\./),
    ]);
    expect(changes((await send('attempts', table)).body)).toEqual(['trials 2/0']);
  });
  it('semicolons leave the comma for the decimals', async () => {
    const text = 'name;grade;lead;height_cm\nKomma Vesely;Ebb;left;171,5\n';
    expect(changes((await send('fighters', text)).body)).toEqual(['fighters 1/0']);
    const { line } = await lineOf('fighters', ({ name }) => name === 'Komma Vesely');
    expect(line['height_cm']).toBe('171.5');
  });
  it('open in table programs as what they are', async () => {
    const bytes = new Uint8Array(await (await fetch(`${base()}/api/export/fighters.csv`)).arrayBuffer());
    expect([...bytes.subarray(0, 3)]).toEqual([0xef, 0xbb, 0xbf]);
  });
  it('there is no other table', async () => {
    const { status, body } = await call('GET', 'export/moves.csv');
    expect([status, body.message]).toEqual([
      404,
      'There is no such table; there are fighters, results, attempts.',
    ]);
  });
});
