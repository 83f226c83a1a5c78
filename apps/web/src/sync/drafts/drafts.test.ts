import 'fake-indexeddb/auto';
import { QueuedWriteStore } from '../queue/queuedWriteStore.ts';
import { freshDatabases } from '../queue/testTabs.ts';
import { Drafts } from './drafts.ts';

beforeEach(freshDatabases);

/** A store that only notes what it is asked for. */
function noting() {
  const asked: string[] = [];
  const note = (what: string) => Promise.resolve(void asked.push(what));
  return {
    asked,
    keepDraft: (key: string, value: unknown) => note(`keep ${key} ${JSON.stringify(value)}`),
    dropDraft: (key: string) => note(`drop ${key}`),
  };
}
const drawn = () => new Promise((done) => setTimeout(done));

describe('drafts', () => {
  it('are at hand when the page opens again, until they are dropped', async () => {
    const store = await QueuedWriteStore.open('drafts');
    const drafts = new Drafts(await store.drafts(), store);
    drafts.keep('combo.a', { title: 'Half' });
    drafts.keep('combo.b', { title: 'Gone' });
    drafts.drop('combo.b');
    expect(drafts.get('combo.a')).toEqual({ title: 'Half' });
    await drawn();
    await store.drafts();
    const again = new Drafts(await store.drafts(), store);
    expect([again.get('combo.a'), again.get('combo.b')]).toEqual([{ title: 'Half' }, undefined]);
    store.close();
  });
  it('are written after the page has been drawn, the newest of several changes only', async () => {
    const store = noting();
    const drafts = new Drafts([], store);
    for (const value of [1, 2, 3]) drafts.keep('combo.a', value);
    drafts.keep('combo.b', 'x');
    drafts.drop('combo.b');
    expect(store.asked).toEqual([]);
    await drawn();
    expect(store.asked).toEqual(['keep combo.a 3', 'drop combo.b']);
    drafts.keep('combo.a', 4);
    await drawn();
    expect(store.asked.slice(2)).toEqual(['keep combo.a 4']);
  });
  it('are written at once when the page is about to go, and not a second time', async () => {
    const store = noting();
    const drafts = new Drafts([], store);
    drafts.keep('combo.a', 1);
    drafts.write();
    expect(store.asked).toEqual(['keep combo.a 1']);
    await drawn();
    expect(store.asked).toHaveLength(1);
  });
  it('say when the device has no room, and are there for this page all the same', async () => {
    let reported = 0;
    const full = {
      ...noting(),
      keepDraft: () => Promise.reject(new DOMException('full', 'QuotaExceededError')),
    };
    const drafts = new Drafts([], full, () => (reported += 1));
    drafts.keep('combo.a', 1);
    await drawn();
    await drawn();
    expect([reported, drafts.get('combo.a')]).toEqual([1, 1]);
  });
  it('follow what another tab writes', async () => {
    const [one, two] = [new Drafts([], noting()), new Drafts([], noting())];
    one.joinTabs(two.joinTabs(() => {}));
    one.keep('combo.a', 'typed here');
    await drawn();
    expect(two.get('combo.a')).toBe('typed here');
    one.drop('combo.a');
    await drawn();
    expect(two.get('combo.a')).toBeUndefined();
  });
});
