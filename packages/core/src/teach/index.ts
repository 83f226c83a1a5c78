export * from './variants.ts';
export * from './renumberLine.ts';
export { writtenStrokes } from './rewriteLine.ts';
