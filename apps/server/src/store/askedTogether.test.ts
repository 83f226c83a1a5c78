import { askedTogether } from './askedTogether.ts';

describe('askedTogether', () => {
  it('reads once for all who ask before anything is waited for', async () => {
    let reads = 0;
    const read = askedTogether(() => Promise.resolve(++reads));
    const within = async () => read();
    expect(await Promise.all([read(), within(), read()])).toEqual([1, 1, 1]);
    expect(await read()).toBe(2);
  });
  it('reads anew after a write, however quick that was', async () => {
    let kept = 'before';
    const read = askedTogether(() => Promise.resolve(kept));
    const write = async (value: string): Promise<void> => {
      await Promise.resolve();
      kept = value;
    };
    const early = read();
    await write('after');
    expect(await read()).toBe('after');
    expect(await early).toBe('before');
  });
  it('tells everybody of a failure, and tries again', async () => {
    let reads = 0;
    const read = askedTogether(() =>
      ++reads === 1 ? Promise.reject(new Error('gone')) : Promise.resolve(reads),
    );
    await expect(Promise.all([read(), read()])).rejects.toThrow('gone');
    expect(await read()).toBe(2);
  });
});
