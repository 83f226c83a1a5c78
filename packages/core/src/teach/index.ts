export * from './variants.ts';
export * from './renumberLine.ts';
export * from './editLine.ts';
export { writtenStrokes } from './rewriteLine.ts';
