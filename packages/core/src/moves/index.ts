export * from './move.ts';
export * from './moveBook.ts';
export * from './nearestWord.ts';
export * from './starterBook.ts';
