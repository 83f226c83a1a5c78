import { startingWith } from './startingWith.ts';

describe('first letters', () => {
  const people = ['Oskar Bello', 'Ines Okafor', 'Radek Ilić', 'Oskar Brandt'].map((name) => ({ name }));
  it.each([
    ['ok', ['Ines Okafor']],
    ['OSK', ['Oskar Bello', 'Oskar Brandt']],
    ['oskar br', ['Oskar Brandt']],
    ['ilic', ['Radek Ilić']],
    ['', []],
    ['x', []],
  ])('%j are of %j', (letters, names) => {
    expect(startingWith(people, letters).map(({ name }) => name)).toEqual(names);
  });
});
