export * from './compose.ts';
export { knownMoves, trainedUpTo } from './knownStrokes.ts';
