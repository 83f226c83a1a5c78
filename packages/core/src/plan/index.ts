export * from './fitToLength.ts';
export * from './pairUp.ts';
