export * from './webVtt.ts';
export * from './midiTrack.ts';
export * from './rhythmLine.ts';
export * from './onsetTables.ts';
export * from './onsetSounds.ts';
