import { homeworkZip } from './homework.ts';

describe('the zip', () => {
  it('streams the sound as it is made, behind its true size', async () => {
    let made = 0;
    async function* pieces(): AsyncGenerator<Uint8Array, void> {
      for (let i = 0; i < 50; i++) {
        made += 1;
        yield new Uint8Array(10_000);
      }
    }
    const zip = homeworkZip(
      { sheet: new Uint8Array(10), captions: new Uint8Array(10) },
      { bytes: 500_000, pieces: pieces() },
    );
    let bytes = 0;
    for await (const piece of zip) bytes += (piece as Buffer).length;
    expect(made).toBe(50);
    expect(bytes).toBeGreaterThan(500_000);
  });
});
