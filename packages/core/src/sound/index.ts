export * from './wav.ts';
export * from './levelClip.ts';
export * from './vowelOnset.ts';
export * from './synthSounds.ts';
