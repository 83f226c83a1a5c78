export * from './runEvent.ts';
export * from './runState.ts';
export * from './placeInRun.ts';
export * from './roundSeed.ts';
export * from './compileInRun.ts';
export * from './inTheRound.ts';
export * from './clipIds.ts';
