export * from './fraction.ts';
export * from './quantities.ts';
export * from './seededRandom.ts';
export * from './groupBy.ts';
export * from './clockText.ts';
export * from './numberText.ts';
export * from './dateWays.ts';
export * from './thousandths.ts';
