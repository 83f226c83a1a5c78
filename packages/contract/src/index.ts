import 'reflect-metadata';

export * from './fields.ts';
export * from './combos.ts';
export * from './moves.ts';
export * from './blockBase.ts';
export * from './countedBlocks.ts';
export * from './blocks.ts';
export * from './sessions.ts';
export * from './runs.ts';
export * from './fighters.ts';
export * from './gym.ts';
export * from './audience.ts';
export * from './checkFields.ts';
export * from './grades.ts';
export * from './voice.ts';
export * from './cautions.ts';
export * from './exchange.ts';
