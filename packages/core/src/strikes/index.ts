export * from './virtualFighter.ts';
