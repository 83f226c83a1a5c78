export * from './beatLine.ts';
export * from './parseLine.ts';
export * from './formatLine.ts';
export * from './placeOnBeats.ts';
