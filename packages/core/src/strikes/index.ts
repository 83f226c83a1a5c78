export * from './claps.ts';
export * from './matchStrikes.ts';
export * from './virtualFighter.ts';
