import { codeInFile } from './codeInFile.ts';

describe('the code in a file from home', () => {
  it('is found in a file that a page for home made', () => {
    expect(codeInFile('{"format":"eurhythm-home","version":1,"code":"8M7Q-9"}')).toBe('8M7Q-9');
  });
  it.each(['', 'null', '[]', '{', '{"format":"other","code":"A"}', '{"format":"eurhythm-home"}'])(
    'is not in %j',
    (text) => expect(codeInFile(text)).toBeNull(),
  );
});
