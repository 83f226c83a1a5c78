export { fitLine, type ChangedLine } from './fitLine.ts';
export * from './easierLine.ts';
export * from './harderLine.ts';
export * from './oppositeLine.ts';
export * from './stepBack.ts';
export { writtenSide } from './otherMove.ts';
