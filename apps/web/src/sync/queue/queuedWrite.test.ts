import 'fake-indexeddb/auto';
import { putRequest, deleteRequest, waitingText, versionOf } from './queuedWrite.ts';
import { QueuedWriteStore } from './queuedWriteStore.ts';
import { takeOverOlderPages } from './olderPages.ts';
import { SUBJECTS } from './subjects.ts';
import { freshDatabases } from './testTabs.ts';

const { mark, combo, sheet } = SUBJECTS;

/** A browser's storage as earlier pages left it. */
class OldStorage {
  readonly [key: string]: unknown;
  getItem(key: string): string | null {
    return (this[key] as string | undefined) ?? null;
  }
  removeItem(key: string): void {
    delete (this as Record<string, unknown>)[key];
  }
}
const oldStorage = (kept: Readonly<Record<string, string>>): Storage =>
  Object.assign(new OldStorage(), kept) as unknown as Storage;

beforeEach(freshDatabases);

describe('what waits', () => {
  it.each([
    [[], ''],
    [[mark], '1 mark waits for the server'],
    [[mark, mark], '2 marks wait for the server'],
    [[mark, sheet, mark], '2 marks and 1 class sheet wait for the server'],
    [[combo, mark, sheet], '1 combo, 1 mark and 1 class sheet wait for the server'],
  ])('is reported: %#', (subjects, reported) => {
    expect(waitingText(subjects.map((subject) => ({ subject })))).toBe(reported);
  });
  it('has a word for one and for many of everything', () => {
    for (const { one, many } of Object.values(SUBJECTS)) {
      expect(one).toMatch(/^[a-z ]+$/);
      expect(many).not.toBe(one);
    }
  });
});

describe('a writing', () => {
  it('says where it goes, what it is about and what it was based on', () => {
    expect(putRequest(combo, 'combos/c', { title: 'T' }, { basedOn: 3, page: '/combos/c' })).toEqual({
      method: 'PUT',
      subject: combo,
      address: 'combos/c',
      body: { title: 'T' },
      basedOn: 3,
      page: '/combos/c',
    });
    expect(deleteRequest(mark, 'runs/r/results/m')).toEqual({
      method: 'DELETE',
      subject: mark,
      address: 'runs/r/results/m',
    });
  });
  it.each([
    [{ version: 4 }, 4],
    [{ version: '4' }, undefined],
    [{}, undefined],
    [null, undefined],
    [undefined, undefined],
  ])('comes to the version that %j tells', (answer, version) => expect(versionOf(answer)).toBe(version));
});

describe('what an earlier page left', () => {
  it('is taken over once: marks that wait, and drafts', async () => {
    const store = await QueuedWriteStore.open('older');
    const storage = oldStorage({
      'eurhythm.outbox': JSON.stringify([
        { id: '1', method: 'PUT', path: 'runs/r/results/m', body: { done: 'part' } },
        { id: '2', method: 'PUT', path: 'runs/r/clock', body: { position: 3 } },
        { id: '3', method: 'DELETE', path: 'runs/r/results/n' },
      ]),
      'eurhythm.draft.combo.new': JSON.stringify({ title: 'Half' }),
      'eurhythm.draft.broken': '{',
      'other.thing': 'stays',
    });
    let ids = 0;
    const takeOver = () => takeOverOlderPages(storage, store, () => `id-${(ids += 1)}`);
    await takeOver();
    await takeOver();
    expect((await store.waiting()).map(({ method, address }) => `${method} ${address}`)).toEqual([
      'PUT runs/r/results/m',
      'DELETE runs/r/results/n',
    ]);
    expect(await store.drafts()).toEqual([['combo.new', { title: 'Half' }]]);
    expect(Object.keys(storage)).toEqual(['other.thing']);
    store.close();
  });
  it('is nothing where something else was written', async () => {
    const store = await QueuedWriteStore.open('odd');
    await takeOverOlderPages(oldStorage({ 'eurhythm.outbox': '"text"' }), store, () => 'id');
    expect(await store.waiting()).toEqual([]);
    store.close();
  });
});
