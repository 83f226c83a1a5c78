import { serverForThisFile } from './startedServer.ts';

const { call } = serverForThisFile();
const stopped = { fit: false, reason: 'Sprained wrist', by: 'Ama' };
const lifted = { fit: true, reason: 'Moves without pain', by: 'Ben' };
const entry = { name: 'Ines Okafor', gradeId: 'ebb', lead: 'left', note: '' };

describe('the mark of who may not train', () => {
  it('is set with a reason and a name, and nobody lifts it by saving an old copy', async () => {
    const { id: _, grade: __, version, ...old } = (await call('GET', 'fighters/ines')).body;
    const { body } = await call('PUT', 'fighters/ines/fit', stopped);
    expect(body).toMatchObject({ ...stopped, at: expect.any(String), version: version + 1 });
    for (const path of [
      'fighters/ines',
      `fighters/ines?basedOn=${version}`,
      `fighters/ines?basedOn=${version + 1}`,
    ]) {
      const late = await call('PUT', path, { ...old, note: 'new shoes' });
      expect([late.status, late.body.message]).toEqual([409, expect.stringContaining('Sprained wrist')]);
    }
    expect((await call('GET', 'fighters/ines')).body).toMatchObject({ fit: false, note: old.note });
  });
  it('stays through a save that says nothing of it', async () => {
    expect((await call('PUT', 'fighters/ines', { ...entry, note: 'new shoes' })).body).toMatchObject({
      fit: false,
      note: 'new shoes',
    });
    expect((await call('GET', 'fighters/ines/fit')).body).toMatchObject(stopped);
  });
  it('is lifted by itself, with a reason; the same again changes nothing', async () => {
    const first = await call('PUT', 'fighters/ines/fit', lifted);
    expect([first.status, first.body.fit]).toEqual([200, true]);
    expect((await call('PUT', 'fighters/ines/fit', lifted)).body).toEqual(first.body);
  });
  it('of two coaches, the later one is reported what the other said', async () => {
    const { version } = (await call('GET', 'fighters/ines/fit')).body;
    await call('PUT', `fighters/ines/fit?basedOn=${version}`, stopped);
    const late = await call('PUT', `fighters/ines/fit?basedOn=${version}`, { ...lifted, reason: 'As ever' });
    expect([late.status, late.body.now]).toEqual([409, expect.objectContaining(stopped)]);
  });
  it.each([
    [{ ...stopped, reason: '' }, 'reason'],
    [{ ...stopped, by: ' ' }, 'by'],
    [{ reason: 'x', by: 'y' }, 'fit'],
  ])('is refused without a word of why or by whom: %j', async (body, field) => {
    const answer = await call('PUT', 'fighters/ines/fit', body);
    expect([answer.status, answer.body.errors[0].field]).toEqual([400, field]);
  });
  it('belongs to somebody in the gym', async () => {
    expect((await call('PUT', 'fighters/nobody/fit', stopped)).status).toBe(404);
    expect((await call('GET', 'fighters/nobody/fit')).status).toBe(404);
  });
});
