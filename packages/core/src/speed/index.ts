export * from './burst.ts';
