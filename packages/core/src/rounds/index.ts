export * from './block.ts';
export * from './cue.ts';
export * from './compileRound.ts';
export * from './wantedTexts.ts';
export { planCycle, type CyclePlan } from './combo/cyclePlan.ts';
export * from './linkRounds.ts';
export * from './momentOfRound.ts';
export * from './soundEvents.ts';
