export * from './homeCode.ts';
