export * from './ownTempo.ts';
export * from './cleanTempo.ts';
export * from './tempoFor.ts';
