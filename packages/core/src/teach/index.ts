export * from './variants.ts';
export * from './orders.ts';
export * from './renumberLine.ts';
export * from './editLine.ts';
export { writtenStrokes } from './rewriteLine.ts';
export * from './variantRecipe.ts';
export * from './openingFamily.ts';
export * from './techniqueTime.ts';
export * from './usesOfMoves.ts';
