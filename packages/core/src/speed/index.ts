export * from './heardTrial.ts';
export * from './burst.ts';
export * from './nextTempo.ts';
export * from './ladderAdvice.ts';
export * from './comboTime.ts';
export * from './reactions.ts';
export * from './workOut.ts';
export * from './heardRound.ts';
