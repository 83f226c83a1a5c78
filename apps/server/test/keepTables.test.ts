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
  it('there is no other table', async () => {
    const { status, body } = await call('GET', 'export/moves.csv');
    expect([status, body.message]).toEqual([
      404,
      'There is no such table; there are fighters, results, attempts.',
    ]);
  });
});
