export * from './claps.ts';
export * from './virtualFighter.ts';
