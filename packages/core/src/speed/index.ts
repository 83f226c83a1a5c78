export * from './burst.ts';
export * from './nextTempo.ts';
