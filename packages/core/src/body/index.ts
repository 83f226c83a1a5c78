export * from './fighterState.ts';
export * from './resolveStroke.ts';
export * from './walkStance.ts';
export * from './analyseCombo.ts';
export * from './limbClock.ts';
export * from './drift.ts';
export * from './findings/index.ts';
export * from './audience.ts';
