import { jest } from '@jest/globals';
import { Refused, type send } from '../app/api.ts';
import { Outbox } from './outbox.ts';

function shelf() {
  const kept = new Map<string, string>();
  return {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => void kept.set(key, value),
  };
}

const settle = () => new Promise((done) => setTimeout(done, 5));

describe('Outbox', () => {
  it('sends in order and empties its shelf', async () => {
    const sent: string[] = [];
    const place = shelf();
    const box = new Outbox(
      place,
      (async (_method: string, path: string) => void sent.push(path)) as typeof send,
    );
    box.put('PUT', 'a', 1);
    box.put('PUT', 'b', 2);
    await settle();
    expect(sent).toEqual(['a', 'b']);
    expect(box.waiting).toBe(0);
    expect(new Outbox(place).waiting).toBe(0);
  });

  it('keeps what the server did not take, over a reload, and sends it later', async () => {
    jest.useFakeTimers();
    const place = shelf();
    let away = true;
    const sent: unknown[] = [];
    const post = (async (_method: string, path: string, body: unknown) => {
      if (away) throw new Refused(0, { message: 'away' });
      sent.push([path, body]);
    }) as typeof send;
    const box = new Outbox(place, post);
    box.put('PUT', 'a', 1);
    await jest.advanceTimersByTimeAsync(10);
    expect(new Outbox(place, post).waiting).toBe(1);
    box.put('PUT', 'a', 2);
    away = false;
    await jest.advanceTimersByTimeAsync(4000);
    expect(sent).toEqual([['a', 2]]);
    expect(box.waiting).toBe(0);
    jest.useRealTimers();
  });

  it('puts a refused write away and tells why', async () => {
    const told: string[] = [];
    const box = new Outbox(shelf(), (async () => {
      throw new Refused(422, { message: 'This fighter is not in the run.' });
    }) as typeof send);
    box.onRefused = (message) => told.push(message);
    box.put('PUT', 'a');
    await settle();
    expect(told).toEqual(['This fighter is not in the run.']);
    expect(box.waiting).toBe(0);
  });

  it('starts empty when its shelf holds something else', () => {
    const place = shelf();
    place.setItem('eurhythm.outbox', '{not json');
    expect(new Outbox(place).waiting).toBe(0);
  });
});
