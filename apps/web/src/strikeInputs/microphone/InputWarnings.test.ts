import { InputWarnings, HOLES_HEARD, MUSIC_HEARD } from './InputWarnings.ts';

function warned(): { readonly told: string[]; readonly warnings: InputWarnings } {
  const told: string[] = [];
  return { told, warnings: new InputWarnings((what) => told.push(what)) };
}

describe('what is told of a microphone', () => {
  it('is said once, and taken back when it is over', () => {
    const { told, warnings } = warned();
    warnings.heard(false, 0, 1);
    warnings.heard(true, 0, 2);
    warnings.heard(true, 0, 3);
    warnings.heard(false, 0, 4);
    expect(told).toEqual([MUSIC_HEARD, '']);
  });

  it('goes back to what is always to be known', () => {
    const { told, warnings } = warned();
    warnings.set('It does not tell what it plays.');
    warnings.heard(true, 0, 2);
    warnings.heard(false, 0, 4);
    expect(told.at(-1)).toBe('It does not tell what it plays.');
  });

  it('counts what was lost within a minute, not since long ago', () => {
    const { told, warnings } = warned();
    warnings.heard(false, 0.4, 10);
    expect(told).toEqual([]);
    warnings.heard(false, 0.4, 50);
    warnings.heard(false, 0.8, 100);
    expect(told).toEqual([]);
    warnings.heard(false, 1, 120);
    expect(told).toEqual([HOLES_HEARD]);
    warnings.heard(false, 1, 170);
    warnings.heard(false, 1, 190);
    expect(told).toEqual([HOLES_HEARD, '']);
  });
});
