export * from './move.ts';
export * from './moveBook.ts';
export * from './nearestWord.ts';
export * from './easierChain.ts';
export * from './wordFor.ts';
export * from './sideWord.ts';
export * from './starterBook.ts';
export * from './starterLines.ts';
export { STARTER_GRADES } from './starterGrades.ts';
