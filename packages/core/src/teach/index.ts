export * from './variants.ts';
export { writtenStrokes } from './rewriteLine.ts';
