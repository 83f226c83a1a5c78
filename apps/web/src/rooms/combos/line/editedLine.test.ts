import { starterBook } from '@eurhythm/core/moves';
import { ONE } from '@eurhythm/core/units';
import { editedLine, lineWithMove } from './editedLine.ts';

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
  it.each([
    ['1 2 3', 2, 'r:knee', '1 2 r:knee 3'],
    ['1 2', null, '4', '1 2 4'],
    ['', null, 'f:round', 'f:round'],
    ['guard guard:3/4 guard', null, '2', '2 guard:3/4 guard'],
    ['2 guard:3/4 guard', 2, 'r:knee', '2 r:knee:3/4 guard'],
    ['1 (', null, '4', null],
    ['{1 2}x50 {1 2}x50', null, '3', null],
    ['1', null, 'nosuch', null],
  ])('puts a move into %j behind place %j', (text, from, word, made) => {
    expect(lineWithMove(text, book, from, word, ONE)).toBe(made);
  });
  it('keeps the notes of the coach', () => {
    expect(editedLine('1 # eyes\n2 3', book, 9, { kind: 'height', up: -1 })).toBe('1 # eyes\n2@b 3');
  });
});
