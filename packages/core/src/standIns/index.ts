export * from './virtualFighter.ts';
export * from './impactSound.ts';
export * from './loudspeaker.ts';
export * from './hallSound.ts';
export * from './bagMotion.ts';
export * from './padSensor.ts';
export * from './virtualRound.ts';
export * from './virtualTrials.ts';
