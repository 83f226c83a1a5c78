export * from './webVtt.ts';
export * from './midiTrack.ts';
export * from './rhythmLine.ts';
export * from './lostSound.ts';
export * from './onsetTables.ts';
export * from './labelledWav.ts';
export * from './onsetNotes.ts';
