import { onceATick } from './onceATick.ts';

describe('onceATick', () => {
  it('reads once for all who ask in one turn, and anew afterwards', async () => {
    let reads = 0;
    const read = onceATick(() => Promise.resolve(++reads));
    expect(await Promise.all([read(), read(), Promise.resolve().then(read)])).toEqual([1, 1, 1]);
    await new Promise((done) => setImmediate(done));
    expect(await read()).toBe(2);
  });
  it('tells everybody of a failure, and tries again', async () => {
    let reads = 0;
    const read = onceATick(() =>
      ++reads === 1 ? Promise.reject(new Error('gone')) : Promise.resolve(reads),
    );
    await expect(Promise.all([read(), read()])).rejects.toThrow('gone');
    await new Promise((done) => setImmediate(done));
    expect(await read()).toBe(2);
  });
});
