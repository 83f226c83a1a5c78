import { starterBook } from '@eurhythm/core/moves';
import { editedLine } from './editedLine.ts';

const book = starterBook();

describe('editedLine', () => {
  it('changes the stroke that is written at the place of the pin', () => {
    expect(editedLine('1 2 3', book, 2, { kind: 'nudge', quarters: 1 })).toBe('1:5/4 2:3/4 3');
    expect(editedLine('1 {2 3}x2', book, 5, { kind: 'height', up: -1 })).toBe('1 {2 3@b}x2');
    expect(editedLine('1 2 3', book, 4, { kind: 'remove' })).toBe('1 2');
  });
  it('leaves a line alone that cannot be read, and a place where no stroke stands', () => {
    expect(editedLine('1 (2', book, 0, { kind: 'remove' })).toBeNull();
    expect(editedLine('1 2', book, 1, { kind: 'remove' })).toBeNull();
    expect(editedLine('1 2', book, 0, { kind: 'nudge', quarters: 1 })).toBeNull();
  });
  it('keeps the notes of the coach', () => {
    expect(editedLine('1 # eyes\n2 3', book, 9, { kind: 'height', up: -1 })).toBe('1 # eyes\n2@b 3');
  });
});
