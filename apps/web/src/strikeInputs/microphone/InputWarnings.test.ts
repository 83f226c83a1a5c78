import { InputWarnings, HOLES_HEARD, MUSIC_HEARD } from './InputWarnings.ts';

function warned(): { readonly reported: string[]; readonly warnings: InputWarnings } {
  const reported: string[] = [];
  return { reported, warnings: new InputWarnings((what) => reported.push(what)) };
}

describe('what is reported about a microphone', () => {
  it('is said once, and taken back when it is over', () => {
    const { reported, warnings } = warned();
    warnings.heard(false, 0, 1);
    warnings.heard(true, 0, 2);
    warnings.heard(true, 0, 3);
    warnings.heard(false, 0, 4);
    expect(reported).toEqual([MUSIC_HEARD, '']);
  });

  it('goes back to what is always to be known', () => {
    const { reported, warnings } = warned();
    warnings.set('It does not tell what it plays.');
    warnings.heard(true, 0, 2);
    warnings.heard(false, 0, 4);
    expect(reported.at(-1)).toBe('It does not tell what it plays.');
  });

  it('counts what was lost within a minute, not since long ago', () => {
    const { reported, warnings } = warned();
    warnings.heard(false, 0.4, 10);
    expect(reported).toEqual([]);
    warnings.heard(false, 0.4, 50);
    warnings.heard(false, 0.8, 100);
    expect(reported).toEqual([]);
    warnings.heard(false, 1, 120);
    expect(reported).toEqual([HOLES_HEARD]);
    warnings.heard(false, 1, 170);
    warnings.heard(false, 1, 190);
    expect(reported).toEqual([HOLES_HEARD, '']);
  });
});
