export * from './claps.ts';
export * from './matchStrikes.ts';
export * from './MotionDetector.ts';
export * from './SensorStream.ts';
export * from './ownSounds.ts';
export * from './detect/StrikeDetector.ts';
export { PATCH } from './detect/strikePatch.ts';
