export * from './burst.ts';
export * from './nextTempo.ts';
export * from './ladderAdvice.ts';
