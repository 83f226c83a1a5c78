import { changed, redone, startHistory, undone } from './draftHistory.ts';

describe('history of a draft', () => {
  const typed = ['a', 'ab', 'abc'].reduce((h, text, i) => changed(h, text, i * 100), startHistory(''));

  it('takes what was typed in one go as one step', () => {
    expect(undone(typed).now).toBe('');
    expect(redone(undone(typed)).now).toBe('abc');
  });
  it('begins a new step after a pause', () => {
    const later = changed(typed, 'abc d', 5000);
    expect(undone(later).now).toBe('abc');
    expect(undone(undone(later)).now).toBe('');
  });
  it('takes changes of other places, and of what stands in a list, as steps of their own', () => {
    const session = { title: '', rounds: [{ reps: 1, seconds: 10 }] };
    const typed = changed(startHistory(session), { ...session, title: 'a' }, 0);
    const counted = changed(typed, { title: 'a', rounds: [{ reps: 2, seconds: 20 }] }, 100);
    const more = changed(counted, { title: 'a', rounds: [{ reps: 21, seconds: 210 }] }, 200);
    const added = changed(more, { ...more.now, rounds: [...more.now.rounds, { reps: 1, seconds: 9 }] }, 300);
    expect(undone(added).now).toBe(more.now);
    expect(undone(undone(added)).now).toBe(typed.now);
    expect(undone(undone(undone(added))).now).toBe(session);
  });
  it('forgets what was undone once something else is changed', () => {
    const other = changed(undone(typed), 'x', 9000);
    expect(redone(other)).toBe(other);
    expect(undone(other).now).toBe('');
  });
  it('goes back to having no draft at all', () => {
    const first = changed(startHistory<string | undefined>(undefined), 'a', 0);
    expect(undone(first).now).toBeUndefined();
    expect(undone(first).past).toEqual([]);
  });
  it('stays where it is when there is nothing to go to', () => {
    const start = startHistory(1);
    expect(undone(start)).toBe(start);
    expect(redone(start)).toBe(start);
  });
});
