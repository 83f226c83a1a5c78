export * from './webVtt.ts';
export * from './midiTrack.ts';
export * from './rhythmLine.ts';
