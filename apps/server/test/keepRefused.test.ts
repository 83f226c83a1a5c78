import { serverForThisFile } from './startedServer.ts';

const { call } = serverForThisFile();
const gymFile = async (): Promise<any> => (await call('GET', 'export.json')).body;
/** A file without when it was made. */
const contents = ({ madeAt: _, ...file }: any): any => file;
/** A file of the gym with a few marks and trials: what is wrong with one is wrong with a thousand. */
const smallFile = async (): Promise<any> => {
  const file = await gymFile();
  return { ...file, results: file.results.slice(0, 5), attempts: file.attempts.slice(0, 5) };
};
const bringIn = (file: unknown, query = '') => call('POST', `import${query}`, file);

describe('a file of a gym', () => {
  let right: any;
  beforeAll(async () => {
    right = await smallFile();
  });
  it.each<[string, (file: any) => unknown, RegExp, string]>([
    ['no JSON', () => '{', /not written in JSON/, 'file'],
    ['another file', () => ({ a: 1 }), /no file of a gym/, 'format'],
    ['a newer version', (file) => ({ ...file, version: 99 }), /version 99.*reads up to 1/, 'version'],
    [
      'a field that is wrong',
      (file) => ({ ...file, fighters: [{ ...file.fighters[0], name: '<b>' }] }),
      /The name is plain text/,
      'fighters.0.name',
    ],
    ['a list that is none', (file) => ({ ...file, combos: 'many' }), /The combos are a list/, 'combos'],
    ['an unknown list', (file) => ({ ...file, shoes: [] }), /`shoes` is not known/, 'shoes'],
    [
      'a grade that nobody has',
      (file) => ({ ...file, fighters: [{ ...file.fighters[0], gradeId: 'none' }] }),
      /neither in this file nor in the gym/,
      'fighters.0.gradeId',
    ],
    [
      'a line with a fault',
      (file) => ({ ...file, combos: [{ ...file.combos[0], line: '1 (2' }] }),
      /./,
      'combos.0.line',
    ],
    [
      'a mark of a run that is not there',
      (file) => ({ ...file, results: [{ ...file.results[0], runId: 'none' }] }),
      /This run is neither/,
      'results.0.runId',
    ],
  ])('with %s is refused, with the place', async (_, spoilt, sentence, field) => {
    const { status, body } = await bringIn(spoilt(right));
    expect([status, body.errors[0].field]).toEqual([422, field]);
    expect(body.message).toMatch(sentence);
  });
  it('that was refused changed nothing', async () => {
    expect(contents(await smallFile())).toEqual(contents(right));
  });
});

describe('a file that somebody spoilt', () => {
  let right: any;
  beforeAll(async () => {
    right = await smallFile();
  });
  it.each([
    [
      'nested without end',
      (file: any) =>
        `${JSON.stringify(file).slice(0, -1)},"deep":${'['.repeat(50_000)}${']'.repeat(50_000)}}`,
    ],
    ['with nothing in a list', (file: any) => ({ ...file, fighters: [null], runs: [[]], results: [{}] })],
    [
      'with signs that no text has',
      (file: any) => JSON.stringify(file).replace('Saltmarsh', 'Salt\\u0000marsh'),
    ],
    [
      'with partners of no kind',
      (file: any) => ({ ...file, runs: [{ ...file.runs[0], partners: [{ round: 0, groups: [null] }] }] }),
    ],
  ])('%s is reported in a sentence', async (_, spoilt) => {
    const { status, body } = await bringIn(spoilt(right), '?preview=yes');
    expect([status, body.message]).toEqual([422, expect.stringMatching(/\.$/)]);
  });
});
